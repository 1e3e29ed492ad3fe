/**
 * What is on its way into the database: a page that goes before it is there takes nothing with it, since this is written at
 * once, and goes on from here at the next start.
 */
export interface Waiting {
  /** @param text kept until it is told to be done, or until something newer of that id is */
  begun(id: string, text: string): void;
  done(id: string, text: string): void;
  all(): string[];
}

const PREFIX = 'fair-sprocket-waiting:';

/** @param storage `null` where a browser refuses it: nothing is kept then */
export function waitingIn(
  storage: () => Pick<Storage, 'getItem' | 'setItem' | 'removeItem'> | null,
): Waiting {
  const attempt = <T>(task: (of: NonNullable<ReturnType<typeof storage>>) => T): T | null => {
    try {
      const of = storage();
      return of && task(of);
    } catch {
      return null;
    }
  };
  return {
    begun: (id, text) => void attempt((of) => of.setItem(PREFIX + id, text)),
    done: (id, text) =>
      void attempt((of) => {
        if (of.getItem(PREFIX + id) === text) of.removeItem(PREFIX + id);
      }),
    all: () =>
      attempt((of) =>
        Object.keys(of)
          .filter((key) => key.startsWith(PREFIX))
          .flatMap((key) => of.getItem(key) ?? []),
      ) ?? [],
  };
}
