import { useMemo } from 'react';
import type { Unit } from '../../core/geartrain';
import { partsOf, type HydraulicPlan } from '../../core/hydraulics';

/** Places of the lever that the plan knows, in the order of the unit. */
export function useLevers(unit: Unit, plan: HydraulicPlan): string[] {
  return useMemo(() => {
    const known = partsOf(plan, 'manual-valve').flatMap((v) => v.places.map((p) => p.lever));
    const all = [...new Set(unit.ranges.map((r) => r.lever))];
    const found = all.filter((l) => known.includes(l));
    return found.length > 0 ? found : all;
  }, [unit, plan]);
}

/** The place with most ranges. */
export const drivingIn = (unit: Unit, levers: readonly string[]): string => {
  const most = (l: string) => unit.ranges.filter((r) => r.lever === l).length;
  return levers.toSorted((a, b) => most(b) - most(a))[0] ?? '';
};
