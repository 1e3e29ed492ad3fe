import { useEffect, useMemo, useState } from 'react';
import { forwardRatios, unitFindings, type Unit } from '../../core/geartrain';
import type { UnitFigures, UnitWorker } from './protocol';
import { withWorker } from './withWorker';

/** What is worked out of a whole unit, away from the page where it is a large one. */
const start = (): Worker =>
  new Worker(new URL('./unit.worker.ts', import.meta.url), { type: 'module' });

const figuresOf = (unit: Unit, signal: AbortSignal): Promise<UnitFigures> =>
  withWorker<UnitWorker, UnitFigures>(
    start(),
    async (worker): Promise<UnitFigures> => await worker.figures(unit),
    signal,
  );

/** Ranges times the square of members up to which a unit is worked out within a frame. */
const AT_ONCE = 4000;

export const isLarge = (unit: Unit): boolean =>
  unit.ranges.length * unit.members.length ** 2 > AT_ONCE;

/** Ratios and findings of a unit; those of a large one come a moment later, and the last ones stay until then. */
export function useUnitFigures(unit: Unit | null): UnitFigures | null {
  const large = unit !== null && isLarge(unit);
  const atOnce = useMemo(
    () =>
      unit && !isLarge(unit) ? { ratios: forwardRatios(unit), findings: unitFindings(unit) } : null,
    [unit],
  );
  const [later, setLater] = useState<UnitFigures | null>(null);
  useEffect(() => {
    if (!unit || !large) return;
    const cancel = new AbortController();
    // Without it the unit shows no figures: nothing else depends on them.
    figuresOf(unit, cancel.signal).then(setLater, () => undefined);
    return () => cancel.abort();
  }, [unit, large]);
  return large ? later : atOnce;
}
