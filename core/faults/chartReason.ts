import {
  maskOf,
  oneWaysOf,
  outcomeTable,
  solveUnit,
  type Load,
  type Motion,
  type Unit,
} from '../geartrain';
import { driveSymptom, type DriveSymptom } from './driving';

/** What the bad ranges have in common, as an expert reasons on the chart. */
export interface ChartReason {
  readonly bad: readonly string[];
  readonly good: readonly string[];
  /** Elements that work in every bad range. */
  readonly inAllBad: readonly string[];
  /** Of these, those that must work in a good one, which would be bad without them: they are cleared. */
  readonly cleared: readonly string[];
  /** What is left. */
  readonly left: readonly string[];
  /** Elements that would make just these ranges bad, and in just this way, by being on all the time. */
  readonly alwaysOn: readonly string[];
}

/** Elements that carry or hold in a range of the sound unit. */
export const worksIn = (unit: Unit, range: string): string[] => {
  const apply = unit.ranges.find((r) => r.id === range)?.apply ?? [];
  return [...solveUnit(unit, apply).elements]
    .filter(([, e]) => e.state !== 'open' && e.state !== 'overrunning')
    .map(([id]) => id);
};

/** How a unit's ranges change with an element gone, or on all the time; one table for all questions. */
export interface ChangedRanges {
  /**
   * The one rule for what a good range clears: it clears an element that it could not do without. One beside which
   * another holds the same member is not cleared, since the range is good without it.
   */
  readonly mustWork: (range: string, element: string, load?: Load) => boolean;
  /** What a driver meets in a range where an element is on all the time. */
  readonly withAlwaysOn: (range: string, element: string) => DriveSymptom;
}

/** @throws Error when the unit is too large to tabulate */
export function changedRanges(unit: Unit): ChangedRanges {
  const table = outcomeTable(unit);
  const ways = oneWaysOf(unit);
  const settle = (range: string, load: Load, gone: number, stuck: number): Motion => {
    const apply = unit.ranges.find((r) => r.id === range)?.apply ?? [];
    const on = (maskOf(unit, apply) | stuck) & ~gone;
    return table.settle(on, load, { all: ways.all & ~gone & ~stuck, reversed: 0 }).motion;
  };
  const bit = (element: string) => maskOf(unit, [element]);
  return {
    mustWork: (range, element, load = 'drive') =>
      driveSymptom(settle(range, load, 0, 0), settle(range, load, bit(element), 0)) !== 'right',
    withAlwaysOn: (range, element) =>
      driveSymptom(settle(range, 'drive', 0, 0), settle(range, 'drive', 0, bit(element))),
  };
}

/** @param seen what each range that was driven does, as `DriveSymptom` says it */
export function chartReason(
  unit: Unit,
  seen: ReadonlyMap<string, string>,
  changed: ChangedRanges = changedRanges(unit),
): ChartReason {
  const bad = [...seen].filter(([, does]) => does !== 'right').map(([range]) => range);
  const good = [...seen].filter(([, does]) => does === 'right').map(([range]) => range);
  const works = new Map(bad.map((id) => [id, worksIn(unit, id)]));
  const inAllBad = unit.elements
    .map((e) => e.id)
    .filter((id) => bad.length > 0 && bad.every((r) => works.get(r)!.includes(id)));
  const cleared = inAllBad.filter((id) => good.some((r) => changed.mustWork(r, id)));
  const alwaysOn = unit.elements
    .map((e) => e.id)
    .filter(
      (id) =>
        bad.length > 0 && [...seen].every(([r, does]) => changed.withAlwaysOn(r, id) === does),
    );
  const left = inAllBad.filter((id) => !cleared.includes(id));
  return { bad, good, inAllBad, cleared, left, alwaysOn };
}
