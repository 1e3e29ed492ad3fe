import { useEffect, useState } from 'react';
import { reasonOf } from '../shared/reasonOf';

/** A drag of a slider settles before anything is run. */
const PAUSE_MS = 120;

/** What came of a request. */
interface Come<Request, What> {
  readonly of: Request;
  readonly what: What;
}

/**
 * Runs in a worker a moment after the last change. The result before stays until the next is there only where both are
 * about the same thing: one unit's rows do not stand under another's name.
 * @param request `null` where nothing can be run
 * @param alike whether two requests are about the same thing; left out where only the very same request is
 * @returns the result, and why the last run failed, empty where it did not
 */
export function useSettledRun<Request, Result>(
  request: Request | null,
  run: (request: Request, signal: AbortSignal) => Promise<Result>,
  alike: (before: Request, now: Request) => boolean = Object.is,
): { readonly result: Result | null; readonly failure: string } {
  const [result, setResult] = useState<Come<Request, Result> | null>(null);
  const [failure, setFailure] = useState<Come<Request, string> | null>(null);
  useEffect(() => {
    if (request === null) return;
    const cancel = new AbortController();
    const timer = setTimeout(() => {
      run(request, cancel.signal).then(
        (what) => {
          setResult({ of: request, what });
          setFailure(null);
        },
        (error: unknown) => {
          if (!cancel.signal.aborted) setFailure({ of: request, what: reasonOf(error) });
        },
      );
    }, PAUSE_MS);
    return () => {
      clearTimeout(timer);
      cancel.abort();
    };
  }, [request, run]);
  const still = <What>(come: Come<Request, What> | null): What | null =>
    come && request !== null && alike(come.of, request) ? come.what : null;
  return { result: still(result), failure: still(failure) ?? '' };
}
