import { maskOf, oneWaysOf, outcomeTable, type Range, type Unit } from '../geartrain';

/** What a range of a unit does with the engine driving, in floating point: a large unit has many, and none is shown. */
export interface RangeMotion {
  /** ω_in/ω_out; `null` unless it drives. */
  readonly ratio: number | null;
  /** |λ| of an element, × input torque; 0 where statics leave it open. */
  readonly factorOf: (element: string) => number;
}

/** @throws Error when the unit has more elements than the table of outcomes takes */
export function rangeMotions(unit: Unit): (range: Range) => RangeMotion {
  const table = outcomeTable(unit);
  const ways = oneWaysOf(unit);
  const place = new Map(unit.elements.map((e, k) => [e.id, k]));
  return ({ apply }) => {
    const { motion } = table.settle(maskOf(unit, apply), 'drive', ways);
    return {
      ratio: motion.outcome === 'drives' ? motion.ratio : null,
      factorOf(element) {
        const torque = motion.torques[place.get(element) ?? -1] ?? Number.NaN;
        return Number.isNaN(torque) ? 0 : Math.abs(torque);
      },
    };
  };
}
