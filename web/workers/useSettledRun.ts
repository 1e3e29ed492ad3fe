import { useEffect, useState } from 'react';
import { reasonOf } from '../shared/reasonOf';

/** A drag of a slider settles before anything is run. */
const PAUSE_MS = 120;

interface Settled<Result> {
  readonly result: Result | null;
  /** Why the last run failed; empty where it did not. */
  readonly failure: string;
}

const NOTHING: Settled<never> = { result: null, failure: '' };

/**
 * Runs in a worker a moment after the last change; the result before stays until the next is there, but never once what
 * is asked about is another thing: one unit's rows do not stand under another's name.
 * @param request `null` where nothing can be run
 * @param about the thing asked about, told apart by identity: a model, or the ids of several
 */
export function useSettledRun<Request, Result>(
  request: Request | null,
  run: (request: Request, signal: AbortSignal) => Promise<Result>,
  about: unknown,
): Settled<Result> {
  const [last, setLast] = useState<(Settled<Result> & { about: unknown }) | null>(null);
  useEffect(() => {
    if (request === null) return;
    const cancel = new AbortController();
    const timer = setTimeout(() => {
      run(request, cancel.signal).then(
        (result) => setLast({ about, result, failure: '' }),
        (error: unknown) => {
          if (cancel.signal.aborted) return;
          const failure = reasonOf(error);
          setLast((before) =>
            before && Object.is(before.about, about)
              ? { ...before, failure }
              : { about, result: null, failure },
          );
        },
      );
    }, PAUSE_MS);
    return () => {
      clearTimeout(timer);
      cancel.abort();
    };
  }, [request, run, about]);
  return request !== null && last && Object.is(last.about, about) ? last : NOTHING;
}
