import { startTransition, useEffect, useMemo, useState } from 'react';
import {
  clutchPlan,
  demandsOf,
  knownPlan,
  planOf,
  rememberPlan,
  type Job,
  type StripPlan,
} from '../../core/assembly';
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
import { whenIdle } from '../shared/whenIdle';
import type { UnitFigures } from '../workers/protocol';
import type { UnitQuestion } from '../workers/unitAnswers';
import { COMBINED, FIGURES, isLarge, PLANS, ROWS } from '../workers/unitWorker';
import { useServices } from './hooks';

/** Ratios and findings of a unit; those of a large one come a moment later, and the last ones stay until then. */
export function useUnitFigures(unit: Unit | null): UnitFigures | null {
  const atOnce = useMemo(
    () =>
      unit && !isLarge(unit) ? { ratios: forwardRatios(unit), findings: unitFindings(unit) } : null,
    [unit],
  );
  const later = useLater(unit !== null && isLarge(unit), unit, NO_RANGES, FIGURES);
  return atOnce ?? later;
}

/** The rows of a chart in the same way. */
export function useChartRows(unit: Unit, ranges: readonly Range[]): readonly ChartRow[] | null {
  const large = isLarge(unit);
  const atOnce = useMemo(() => (large ? null : chartRows(unit, ranges)), [large, unit, ranges]);
  const later = useLater(large, unit, ranges, ROWS);
  return atOnce ?? later;
}

/** What all combinations of its elements do; `null` while that is not known yet. */
export function useCombined(unit: Unit): Combined | null {
  const large = isLarge(unit);
  const atOnce = useMemo(() => (large ? null : combined(unit)), [large, unit]);
  const later = useLater(large, unit, NO_RANGES, COMBINED);
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
  const later = useLater(large, unit, NO_RANGES, PLANS[parts]);
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

/** What the worker answers about a unit; what is known is there at once, and the last answer stays until the next. */
function useLater<T>(
  asks: boolean,
  unit: Unit | null,
  ranges: readonly Range[],
  question: UnitQuestion<T>,
): T | null {
  const { unitAnswers } = useServices();
  const known = unit && asks ? unitAnswers.known(question, unit, ranges) : undefined;
  const [later, setLater] = useState<T | null>(null);
  useEffect(() => {
    if (!unit || !asks) return;
    const cancel = new AbortController();
    // The drawing is asked for first: it is what is looked at.
    const callOff = whenIdle(() => {
      // Without it the unit shows no figures: nothing else depends on them.
      unitAnswers.ask(question, unit, ranges, cancel.signal).then(
        (answer) => startTransition(() => setLater(answer)),
        () => undefined,
      );
    });
    return () => {
      callOff();
      cancel.abort();
    };
  }, [asks, unit, ranges, question, unitAnswers]);
  return known ?? later;
}
