import type { Unit } from '../geartrain';
import { demandsOf } from './demands';
import { exchanged, type Exchange } from './exchange';
import type { Gears } from './gears';
import { partsOf, type HydraulicPlan } from './plan';
import { timedShift } from './timing';
import type { PlanWishes } from './wishes';

/**
 * Two schools of setting the same upshift (common practice): soft, for comfort, lets the coming clutch take over slowly; firm has
 * it over with, for little slip and heat. Either is timed for itself: what goes lets go when the coming one has taken over.
 */
export const SHIFT_SCHOOLS = ['soft', 'firm'] as const;
export type ShiftSchool = (typeof SHIFT_SCHOOLS)[number];

/** Its feed's opening and its accumulator's spring, over those of a plan that is made, which is soft (memory). */
const SETS: Readonly<Record<ShiftSchool, ShiftSet>> = {
  soft: { feed: 1, spring: 1 },
  firm: { feed: 1.8, spring: 1.35 },
};

/** What is set of a shift: how many times as wide or as strong as it was. */
interface ShiftSet {
  /** Of what comes: its feed's opening, and its accumulator's spring. */
  readonly feed: number;
  readonly spring: number;
  /** Of what goes: its way out. */
  readonly out?: number;
}

/** The plan with what comes and goes in a shift set so. */
export function withShiftSet(
  plan: HydraulicPlan,
  shift: Pick<Exchange, 'coming' | 'going'>,
  { feed, spring, out = 1 }: ShiftSet,
): HydraulicPlan {
  const linesOf = (ids: readonly string[]) =>
    partsOf(plan, 'piston').flatMap((p) => (ids.includes(p.element) ? [p.line] : []));
  const [coming, going] = [linesOf(shift.coming), linesOf(shift.going)];
  return {
    ...plan,
    parts: plan.parts.map((p) => {
      if (p.kind === 'accumulator' && coming.includes(p.line))
        return { ...p, spring: p.spring * spring, springEnd: p.springEnd * spring };
      if (p.kind !== 'feed') return p;
      if (coming.includes(p.to)) return { ...p, in: p.in * feed };
      return going.includes(p.to) ? { ...p, out: p.out * out } : p;
    }),
  };
}

/** The plan with one upshift set as a school sets it. @param gear the lower one, 1 for the first */
export function setAs(
  plan: HydraulicPlan,
  school: ShiftSchool,
  asked: {
    readonly unit: Unit;
    readonly gears: Gears;
    readonly gear: number;
    readonly wishes: PlanWishes;
  },
): HydraulicPlan {
  const { unit, gears, gear, wishes } = asked;
  const [from, to] = [gears.forward[gear - 1], gears.forward[gear]];
  if (!from || !to) return plan;
  const set = withShiftSet(plan, exchanged(plan, from.range.apply, to.range.apply), SETS[school]);
  return timedShift(set, gears, demandsOf(unit, gears, wishes), gear);
}
