import type { Range, Unit } from '../geartrain';
import type { OilCondition } from './condition';
import { rangeMotions } from './rangeMotions';

/** A unit's forward gears as its valves tell them: by the lever place that has most of them. */
export interface Gears {
  /** The main place's forward ranges, lowest gear first. */
  readonly forward: readonly { readonly range: Range; readonly ratio: number }[];
  readonly levers: readonly string[];
  readonly mainLever: string | null;
  /** A lever place that drives backward only; `null` where there is none. */
  readonly reverse: string | null;
  /** What is on in a lever place while the shift valves stand in this gear, 1 for the first. */
  readonly on: (lever: string, gear: number) => readonly string[];
  /** The range that this comes to; `null` where the unit has no such place. */
  readonly rangeAt: (lever: string, gear: number) => Range | null;
  /** The gear of the main place that a range is: by its name, or by the ratio next to it. */
  readonly gearOf: (range: Range) => number;
}

export function gearsOf(unit: Unit): Gears {
  const ratioOf = new Map<Range, number>();
  const motionOf = rangeMotions(unit);
  for (const range of unit.ranges) {
    const { ratio } = motionOf(range);
    if (ratio !== null) ratioOf.set(range, ratio);
  }
  const levers = [...new Set(unit.ranges.map((r) => r.lever))];
  const forwardIn = (lever: string) =>
    unit.ranges
      .filter((r) => r.lever === lever && (ratioOf.get(r) ?? 0) > 0)
      .sort((a, b) => ratioOf.get(b)! - ratioOf.get(a)!);
  const mainLever = levers.reduce<string | null>(
    (best, l) => (forwardIn(l).length > (best === null ? 0 : forwardIn(best).length) ? l : best),
    null,
  );
  const forward = (mainLever === null ? [] : forwardIn(mainLever)).map((range) => ({
    range,
    ratio: ratioOf.get(range)!,
  }));
  const gearOf = (range: Range): number => {
    const named = forward.findIndex((f) => f.range.gear === range.gear);
    if (named >= 0) return named + 1;
    const ratio = ratioOf.get(range) ?? 0;
    if (ratio <= 0 || forward.length === 0) return 1;
    const apart = forward.map((f) => Math.abs(Math.log(f.ratio / ratio)));
    return apart.indexOf(Math.min(...apart)) + 1;
  };
  const rangeAt = (lever: string, gear: number): Range | null => {
    const here = unit.ranges.filter((r) => r.lever === lever);
    if (here.length === 0) return null;
    return here.reduce((best, r) =>
      Math.abs(gearOf(r) - gear) < Math.abs(gearOf(best) - gear) ? r : best,
    );
  };
  const backward = (lever: string): boolean => {
    const ratios = unit.ranges
      .filter((r) => r.lever === lever)
      .flatMap((r) => ratioOf.get(r) ?? []);
    return ratios.length > 0 && ratios.every((ratio) => ratio < 0);
  };
  return {
    forward,
    levers,
    mainLever,
    reverse: levers.find(backward) ?? null,
    rangeAt,
    gearOf,
    on: (lever, gear) => rangeAt(lever, gear)?.apply ?? [],
  };
}

/** The range that a control unit commands in a gear: by the lever place that its sensor tells it. */
export function commandedRange(
  { levers, rangeAt }: Gears,
  lever: string,
  gear: number,
  { leverRead }: Pick<OilCondition, 'leverRead'>,
): Range | null {
  const at = levers.indexOf(lever);
  // Beside the last place there is only the one before it.
  const read = levers[at + leverRead] ?? levers[at - leverRead] ?? lever;
  return rangeAt(at < 0 ? lever : read, gear);
}
