import { toNumber } from '../numerics';
import { solveUnit, type Solution } from './solve';
import { CASE, type Range, type Unit } from './unit';

/** An apply chart's rows, computed: what each range does, its step, whether the engine brakes, and who holds. */
export interface ChartRow {
  readonly range: Range;
  readonly drive: Solution;
  readonly coast: Solution;
  /** The engine slows the vehicle on coast; `null` where it does not drive. */
  readonly braking: boolean | null;
  /** Ratio of the forward range before over this one's, when the ranges go up; else `null`. */
  readonly step: number | null;
  /** Elements that put torque on the case, with its size × input torque; `null` is an open share. */
  readonly holds: readonly { readonly element: string; readonly torque: number | null }[];
}

export function chartRows(unit: Unit, ranges: readonly Range[] = unit.ranges): ChartRow[] {
  let before: number | null = null;
  return ranges.map((range) => {
    const drive = solveUnit(unit, range.apply);
    const coast = solveUnit(unit, range.apply, 'coast');
    const ratio = drive.ratio && toNumber(drive.ratio);
    const forward = ratio !== null && ratio > 0 ? ratio : null;
    const step = forward !== null && before !== null && before > forward ? before / forward : null;
    if (forward !== null) before = forward;
    return {
      range,
      drive,
      coast,
      braking: drive.outcome === 'drives' ? coast.outcome === 'drives' : null,
      step,
      holds: holdersOf(unit, drive),
    };
  });
}

/** Brakes, bands and one-way clutches on the case that take a reaction. */
export function holdersOf(unit: Unit, solution: Solution): ChartRow['holds'] {
  if (solution.outcome !== 'drives') return [];
  return unit.elements.flatMap(({ id, between }): ChartRow['holds'] => {
    const result = solution.elements.get(id);
    if (!between.includes(CASE) || !result) return [];
    if (result.state === 'shared') return [{ element: id, torque: null }];
    const torque = result.torque ? Math.abs(toNumber(result.torque)) : 0;
    return torque > 0 ? [{ element: id, torque }] : [];
  });
}

/** Ratios of the forward gears, each once, lowest gear first. */
export function forwardRatios(unit: Unit): number[] {
  const ratios = unit.ranges.flatMap(({ apply }) => {
    const { ratio } = solveUnit(unit, apply);
    return ratio && toNumber(ratio) > 0 ? [toNumber(ratio)] : [];
  });
  return [...new Set(ratios)].sort((a, b) => b - a);
}

/** Lowest forward gear's ratio over the highest's; `null` with fewer than two. */
export function spreadOf(rows: readonly ChartRow[]): number | null {
  const ratios = rows.flatMap(({ drive }) => {
    const ratio = drive.ratio ? toNumber(drive.ratio) : 0;
    return ratio > 0 ? [ratio] : [];
  });
  return ratios.length < 2 ? null : Math.max(...ratios) / Math.min(...ratios);
}
