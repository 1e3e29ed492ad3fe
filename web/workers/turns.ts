/**
 * Runs a piece of work once it is its turn.
 * @throws AbortError where the signal came before its turn
 */
export type Turns = <T>(work: () => Promise<T>, signal: AbortSignal) => Promise<T>;

/** So many pieces of work at a time, in the order in which they came. */
export function turns(most: number): Turns {
  let running = 0;
  const waiting: (() => void)[] = [];
  return async (work, signal) => {
    if (running < most) running += 1;
    else await new Promise<void>((go) => void waiting.push(go));
    try {
      signal.throwIfAborted();
      return await work();
    } finally {
      // Its place goes to the next as it is: one who comes meanwhile must not find it free.
      const next = waiting.shift();
      if (next) next();
      else running -= 1;
    }
  };
}

/** A core is left to the page: work on all of them would keep it waiting while it draws. */
export const besideThePage = (cores: number): Turns => turns(Math.max(1, cores - 1));
