import type { KeyValueStore } from './keyValueStore';

/** A document as it stood before it was changed. */
export interface Version {
  /** When it was put aside, ms. */
  readonly at: number;
  readonly document: unknown;
}

export const HISTORY = 'history:';
export const MOST_VERSIONS = 20;
/** Typing is saved every two seconds: a version is put aside when the one before it is this old. */
export const APART_MS = 10 * 60_000;

/**
 * Puts a document aside that is about to be written over, unless one was put aside a moment ago.
 * @param key of the document
 * @param apart how old the one before must be, ms
 */
export const putAside = (
  store: KeyValueStore,
  key: string,
  document: unknown,
  at: number,
  apart = APART_MS,
): Promise<void> =>
  store.change(HISTORY + key, (stored) => {
    const kept = versionsIn(stored);
    const last = kept.at(-1);
    if (last && at - last.at < apart) return { do: 'nothing', result: undefined };
    const value = [...kept, { at, document }].slice(-MOST_VERSIONS);
    return { do: 'write', value, result: undefined };
  });

/** What was put aside of a document, the newest first. */
export const versionsOf = async (store: KeyValueStore, key: string): Promise<Version[]> =>
  versionsIn(await store.get(HISTORY + key)).reverse();

const versionsIn = (stored: unknown): Version[] =>
  Array.isArray(stored)
    ? stored.filter(
        (v: unknown): v is Version =>
          typeof v === 'object' &&
          v !== null &&
          typeof (v as Partial<Version>).at === 'number' &&
          'document' in v,
      )
    : [];
