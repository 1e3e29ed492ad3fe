import { solveUnit, type Unit } from '../geartrain';
import { toNumber } from '../numerics';

/** Friction of a lining in oil, N on the plates, m of mean radius: of a usual pack (from memory; the maker's differ). */
const USUAL = { friction: 0.12, force: 9000, radius: 0.065 } as const;
/** N·m at the input of a usual unit (from memory). */
const INPUT_NM = 300;
/** What a pack is built to hold, over the most that is asked of it. */
const MARGIN = 1.4;
const MOST_FRICTIONS = 8;

/** Most that any range asks of each element, over the torque at the input. */
export function elementLoadsOf(unit: Unit): ReadonlyMap<string, number> {
  const most = new Map<string, number>();
  for (const range of unit.ranges)
    for (const load of ['drive', 'coast'] as const)
      for (const [element, { torque }] of solveUnit(unit, range.apply, load).elements) {
        const size = torque ? Math.abs(toNumber(torque)) : 0;
        most.set(element, Math.max(most.get(element) ?? 0, size));
      }
  return most;
}

/** Friction plates of a pack: the fewest that hold the most that is asked of it, with the margin. */
export function frictionsFor(load: number): number {
  const each = 2 * USUAL.friction * USUAL.force * USUAL.radius;
  return Math.min(MOST_FRICTIONS, Math.max(2, Math.ceil((MARGIN * load * INPUT_NM) / each)));
}
