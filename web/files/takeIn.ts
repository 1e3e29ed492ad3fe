import type { SaveOutcome } from '../storage/records';
import type { Both, Choice } from './useAskWhichStays';

/** What became of a file, and how to take that back. */
export interface Line {
  readonly good: boolean;
  readonly text: string;
  /** Puts back what was replaced. */
  readonly undo?: () => Promise<void>;
}

/** One document on its way in, of whatever kind. */
export interface Incoming<T> {
  readonly title: string;
  /** @param base what it replaces; `null` where nothing may stand there */
  readonly save: (document: T, base: T | null) => Promise<SaveOutcome<T>>;
  readonly document: T;
  /** The same under an id of its own. */
  readonly copy: () => T;
  /** same: nothing to do · later: what is here goes on in the file · earlier: the file is behind · other: to be asked */
  readonly against: (stored: T) => 'same' | 'later' | 'earlier' | 'other';
  readonly words: { readonly taken: string; readonly same: string; readonly earlier: string };
  readonly both: (stored: T) => Both | null;
}

export interface Asking {
  readonly ask: (title: string, both: Both | null) => Promise<Choice>;
  readonly word: (
    key: 'import.besideNewer' | 'import.leftAlone' | 'import.replaced',
    values: { title: string },
  ) => string;
}

/**
 * Takes one document in: nothing that differs is replaced without being asked, and a replacement can be undone.
 * @throws where it could not be kept
 */
export async function takeIn<T>(incoming: Incoming<T>, asking: Asking): Promise<Line> {
  const { title, document, save, words } = incoming;
  const good = (text: string): Line => ({ good: true, text });
  const first = await save(document, null);
  if (first.outcome === 'saved') return good(words.taken);
  if (first.outcome === 'unreadable') {
    await save(incoming.copy(), null);
    return good(asking.word('import.besideNewer', { title }));
  }
  // What comes in was opened before.
  if (first.outcome === 'refused') throw new Error(`refused: ${first.problems[0]?.path}`);
  const { stored } = first;
  const stands = incoming.against(stored);
  if (stands === 'same') return good(words.same);
  if (stands === 'earlier') return good(words.earlier);
  const choice = stands === 'later' ? 'replace' : await asking.ask(title, incoming.both(stored));
  if (choice === 'cancel') return good(asking.word('import.leftAlone', { title }));
  if (choice === 'both') {
    await save(incoming.copy(), null);
    return good(words.taken);
  }
  const replaced = await save(document, stored);
  // Another tab was quicker: it is asked again against what stands there now.
  if (replaced.outcome !== 'saved') return takeIn(incoming, asking);
  return {
    good: true,
    text: stands === 'later' ? words.taken : asking.word('import.replaced', { title }),
    undo: async () => void (await save(stored, replaced.record)),
  };
}
