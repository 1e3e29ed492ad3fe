import type { DocumentStore } from './documentStore';
import type { KeyValueStore } from './keyValueStore';

const SETTING = 'setting:';

/**
 * The store of documents with everything that checks them is loaded when the first document is asked for, so that the
 * first screen need not wait for it. Settings are read without.
 */
export function lazyDocuments(store: KeyValueStore, now: () => number): DocumentStore {
  let loaded: Promise<DocumentStore> | null = null;
  const load = (): Promise<DocumentStore> => {
    loaded ??= import('./documentStore').then(({ documentStore }) => documentStore(store, now));
    // A part that could not be fetched is asked for again.
    loaded.catch(() => (loaded = null));
    return loaded;
  };
  const settings: Pick<DocumentStore, 'readSetting' | 'saveSetting'> = {
    readSetting: (name) => store.get(SETTING + name),
    saveSetting: (name, value) => store.set(SETTING + name, value),
  };
  return new Proxy(settings as DocumentStore, {
    get:
      (known, name: keyof DocumentStore) =>
      (...given: never[]) =>
        name in known
          ? (known[name] as (...all: never[]) => unknown)(...given)
          : load().then((documents) => (documents[name] as (...all: never[]) => unknown)(...given)),
  });
}
