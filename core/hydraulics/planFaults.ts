import { OIL_SOUND, type OilCondition } from './condition';
import { PAN, type HydraulicKind, type HydraulicPart, type HydraulicPlan } from './plan';

/** What is wrong in the oil: changes of numbers in the plan, or of its condition. Symptoms are computed, never listed. */
export type PlanFaultKind =
  | 'valve-stuck-down'
  | 'valve-stuck-up'
  | 'valve-scored'
  | 'spring-broken'
  | 'spring-swapped'
  | 'ball-missing'
  | 'ball-beside'
  | 'gasket-other'
  | 'plate-leaks'
  | 'accumulator-seal'
  | 'accumulator-spring'
  | 'accumulator-stuck'
  | 'piston-seal'
  | 'screen-blocked'
  | 'filter-blocked'
  | 'pickup-draws-air'
  | 'level-low'
  | 'pump-worn'
  | 'pump-not-driven'
  | 'solenoid-dead'
  | 'solenoid-stuck-open'
  | 'solenoid-gummed'
  | 'cable-slack'
  | 'cable-short'
  | 'diaphragm-torn'
  | 'governor-stuck'
  | 'beside-detent'
  | 'bolts-loose'
  | 'learned-elsewhere';

export interface PlanFault {
  readonly kind: PlanFaultKind;
  /** Part of the plan that has it. */
  readonly part: string;
  /** How far it has gone, in its kind's own measure; left out, as usual. */
  readonly amount?: number;
}

/** A plan and the condition it is in. */
export interface WornPlan {
  readonly plan: HydraulicPlan;
  readonly condition: OilCondition;
}

interface PlanFaultSpec {
  /** Parts that can have it. */
  readonly on: readonly HydraulicKind[];
  readonly fits?: (part: HydraulicPart) => boolean;
  readonly usual: number;
  readonly limits: readonly [number, number];
  /** What the amount is: a share, or a number of times as much. */
  readonly measure: 'share' | 'times' | 'none';
  readonly apply: (worn: WornPlan, part: HydraulicPart, amount: number) => WornPlan;
}

/** One part changed. */
const changed = <P extends HydraulicPart>(
  worn: WornPlan,
  part: P,
  change: Partial<P>,
): WornPlan => ({
  ...worn,
  plan: {
    ...worn.plan,
    parts: worn.plan.parts.map((p) => (p.id === part.id ? { ...p, ...change } : p)),
  },
});
const inState = (worn: WornPlan, change: Partial<OilCondition>): WornPlan => ({
  ...worn,
  condition: { ...worn.condition, ...change },
});
const stuckAt =
  (place: number) =>
  (worn: WornPlan, { id }: HydraulicPart): WornPlan =>
    inState(worn, { stuck: new Map(worn.condition.stuck).set(id, place) });
const leaking = (worn: WornPlan, from: string, to: string, k: number): WornPlan =>
  inState(worn, { crossings: [...worn.condition.crossings, { from, to, k }] });

/** k of a leak that lets by as much as a usual feed, times the amount (memory). */
const LEAK = 0.2e-6;

/** How far a stretched or a shortened cable shifts the pedal's travel: the cable's own slack. */
const cable =
  (way: 1 | -1): PlanFaultSpec['apply'] =>
  (worn, part, amount) =>
    part.kind === 'throttle-valve' && part.by.kind === 'cable'
      ? changed(worn, part, { by: { ...part.by, slack: part.by.slack + way * amount } })
      : worn;

const isBy =
  (kind: string) =>
  (part: HydraulicPart): boolean =>
    part.kind === 'throttle-valve' && part.by.kind === kind;

const share = { measure: 'share', limits: [0.05, 1] } as const;
const whole = { measure: 'none', usual: 1, limits: [1, 1] } as const;

export const PLAN_FAULTS: { readonly [K in PlanFaultKind]: PlanFaultSpec } = {
  'valve-stuck-down': { ...whole, on: ['shift-valve', 'kick-down-valve'], apply: stuckAt(0) },
  'valve-stuck-up': { ...whole, on: ['shift-valve', 'kick-down-valve'], apply: stuckAt(1) },
  'valve-scored': {
    ...share,
    on: ['shift-valve', 'manual-valve'],
    usual: 0.5,
    apply: (worn, part, amount) =>
      (part.kind === 'shift-valve' ? [...part.up, ...part.down].map((w) => w.to) : [])
        .concat(part.kind === 'manual-valve' ? [part.from] : [])
        .reduce((next, line) => leaking(next, line, PAN, LEAK * amount), worn),
  },
  'spring-broken': {
    ...share,
    on: ['shift-valve', 'regulator'],
    usual: 0.6,
    apply: (worn, part, amount) =>
      part.kind === 'shift-valve' || part.kind === 'regulator'
        ? changed(worn, part, { spring: part.spring * (1 - amount) })
        : worn,
  },
  'spring-swapped': {
    measure: 'times',
    limits: [1.1, 4],
    on: ['shift-valve', 'regulator'],
    usual: 1.6,
    apply: (worn, part, amount) =>
      part.kind === 'shift-valve' || part.kind === 'regulator'
        ? changed(worn, part, { spring: part.spring * amount })
        : worn,
  },
  'ball-missing': {
    ...whole,
    on: ['shuttle'],
    apply: (worn, { id }) => inState(worn, { ballsOut: new Set(worn.condition.ballsOut).add(id) }),
  },
  'ball-beside': {
    ...whole,
    on: ['shuttle'],
    // Gone from here, and in a feed's seat where none belongs: that one fills slowly.
    apply(worn, part) {
      const out = inState(worn, { ballsOut: new Set(worn.condition.ballsOut).add(part.id) });
      const at = worn.plan.parts.indexOf(part);
      const beside =
        worn.plan.parts.find((p, k) => k > at && p.kind === 'feed' && feedBeside(p, part)) ??
        worn.plan.parts.find((p) => p.kind === 'feed' && feedBeside(p, part));
      return beside?.kind === 'feed' ? changed(out, beside, { in: beside.in * SEAT_TAKEN }) : out;
    },
  },
  'gasket-other': {
    ...whole,
    on: ['feed'],
    apply: (worn, part) =>
      part.kind === 'feed' ? changed(worn, part, { in: SHUT, out: SHUT }) : worn,
  },
  'plate-leaks': {
    ...share,
    on: ['feed'],
    usual: 0.5,
    // From the line's passage in the plate into this one.
    apply: (worn, part, amount) => {
      const pump = worn.plan.parts.find((p) => p.kind === 'pump');
      return part.kind === 'feed' && pump?.kind === 'pump'
        ? leaking(worn, pump.to, part.from, LEAK * amount)
        : worn;
    },
  },
  'accumulator-seal': {
    ...share,
    on: ['accumulator'],
    usual: 0.6,
    apply: (worn, part, amount) =>
      part.kind === 'accumulator' ? leaking(worn, part.line, PAN, LEAK * amount) : worn,
  },
  'accumulator-spring': {
    ...share,
    on: ['accumulator'],
    usual: 0.8,
    apply: (worn, part, amount) =>
      part.kind === 'accumulator'
        ? changed(worn, part, {
            spring: part.spring * (1 - amount),
            springEnd: part.springEnd * (1 - amount),
          })
        : worn,
  },
  'accumulator-stuck': { ...whole, on: ['accumulator'], apply: stuckAt(0) },
  'piston-seal': {
    ...share,
    on: ['piston'],
    usual: 0.8,
    // So much of its feed's opening.
    apply(worn, part, amount) {
      const feed =
        part.kind === 'piston' &&
        worn.plan.parts.find((p) => p.kind === 'feed' && p.to === part.line);
      return part.kind === 'piston' && feed && feed.kind === 'feed'
        ? changed(worn, part, { leak: part.leak + feed.in * amount })
        : worn;
    },
  },
  'screen-blocked': {
    ...share,
    on: ['governor', 'throttle-valve', 'solenoid'],
    usual: 0.999,
    limits: [0.5, 1],
    apply: (worn, part, amount) =>
      part.kind === 'solenoid'
        ? changed(worn, part, { orifice: Math.max(SHUT, part.orifice * (1 - amount)) })
        : inState(worn, { screens: new Map(worn.condition.screens).set(part.id, 1 - amount) }),
  },
  'filter-blocked': {
    ...share,
    on: ['pump'],
    usual: 0.92,
    apply: (worn, part, amount) =>
      part.kind === 'pump' ? changed(worn, part, { suction: part.suction * (1 - amount) }) : worn,
  },
  'pickup-draws-air': {
    ...share,
    on: ['pump'],
    usual: 0.5,
    apply: (worn, _part, amount) => inState(worn, { air: Math.max(worn.condition.air, amount) }),
  },
  'level-low': {
    ...share,
    on: ['pump'],
    usual: 0.7,
    apply: (worn, _part, amount) => inState(worn, { air: Math.max(worn.condition.air, amount) }),
  },
  'pump-worn': {
    ...share,
    on: ['pump'],
    usual: 0.5,
    apply: (worn, part, amount) =>
      part.kind === 'pump'
        ? changed(worn, part, { slip: 1 - (1 - part.slip) * (1 - amount) })
        : worn,
  },
  'pump-not-driven': {
    ...whole,
    on: ['pump'],
    apply: (worn) => inState(worn, { pumpDriven: false }),
  },
  'solenoid-dead': {
    ...whole,
    on: ['solenoid'],
    apply: (worn, part) =>
      part.kind === 'solenoid' ? stuckAt(part.rests === 'open' ? 1 : 0)(worn, part) : worn,
  },
  'solenoid-stuck-open': { ...whole, on: ['solenoid'], apply: stuckAt(1) },
  'solenoid-gummed': {
    ...share,
    on: ['solenoid'],
    usual: 0.85,
    apply: (worn, part, amount) =>
      part.kind === 'solenoid'
        ? changed(worn, part, { orifice: Math.max(SHUT, part.orifice * (1 - amount)) })
        : worn,
  },
  'cable-slack': {
    ...share,
    on: ['throttle-valve'],
    fits: isBy('cable'),
    usual: 0.35,
    apply: cable(1),
  },
  'cable-short': {
    ...share,
    on: ['throttle-valve'],
    fits: isBy('cable'),
    usual: 0.3,
    apply: cable(-1),
  },
  'diaphragm-torn': {
    ...whole,
    on: ['throttle-valve'],
    fits: isBy('modulator'),
    // No vacuum pulls at it any more: the spring alone presses.
    apply: (worn, part) =>
      part.kind === 'throttle-valve' && part.by.kind === 'modulator'
        ? changed(worn, part, { by: { ...part.by, diaphragm: 0 } })
        : worn,
  },
  'governor-stuck': { ...whole, on: ['governor'], apply: stuckAt(0) },
  'beside-detent': {
    ...share,
    on: ['manual-valve'],
    usual: 0.6,
    limits: [0.1, 0.95],
    apply: (worn, _part, amount) => inState(worn, { besideDetent: amount }),
  },
  'bolts-loose': {
    ...share,
    on: ['manual-valve'],
    usual: 0.8,
    // The body gapes along its ports.
    apply: (worn, part, amount) =>
      part.kind === 'manual-valve'
        ? [part.from, ...new Set(part.places.flatMap((p) => p.opens))].reduce(
            (next, line) => leaking(next, line, PAN, LEAK * amount),
            worn,
          )
        : worn,
  },
  'learned-elsewhere': {
    measure: 'times',
    limits: [0, 8],
    on: ['control'],
    fits: (part) => part.kind === 'control' && part.learned.length > 0,
    usual: 5,
    apply: (worn, part, amount) =>
      part.kind === 'control'
        ? changed(worn, part, {
            learned: part.learned.map((l) => ({ ...l, seconds: l.seconds * amount })),
          })
        : worn,
  },
};
export const PLAN_FAULT_KINDS = Object.keys(PLAN_FAULTS) as PlanFaultKind[];

/** k of a passage that is shut, and what a ball that lies where none belongs leaves of a feed. */
const SHUT = 1e-12;
const SEAT_TAKEN = 0.15;

const feedBeside = (feed: HydraulicPart, shuttle: HydraulicPart): boolean =>
  feed.kind === 'feed' && shuttle.kind === 'shuttle' && feed.from !== shuttle.to;

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
