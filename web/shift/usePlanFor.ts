import { useMemo } from 'react';
import type { Engine } from '../../core/converter';
import type { Unit } from '../../core/geartrain';
import type { HydraulicPlan, PlanWishes } from '../../core/hydraulics';
import { runOilPlan } from '../workers/oilWorker';
import { useSettledRun } from '../workers/useSettledRun';
import { sameUnit } from './sameUnit';
import { engineWishes } from './enginePush';

/** The plan made for a unit with this engine; `null` while it is made. */
export function usePlanFor(
  unit: Unit,
  engine: Engine | undefined,
  { throttle, shifting, lockUp }: Required<Pick<PlanWishes, 'throttle' | 'shifting' | 'lockUp'>>,
): { plan: HydraulicPlan | null; failure: string } {
  const request = useMemo(
    () => ({ unit, wishes: { throttle, shifting, lockUp, ...engineWishes(engine) } }),
    [unit, engine, throttle, shifting, lockUp],
  );
  const { result: plan, failure } = useSettledRun(request, runOilPlan, sameUnit);
  return { plan, failure };
}
