import { reasonOf } from './reasonOf';

/** waiting: a moment from now · stopped: something must be decided first, and nothing is saved until then */
export type SaverState = 'saved' | 'waiting' | 'saving' | 'failed' | 'stopped';

/** What is to be kept. */
export interface Draft<T> {
  readonly draft: T;
  /** The draft can be kept as it is. */
  readonly sound: boolean;
  /** @returns false where something must be decided first @throws where it could not be kept */
  readonly save: (draft: T, base: T) => Promise<boolean>;
}

/** How keeping stands. */
export interface Keeping<T> {
  readonly state: 'idle' | 'saving' | 'failed' | 'stopped';
  /** What is stored. */
  readonly kept: T;
  /** What the browser said when a save failed. */
  readonly reason: string;
}

export interface DraftSaver<T> {
  readonly subscribe: (listener: () => void) => () => void;
  readonly now: () => Keeping<T>;
  /** The draft as it is now; the same again changes nothing. */
  readonly changed: (to: Draft<T>) => void;
  readonly draft: () => T;
  /** Nothing is left unsaved. */
  readonly clean: () => boolean;
  /** Saves at once. @returns whether nothing is left unsaved */
  readonly saveNow: () => Promise<boolean>;
  /** Something else is stored now: what is kept from here on is compared with it. */
  readonly rebase: (stored: T) => void;
}

/** A pause in the typing saves; who never pauses is saved for all that. */
const PAUSE_MS = 700;
const LONGEST_MS = 2000;

/**
 * How keeping stands for who looks at `draft`. While a save runs nothing is saved: what was taken back meanwhile is as it
 * was stored before, but not as it will be.
 */
export function saverState<T>({ state, kept }: Keeping<T>, draft: T): SaverState {
  if (state === 'saving') return state;
  if (draft === kept) return 'saved';
  return state === 'idle' ? 'waiting' : state;
}

/** How long until the next save. @param since when the first change that is not kept was made, ms */
export const waitFor = (now: number, since: number): number =>
  Math.max(0, Math.min(PAUSE_MS, since + LONGEST_MS - now));

/**
 * Keeps a draft: a moment after the last change, at the latest two seconds after the first. What could not be kept is
 * tried again when it changes, or when the user says so.
 * @param stored what is stored at the start
 */
export function draftSaver<T>(stored: T): DraftSaver<T> {
  let latest: Draft<T> = { draft: stored, sound: false, save: () => Promise.resolve(false) };
  let keeping: Keeping<T> = { state: 'idle', kept: stored, reason: '' };
  let running: Promise<boolean> | null = null;
  let since: number | null = null;
  let refused: T | null = null;
  let timer: ReturnType<typeof setTimeout> | undefined;
  const listeners = new Set<() => void>();

  const asKept = () => latest.draft === keeping.kept;
  const clean = () => saverState(keeping, latest.draft) === 'saved';
  function schedule(): void {
    clearTimeout(timer);
    const { draft, sound } = latest;
    if (asKept() || draft === refused || !sound || keeping.state === 'stopped') return;
    since ??= Date.now();
    timer = setTimeout(() => void saveNow(), waitFor(Date.now(), since));
  }
  function set(change: Partial<Keeping<T>>): void {
    keeping = { ...keeping, ...change };
    schedule();
    for (const listener of listeners) listener();
  }
  async function saveAll(): Promise<boolean> {
    let tried: T | null = null;
    try {
      while (!asKept() && latest.sound) {
        const { draft, save } = latest;
        tried = draft;
        set({ state: 'saving' });
        if (!(await save(draft, keeping.kept))) {
          set({ state: 'stopped' });
          return false;
        }
        since = null;
        set({ kept: draft });
      }
      set({ state: 'idle' });
      return clean();
    } catch (error) {
      refused = tried;
      since = null;
      set({ state: 'failed', reason: reasonOf(error) });
      return false;
    }
  }
  function saveNow(): Promise<boolean> {
    running ??= saveAll().finally(() => {
      running = null;
    });
    return running;
  }
  return {
    subscribe(listener) {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    now: () => keeping,
    changed(to) {
      const same = to.draft === latest.draft && to.sound === latest.sound;
      latest = to;
      if (!same) schedule();
    },
    draft: () => latest.draft,
    clean,
    saveNow,
    rebase(kept) {
      refused = null;
      since = null;
      set({ kept, reason: '', state: 'idle' });
    },
  };
}
