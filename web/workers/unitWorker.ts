import type { Remote } from 'comlink';
import {
  clutchPlan,
  demandsOf,
  knownPlan,
  planOf,
  rememberPlan,
  type Job,
  type StripPlan,
} from '../../core/assembly';
import { startTransition, useEffect, useMemo, useState } from 'react';
import {
  chartRows,
  combined,
  forwardRatios,
  unitFindings,
  type ChartRow,
  type Combined,
  type Range,
  type Unit,
} from '../../core/geartrain';
import type { UnitFigures, UnitWorker } from './protocol';
import { withWorker } from './withWorker';

/** What is worked out of a whole unit, away from the page where it is a large one. */
const start = (): Worker =>
  new Worker(new URL('./unit.worker.ts', import.meta.url), { type: 'module' });

/** Asks a worker of its own. */
const ask =
  <T>(question: (worker: Remote<UnitWorker>, unit: Unit, ranges: readonly Range[]) => Promise<T>) =>
  (unit: Unit, ranges: readonly Range[], signal: AbortSignal): Promise<T> =>
    withWorker<UnitWorker, T>(start(), (worker) => question(worker, unit, ranges), signal);

const figuresOf = ask<UnitFigures>((worker, unit) => worker.figures(unit));
const rowsOf = ask<readonly ChartRow[]>((worker, unit, ranges) => worker.chartRows(unit, ranges));
const askPlan = {
  main: ask<StripPlan>((worker, unit) => worker.mainPlan(unit)),
  all: ask<StripPlan>((worker, unit) => worker.fullPlan(unit)),
};
const planAsked =
  (parts: 'main' | 'all') => async (unit: Unit, ranges: readonly Range[], signal: AbortSignal) =>
    rememberPlan(unit, parts, await askPlan[parts](unit, ranges, signal));
const stripPlanOf = { main: planAsked('main'), all: planAsked('all') };
const combinedOf = ask<Combined>((worker, unit) => worker.combined(unit));

/** Ranges times the square of members up to which a unit is worked out within a frame. */
const AT_ONCE = 4000;

export const isLarge = (unit: Unit): boolean =>
  unit.ranges.length * unit.members.length ** 2 > AT_ONCE;

/** Ratios and findings of a unit; those of a large one come a moment later, and the last ones stay until then. */
export function useUnitFigures(unit: Unit | null): UnitFigures | null {
  const atOnce = useMemo(
    () =>
      unit && !isLarge(unit) ? { ratios: forwardRatios(unit), findings: unitFindings(unit) } : null,
    [unit],
  );
  const later = useLater(unit !== null && isLarge(unit), unit, NO_RANGES, figuresOf);
  return atOnce ?? later;
}

/** The rows of a chart in the same way. */
export function useChartRows(unit: Unit, ranges: readonly Range[]): readonly ChartRow[] | null {
  const large = isLarge(unit);
  const atOnce = useMemo(() => (large ? null : chartRows(unit, ranges)), [large, unit, ranges]);
  const later = useLater(large, unit, ranges, rowsOf);
  return atOnce ?? later;
}

/** What all combinations of its elements do; `null` while that is not known yet. */
export function useCombined(unit: Unit): Combined | null {
  const large = isLarge(unit);
  const atOnce = useMemo(() => (large ? null : combined(unit)), [large, unit]);
  const later = useLater(large, unit, NO_RANGES, combinedOf);
  return atOnce ?? later;
}

/** Its parts and what may leave before what; `null` while that is not known yet. */
export function useStripPlan(unit: Unit | null, parts: 'main' | 'all'): StripPlan | null {
  const known = unit && knownPlan(unit, parts);
  const large = unit !== null && !known && isLarge(unit);
  const atOnce = useMemo(
    () => known ?? (large || !unit ? null : rememberPlan(unit, parts, planOf(unit, parts))),
    [known, large, unit, parts],
  );
  const later = useLater(large, unit, NO_RANGES, stripPlanOf[parts]);
  return atOnce ?? later;
}

/** Of a job: of its unit, or of its clutch where it has none. */
export function useJobPlan(job: Job): StripPlan | null {
  const { unit, clutch } = job;
  const ofUnit = useStripPlan(unit ?? null, demandsOf(job).parts);
  const ofClutch = useMemo(() => (!unit && clutch ? clutchPlan(clutch) : null), [unit, clutch]);
  return ofUnit ?? ofClutch;
}

const NO_RANGES: readonly Range[] = [];

/** What the worker answers about a unit; the last answer stays until the next. */
function useLater<T>(
  asks: boolean,
  unit: Unit | null,
  ranges: readonly Range[],
  ask: (unit: Unit, ranges: readonly Range[], signal: AbortSignal) => Promise<T>,
): T | null {
  const [later, setLater] = useState<T | null>(null);
  useEffect(() => {
    if (!unit || !asks) return;
    const cancel = new AbortController();
    // Without it the unit shows no figures: nothing else depends on them.
    ask(unit, ranges, cancel.signal).then(
      (answer) => startTransition(() => setLater(answer)),
      () => undefined,
    );
    return () => cancel.abort();
  }, [asks, unit, ranges, ask]);
  return later;
}
