import { powerFlow, solveUnit, type Motion, type Range, type Unit } from '../geartrain';
import { isZero } from '../numerics';
import type { Loads, RangeLoad } from './loads';
import { SOUND_MACHINE } from './machine';
import type { Outcomes } from './outcomes';

/** What is true of a rig's unit as it was made: the yardstick for what a fault changes. */
export interface SoundUnit {
  readonly motionOf: (range: string) => { readonly drive: Motion; readonly coast: Motion };
  readonly loadOf: (range: string) => RangeLoad;
  /** |λ| of an element in a range; 0 where it carries nothing, or where statics leave it open. */
  readonly factorOf: (range: string, element: string) => number;
  /** The most that any range asks of an element, each with its multiplication. */
  readonly worstOf: (element: string) => number;
  /** Gear sets that roll under load, and members that turn. */
  readonly runningIn: (range: string) => {
    readonly sets: ReadonlySet<string>;
    readonly shafts: ReadonlySet<string>;
  };
}

/** A gear counts as one to start in from this share of the lowest. */
const STARTS = 0.99;
/** Reverse gets more pressure, so its elements need not be as large. */
const REVERSE_EASE = 1.35;

export function soundUnit(unit: Unit, outcomes: Outcomes, loads: Loads): SoundUnit {
  const motions = new Map(
    unit.ranges.map((r) => [
      r.id,
      {
        drive: outcomes.settled(SOUND_MACHINE, r, 'drive').motion,
        coast: outcomes.settled(SOUND_MACHINE, r, 'coast').motion,
      },
    ]),
  );
  const place = new Map(unit.elements.map((e, k) => [e.id, k]));
  const ratios = [...motions.values()].map(({ drive }) =>
    drive.outcome === 'drives' ? drive.ratio : 0,
  );
  const lowest = Math.max(...ratios);
  const loadOf = (range: Range): RangeLoad => {
    const { outcome, ratio } = motions.get(range.id)!.drive;
    const reverse = outcome === 'drives' && ratio < 0;
    return { apply: range.apply, reverse, starts: reverse || ratio > STARTS * lowest };
  };
  const rangeLoads = new Map(unit.ranges.map((r) => [r.id, loadOf(r)]));
  const factorOf = (range: string, element: string): number => {
    const torque = motions.get(range)!.drive.torques[place.get(element)!]!;
    return Number.isNaN(torque) ? 0 : Math.abs(torque);
  };
  const asked = (element: string) => (range: Range) => {
    const { starts, reverse } = rangeLoads.get(range.id)!;
    const times = loads.multiplied(starts) / (reverse ? REVERSE_EASE : 1);
    return factorOf(range.id, element) * times;
  };
  const worst = new Map(
    unit.elements.map((e) => [e.id, Math.max(0, ...unit.ranges.map(asked(e.id)))]),
  );
  const running = new Map<string, ReturnType<SoundUnit['runningIn']>>();
  return {
    motionOf: (range) => motions.get(range)!,
    loadOf: (range) => rangeLoads.get(range)!,
    factorOf,
    worstOf: (element) => worst.get(element) ?? 0,
    runningIn(id) {
      if (!running.has(id)) running.set(id, runningOf(unit, outcomes, id));
      return running.get(id)!;
    },
  };
}

function runningOf(unit: Unit, outcomes: Outcomes, id: string): ReturnType<SoundUnit['runningIn']> {
  const solution = solveUnit(unit, outcomes.applyOf(unit.ranges.find((r) => r.id === id)!));
  const turning = <T>(list: Iterable<[string, T]>, is: (value: T) => boolean) =>
    new Set([...list].filter(([, value]) => is(value)).map(([name]) => name));
  return {
    sets: turning(powerFlow(unit, solution).rolling, (p) => p !== null && !isZero(p)),
    shafts: turning(solution.speeds, (w) => w !== null && !isZero(w)),
  };
}
