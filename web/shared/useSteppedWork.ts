import { useCallback, useEffect, useRef, useState } from 'react';

/** Long work away from the page that tells of its steps, and can be cancelled; leaving the screen cancels it too. */
export function useSteppedWork(reasonOf: (error: unknown) => string) {
  const [running, setRunning] = useState(false);
  const [failure, setFailure] = useState('');
  const controller = useRef<AbortController | null>(null);
  useEffect(() => () => controller.current?.abort(), []);
  const start = useCallback(
    (work: (signal: AbortSignal) => Promise<unknown>) => {
      const own = new AbortController();
      controller.current = own;
      setRunning(true);
      setFailure('');
      work(own.signal)
        .catch((error: unknown) => {
          if (!own.signal.aborted) setFailure(reasonOf(error));
        })
        .finally(() => setRunning(false));
    },
    [reasonOf],
  );
  return { running, failure, start, cancel: () => controller.current?.abort() };
}
