import { useEffect, useState } from 'react';
import type { Draw, FaultCase } from '../../core/faults';
import { reasonOf } from '../shared/reasonOf';
import { openDesk, type DeskSession } from '../workers/faultWorker';
import type { Progress } from '../workers/protocol';

export type DeskNow =
  | { readonly kind: 'opening'; readonly progress: Progress }
  | { readonly kind: 'open'; readonly session: DeskSession }
  | { readonly kind: 'failed'; readonly reason: string };

const BEGINS: DeskNow = { kind: 'opening', progress: { done: 0, of: 1 } };

/**
 * A case laid out in a worker of its own, which is closed with it.
 * @param draw another fault for the machine of that case
 */
export function useDesk(faultCase: FaultCase, draw: Draw | null = null): DeskNow {
  const [now, setNow] = useState<{ of: FaultCase; draw: Draw | null; desk: DeskNow }>({
    of: faultCase,
    draw,
    desk: BEGINS,
  });
  useEffect(() => {
    const own = new AbortController();
    const tell = (desk: DeskNow) => {
      if (!own.signal.aborted) setNow({ of: faultCase, draw, desk });
    };
    openDesk(faultCase, draw, own.signal, (progress) => tell({ kind: 'opening', progress })).then(
      (session) => tell({ kind: 'open', session }),
      (error: unknown) => tell({ kind: 'failed', reason: reasonOf(error) }),
    );
    return () => own.abort();
  }, [faultCase, draw]);
  return now.of === faultCase && now.draw === draw ? now.desk : BEGINS;
}
