import type { Unit } from '../geartrain';
import { USUAL_SCHEDULE } from '../vehicle';
import type { Gears } from './gears';
import { rangeMotions } from './rangeMotions';
import { TIMED_AT, USUAL_ENGINE, USUAL_PRESSURES, type PlanWishes } from './wishes';

/** Output speeds in rev/min between two gears: with the throttle closed and open, going up and coming down. */
export interface ShiftPoints {
  readonly light: number;
  readonly full: number;
  readonly lightDown: number;
}

/** What a unit asks of its elements and of its valves. */
export interface Demands {
  /** N·m that an element has to hold at full pressure. */
  readonly capacity: (element: string) => number;
  /** N·m that it holds in this range with the engine at `TIMED_AT`. */
  readonly timed: (range: string, element: string) => number;
  readonly shifts: readonly ShiftPoints[];
  /** Lever places that only go backward. */
  readonly reverse: ReadonlySet<string>;
}

/** Capacity over the most that is asked (memory). */
const MARGIN = 1.4;
/** Of full torque, for an element whose share statics leave open. */
const LEAST_FACTOR = 0.5;
/** A gear counts as one to start in from this share of the lowest ratio. */
const STARTS = 0.99;

export function demandsOf(unit: Unit, gears: Gears, wishes: PlanWishes): Demands {
  const { inputNm, startTimes, idleRpm, governedRpm } = { ...USUAL_ENGINE, ...wishes };
  const motionOf = rangeMotions(unit);
  const solved = new Map(unit.ranges.map((r) => [r.id, motionOf(r)]));
  const ratioOf = (range: string) => solved.get(range)?.ratio ?? 0;
  const factor = (range: string, element: string) => solved.get(range)?.factorOf(element) ?? 0;
  const lowest = Math.max(0, ...unit.ranges.map((r) => ratioOf(r.id)));
  const times = (range: string) => {
    const ratio = ratioOf(range);
    if (ratio < 0) return startTimes / USUAL_PRESSURES.reverseBoost;
    return ratio >= STARTS * lowest ? startTimes : 1;
  };
  const speed = (share: number, ratio: number) =>
    (idleRpm + share * (governedRpm - idleRpm)) / ratio;
  const { light, full, hysteresis } = USUAL_SCHEDULE;
  return {
    capacity: (element) =>
      MARGIN *
      inputNm *
      Math.max(LEAST_FACTOR, ...unit.ranges.map((r) => factor(r.id, element) * times(r.id))),
    timed: (range, element) => TIMED_AT * inputNm * factor(range, element),
    shifts: gears.forward.slice(0, -1).map(({ ratio }) => ({
      light: speed(light, ratio),
      full: speed(full, ratio),
      lightDown: speed(light, ratio) * (1 - hysteresis),
    })),
    reverse: new Set(
      gears.levers.filter((lever) => {
        const ratios = unit.ranges.filter((r) => r.lever === lever).map((r) => ratioOf(r.id));
        return ratios.length > 0 && ratios.every((r) => r < 0);
      }),
    ),
  };
}
