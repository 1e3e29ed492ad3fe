import { partsOf, type HydraulicPlan } from './plan';

/** What a shift does to the elements that the plan has pistons for, in the plan's order. */
export interface Exchange {
  /** Applied after it and not before, before it and not after, and before or after. */
  readonly coming: readonly string[];
  readonly going: readonly string[];
  readonly either: readonly string[];
}

/** @param was elements applied before @param will elements applied after */
export function exchanged(
  plan: HydraulicPlan,
  was: readonly string[],
  will: readonly string[],
): Exchange {
  const fed = partsOf(plan, 'piston').map((p) => p.element);
  return {
    coming: fed.filter((id) => will.includes(id) && !was.includes(id)),
    going: fed.filter((id) => was.includes(id) && !will.includes(id)),
    either: fed.filter((id) => was.includes(id) || will.includes(id)),
  };
}
