import { useEffect, useRef, useState } from 'react';
import type { SymptomRow } from '../../core/faults';
import type { Unit } from '../../core/geartrain';
import { pairsOf } from '../workers/faultWorker';
import type { Progress } from '../workers/protocol';

/** Every pair of faults of a unit, worked out when it is asked for, with progress and a way to stop. */
export function usePairs(unit: Unit) {
  const [found, setFound] = useState<{ unit: Unit; rows: SymptomRow[] } | null>(null);
  const [progress, setProgress] = useState<Progress | null>(null);
  const running = useRef<AbortController | null>(null);
  useEffect(() => () => running.current?.abort(), [unit]);
  const start = () => {
    const own = new AbortController();
    running.current = own;
    setProgress({ done: 0, of: 1 });
    pairsOf(unit, own.signal, (step) => {
      if (!own.signal.aborted) setProgress(step);
    })
      .then((rows) => setFound({ unit, rows }))
      .catch(() => undefined)
      .finally(() => setProgress(null));
  };
  return {
    rows: found?.unit === unit ? found.rows : null,
    progress,
    start,
    cancel: () => running.current?.abort(),
  };
}
