import { OIL_SOUND, type WornPlan } from './condition';
import type { HydraulicPart, HydraulicPlan } from './plan';
import { PLAN_FAULT_KINDS, PLAN_FAULTS, type PlanFaultKind } from './planFaultTable';

export interface PlanFault {
  readonly kind: PlanFaultKind;
  /** Part of the plan that has it. */
  readonly part: string;
  /** How far it has gone, in its kind's own measure; left out, as usual. */
  readonly amount?: number;
}

/** Faults that a part of this plan can have. */
export const faultsOn = (part: HydraulicPart): PlanFaultKind[] =>
  PLAN_FAULT_KINDS.filter((kind) => {
    const { on, fits } = PLAN_FAULTS[kind];
    return on.includes(part.kind) && (fits?.(part) ?? true);
  });

/** Why a plan can't have a fault; `null` when it can. */
export type PlanFaultProblem = 'unknown-part' | 'not-here' | 'amount';

export function planFaultProblem(plan: HydraulicPlan, fault: PlanFault): PlanFaultProblem | null {
  const part = plan.parts.find((p) => p.id === fault.part);
  if (!part) return 'unknown-part';
  if (!faultsOn(part).includes(fault.kind)) return 'not-here';
  const [least, most] = PLAN_FAULTS[fault.kind].limits;
  const { amount } = fault;
  return amount === undefined || (amount >= least && amount <= most) ? null : 'amount';
}

/** @throws Error when the plan can't have one of the faults: check with `planFaultProblem` first */
export function withPlanFaults(plan: HydraulicPlan, faults: readonly PlanFault[]): WornPlan {
  return faults.reduce<WornPlan>(
    (worn, fault) => {
      const problem = planFaultProblem(plan, fault);
      if (problem) throw new Error(`withPlanFaults: ${problem}: ${fault.part}=${fault.kind}`);
      const spec = PLAN_FAULTS[fault.kind];
      const part = worn.plan.parts.find((p) => p.id === fault.part)!;
      return spec.apply(worn, part, fault.amount ?? spec.usual);
    },
    { plan, condition: OIL_SOUND },
  );
}
