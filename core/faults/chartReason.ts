import { solveUnit, type Unit } from '../geartrain';

/** What the bad ranges have in common, as an expert reasons on the chart. */
export interface ChartReason {
  readonly bad: readonly string[];
  readonly good: readonly string[];
  /** Elements that work in every bad range. */
  readonly inAllBad: readonly string[];
  /** Of these, those that also work in a good one: they are cleared. */
  readonly cleared: readonly string[];
  /** What is left. */
  readonly left: readonly string[];
}

/** Elements that carry or hold in a range of the sound unit. */
export const worksIn = (unit: Unit, range: string): string[] => {
  const apply = unit.ranges.find((r) => r.id === range)?.apply ?? [];
  return [...solveUnit(unit, apply).elements]
    .filter(([, e]) => e.state !== 'open' && e.state !== 'overrunning')
    .map(([id]) => id);
};

/** @param bad ranges that do not drive as they should @param good those that do */
export function chartReason(
  unit: Unit,
  bad: readonly string[],
  good: readonly string[],
): ChartReason {
  const works = new Map([...bad, ...good].map((id) => [id, worksIn(unit, id)]));
  const of = (range: string) => works.get(range) ?? [];
  const inAllBad =
    bad.length === 0 ? [] : of(bad[0]!).filter((id) => bad.every((r) => of(r).includes(id)));
  const cleared = inAllBad.filter((id) => good.some((r) => of(r).includes(id)));
  return { bad, good, inAllBad, cleared, left: inAllBad.filter((id) => !cleared.includes(id)) };
}
