import { useEffect, useState } from 'react';
import { reasonOf } from '../shared/reasonOf';

/** A drag of a slider settles before anything is run. */
const PAUSE_MS = 120;

/** Runs in a worker a moment after the last change; the result before stays until the next is there. */
export function useSettledRun<Request, Result>(
  request: Request | null,
  run: (request: Request, signal: AbortSignal) => Promise<Result>,
) {
  const [result, setResult] = useState<Result | null>(null);
  const [failure, setFailure] = useState('');
  useEffect(() => {
    if (request === null) return;
    const cancel = new AbortController();
    const timer = setTimeout(() => {
      run(request, cancel.signal).then(
        (done) => {
          setResult(done);
          setFailure('');
        },
        (error: unknown) => {
          if (!cancel.signal.aborted) setFailure(reasonOf(error));
        },
      );
    }, PAUSE_MS);
    return () => {
      clearTimeout(timer);
      cancel.abort();
    };
  }, [request, run]);
  return { result, failure };
}
