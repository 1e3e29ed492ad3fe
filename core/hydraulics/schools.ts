import type { Unit } from '../geartrain';
import { demandsOf } from './demands';
import { exchanged } from './exchange';
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
const SETS: Readonly<Record<ShiftSchool, { readonly feed: number; readonly spring: number }>> = {
  soft: { feed: 1, spring: 1 },
  firm: { feed: 1.8, spring: 1.35 },
};

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
  const { coming } = exchanged(plan, from.range.apply, to.range.apply);
  const lines = partsOf(plan, 'piston').flatMap((p) =>
    coming.includes(p.element) ? [p.line] : [],
  );
  const { feed, spring } = SETS[school];
  const set = {
    ...plan,
    parts: plan.parts.map((p) => {
      if (p.kind === 'accumulator' && lines.includes(p.line))
        return { ...p, spring: p.spring * spring, springEnd: p.springEnd * spring };
      return p.kind === 'feed' && lines.includes(p.to) ? { ...p, in: p.in * feed } : p;
    }),
  };
  return timedShift(set, gears, demandsOf(unit, gears, wishes), gear);
}
