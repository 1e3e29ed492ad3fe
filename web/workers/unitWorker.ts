import type { Remote } from 'comlink';
import { rememberPlan, type StripPlan } from '../../core/assembly';
import type { ChartRow, Combined, Range, Unit } from '../../core/geartrain';
import type { UnitFigures, UnitWorker } from './protocol';
import type { UnitQuestion } from './unitAnswers';
import { withWorker } from './withWorker';

/** What is worked out of a whole unit, away from the page where it is a large one. */
const start = (): Worker =>
  new Worker(new URL('./unit.worker.ts', import.meta.url), { type: 'module' });

/** A question that a worker of its own answers. */
const asked = <T>(
  of: (worker: Remote<UnitWorker>, unit: Unit, ranges: readonly Range[]) => Promise<T>,
): UnitQuestion<T> => ({
  answer: (unit, ranges, signal) =>
    withWorker<UnitWorker, T>(start(), (worker) => of(worker, unit, ranges), signal),
});

export const FIGURES = asked<UnitFigures>((worker, unit) => worker.figures(unit));
export const ROWS = asked<readonly ChartRow[]>((worker, unit, ranges) =>
  worker.chartRows(unit, ranges),
);
export const COMBINED = asked<Combined>((worker, unit) => worker.combined(unit));
const plan = (parts: 'main' | 'all', { answer }: UnitQuestion<StripPlan>) => ({
  answer: async (unit: Unit, ranges: readonly Range[], signal: AbortSignal) =>
    rememberPlan(unit, parts, await answer(unit, ranges, signal)),
});
export const PLANS = {
  main: plan(
    'main',
    asked((worker, unit) => worker.mainPlan(unit)),
  ),
  all: plan(
    'all',
    asked((worker, unit) => worker.fullPlan(unit)),
  ),
};

/** Ranges times the square of members up to which a unit is worked out within a frame. */
const AT_ONCE = 4000;

export const isLarge = (unit: Unit): boolean =>
  unit.ranges.length * unit.members.length ** 2 > AT_ONCE;
