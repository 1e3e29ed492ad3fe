/**
 * A mark beside the database: that work was kept here, and when last. A browser that finds its database damaged starts with
 * an empty one; only the mark then tells that this is not a first start.
 */
export interface Marks {
  /** When own work was last kept here, as ISO 8601; `null` where none is known of. */
  kept(): string | null;
  /** @param at `null` forgets */
  keep(at: string | null): void;
}

const NAME = 'fair-sprocket-kept';

export function browserMarks(): Marks {
  // A browser that refuses this too has nothing to compare with: nothing is told then.
  const attempt = <T>(task: () => T): T | null => {
    try {
      return task();
    } catch {
      return null;
    }
  };
  return {
    kept: () => attempt(() => localStorage.getItem(NAME)),
    keep: (at) =>
      void attempt(() =>
        at === null ? localStorage.removeItem(NAME) : localStorage.setItem(NAME, at),
      ),
  };
}

export function memoryMarks(): Marks {
  let kept: string | null = null;
  return { kept: () => kept, keep: (at) => void (kept = at) };
}
