import type { DocumentStore } from './documentStore';
import type { KeyValueStore } from './keyValueStore';
import { settingsIn } from './settingsIn';

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
  return new Proxy(settingsIn(store) as DocumentStore, {
    get:
      (known, name: keyof DocumentStore) =>
      (...given: never[]) =>
        name in known
          ? (known[name] as (...all: never[]) => unknown)(...given)
          : load().then((documents) => (documents[name] as (...all: never[]) => unknown)(...given)),
  });
}
