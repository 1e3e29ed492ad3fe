import type { OilCondition, WornPlan } from './condition';
import {
  PAN,
  partsOf,
  withPart,
  type HydraulicKind,
  type HydraulicPart,
  type PartOf,
} from './plan';

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
  | 'sensor-high'
  | 'sensor-dead'
  | 'pickup-swarf'
  | 'lever-swarf'
  | 'governor-stuck'
  | 'beside-detent'
  | 'bolts-loose'
  | 'learned-elsewhere';

/** Makes a plan with a fault from one without it. */
type Apply<P> = (worn: WornPlan, part: P, amount: number) => WornPlan;

interface PlanFaultSpec {
  /** Parts that can have it. */
  readonly on: readonly HydraulicKind[];
  readonly fits?: (part: HydraulicPart) => boolean;
  readonly usual: number;
  readonly limits: readonly [number, number];
  /** What the amount is: a share, or a number of times as much. */
  readonly measure: 'share' | 'times' | 'none';
  readonly apply: Apply<HydraulicPart>;
}

/** A fault of parts of these kinds. */
const on = <K extends HydraulicKind>(kinds: readonly K[], apply: Apply<PartOf<K>>) => ({
  on: kinds,
  apply: (worn: WornPlan, part: HydraulicPart, amount: number): WornPlan =>
    isOf(kinds, part) ? apply(worn, part, amount) : worn,
});
const isOf = <K extends HydraulicKind>(
  kinds: readonly K[],
  part: HydraulicPart,
): part is PartOf<K> => (kinds as readonly HydraulicKind[]).includes(part.kind);

const changed = (worn: WornPlan, part: HydraulicPart): WornPlan => ({
  ...worn,
  plan: withPart(worn.plan, part),
});
const inState = (worn: WornPlan, change: Partial<OilCondition>): WornPlan => ({
  ...worn,
  condition: { ...worn.condition, ...change },
});
const stuckAt =
  (place: number): Apply<HydraulicPart> =>
  (worn, { id }) =>
    inState(worn, { stuck: new Map(worn.condition.stuck).set(id, place) });
const leaking = (worn: WornPlan, from: string, to: string, k: number): WornPlan =>
  inState(worn, { crossings: [...worn.condition.crossings, { from, to, k }] });

/** k of a leak that lets by as much as a usual feed, times the amount (memory). */
const LEAK = 0.2e-6;
const toPan = (worn: WornPlan, lines: readonly string[], amount: number): WornPlan =>
  lines.reduce((next, line) => leaking(next, line, PAN, LEAK * amount), worn);

/** k of a passage that is shut, and what a ball that lies where none belongs leaves of a feed. */
const SHUT = 1e-12;
const SEAT_TAKEN = 0.15;

const isBy =
  (kind: string) =>
  (part: HydraulicPart): boolean =>
    part.kind === 'throttle-valve' && part.by.kind === kind;

/** How far a stretched or a shortened cable shifts the pedal's travel: the cable's own slack. */
const cable = (way: 1 | -1) => ({
  fits: isBy('cable'),
  ...on(['throttle-valve'], (worn, part, amount) =>
    part.by.kind === 'cable'
      ? changed(worn, { ...part, by: { ...part.by, slack: part.by.slack + way * amount } })
      : worn,
  ),
});

/** What a control unit asks of its pressure solenoid, by what it believes. */
const asked = (given: (points: readonly number[], amount: number) => number[]) => ({
  fits: isBy('solenoid'),
  ...on(['throttle-valve'], (worn, part, amount) => {
    if (part.by.kind !== 'solenoid') return worn;
    const points = given(part.by.points, amount) as typeof part.by.points;
    return changed(worn, { ...part, by: { ...part.by, points } });
  }),
});

const airy = on(['pump'], (worn, _part, amount) =>
  inState(worn, { air: Math.max(worn.condition.air, amount) }),
);
const narrowed: Apply<PartOf<'solenoid'>> = (worn, part, amount) =>
  changed(worn, { ...part, orifice: Math.max(SHUT, part.orifice * (1 - amount)) });
const ballOut = (worn: WornPlan, id: string): WornPlan =>
  inState(worn, { ballsOut: new Set(worn.condition.ballsOut).add(id) });

const SPOOLS = ['shift-valve', 'lock-up-valve', 'kick-down-valve'] as const;
const share = { measure: 'share', limits: [0.05, 1] } as const;
const whole = { measure: 'none', usual: 1, limits: [1, 1] } as const;

export const PLAN_FAULTS: { readonly [K in PlanFaultKind]: PlanFaultSpec } = {
  'valve-stuck-down': { ...whole, ...on(SPOOLS, stuckAt(0)) },
  'valve-stuck-up': { ...whole, ...on(SPOOLS, stuckAt(1)) },
  'valve-scored': {
    ...share,
    usual: 0.5,
    ...on(['shift-valve', 'lock-up-valve', 'manual-valve'], (worn, part, amount) =>
      toPan(
        worn,
        part.kind === 'manual-valve' ? [part.from] : [...part.up, ...part.down].map((w) => w.to),
        amount,
      ),
    ),
  },
  'spring-broken': {
    ...share,
    usual: 0.6,
    ...on(['shift-valve', 'lock-up-valve', 'regulator'], (worn, part, amount) =>
      changed(worn, { ...part, spring: part.spring * (1 - amount) }),
    ),
  },
  'spring-swapped': {
    measure: 'times',
    limits: [1.1, 4],
    usual: 1.6,
    ...on(['shift-valve', 'lock-up-valve', 'regulator'], (worn, part, amount) =>
      changed(worn, { ...part, spring: part.spring * amount }),
    ),
  },
  'ball-missing': { ...whole, ...on(['shuttle'], (worn, { id }) => ballOut(worn, id)) },
  'ball-beside': {
    ...whole,
    // Gone from here, and in a feed's seat where none belongs: that one fills slowly.
    ...on(['shuttle'], (worn, part) => {
      const out = ballOut(worn, part.id);
      const at = worn.plan.parts.indexOf(part);
      const elsewhere = partsOf(worn.plan, 'feed').filter((f) => f.from !== part.to);
      const beside = elsewhere.find((f) => worn.plan.parts.indexOf(f) > at) ?? elsewhere[0];
      return beside ? changed(out, { ...beside, in: beside.in * SEAT_TAKEN }) : out;
    }),
  },
  'gasket-other': {
    ...whole,
    ...on(['feed'], (worn, part) => changed(worn, { ...part, in: SHUT, out: SHUT })),
  },
  'plate-leaks': {
    ...share,
    usual: 0.5,
    // From the line's passage in the plate into this one.
    ...on(['feed'], (worn, part, amount) => {
      const [pump] = partsOf(worn.plan, 'pump');
      return pump ? leaking(worn, pump.to, part.from, LEAK * amount) : worn;
    }),
  },
  'accumulator-seal': {
    ...share,
    usual: 0.6,
    ...on(['accumulator'], (worn, part, amount) => toPan(worn, [part.line], amount)),
  },
  'accumulator-spring': {
    ...share,
    usual: 0.8,
    ...on(['accumulator'], (worn, part, amount) =>
      changed(worn, {
        ...part,
        spring: part.spring * (1 - amount),
        springEnd: part.springEnd * (1 - amount),
      }),
    ),
  },
  'accumulator-stuck': { ...whole, ...on(['accumulator'], stuckAt(0)) },
  'piston-seal': {
    ...share,
    usual: 0.8,
    // So much of its feed's opening.
    ...on(['piston'], (worn, part, amount) => {
      const feed = partsOf(worn.plan, 'feed').find((f) => f.to === part.line);
      return feed ? changed(worn, { ...part, leak: part.leak + feed.in * amount }) : worn;
    }),
  },
  'screen-blocked': {
    ...share,
    usual: 0.999,
    limits: [0.5, 1],
    ...on(['governor', 'throttle-valve', 'solenoid'], (worn, part, amount) =>
      part.kind === 'solenoid'
        ? narrowed(worn, part, amount)
        : inState(worn, { screens: new Map(worn.condition.screens).set(part.id, 1 - amount) }),
    ),
  },
  'filter-blocked': {
    ...share,
    usual: 0.92,
    ...on(['pump'], (worn, part, amount) =>
      changed(worn, { ...part, suction: part.suction * (1 - amount) }),
    ),
  },
  'pickup-draws-air': { ...share, usual: 0.5, ...airy },
  'level-low': { ...share, usual: 0.7, ...airy },
  'pump-worn': {
    ...share,
    usual: 0.5,
    ...on(['pump'], (worn, part, amount) =>
      changed(worn, { ...part, slip: 1 - (1 - part.slip) * (1 - amount) }),
    ),
  },
  'pump-not-driven': {
    ...whole,
    ...on(['pump'], (worn) => inState(worn, { pumpDriven: false })),
  },
  'solenoid-dead': {
    ...whole,
    ...on(['solenoid'], (worn, part, amount) =>
      stuckAt(part.rests === 'open' ? 1 : 0)(worn, part, amount),
    ),
  },
  'solenoid-stuck-open': { ...whole, ...on(['solenoid'], stuckAt(1)) },
  'solenoid-gummed': { ...share, usual: 0.85, ...on(['solenoid'], narrowed) },
  'cable-slack': { ...share, usual: 0.35, ...cable(1) },
  'cable-short': { ...share, usual: 0.3, ...cable(-1) },
  'diaphragm-torn': {
    ...whole,
    fits: isBy('modulator'),
    // No vacuum pulls at it any more: the spring alone presses.
    ...on(['throttle-valve'], (worn, part) =>
      part.by.kind === 'modulator'
        ? inState(changed(worn, { ...part, by: { ...part.by, diaphragm: 0 } }), {
            burnsFluid: true,
          })
        : worn,
    ),
  },
  'sensor-high': {
    ...share,
    usual: 0.35,
    limits: [0.05, 0.9],
    // What it believes to be there already it does not give.
    ...asked((points, amount) => points.map((p) => p * (1 - amount))),
  },
  'sensor-dead': {
    ...whole,
    // It can't tell what there is, and gives all it has (common practice).
    ...asked((points) => points.map(() => Math.max(...points))),
  },
  'pickup-swarf': {
    ...share,
    usual: 0.25,
    limits: [0.05, 0.8],
    // Of its pulses so many are lost: it takes the output for that much slower than it is.
    ...on(['control'], (worn, part, amount) => {
      const later = ([closed, open]: readonly [number, number]): [number, number] => [
        closed / (1 - amount),
        open / (1 - amount),
      ];
      const shifts = part.shifts.map(({ gear, up, down }) => ({
        gear,
        up: later(up),
        down: later(down),
      }));
      return partsOf(worn.plan, 'solenoid').reduce(
        (next, { above, ...rest }) =>
          above
            ? changed(next, { ...rest, above: { on: later(above.on), off: later(above.off) } })
            : next,
        changed(worn, { ...part, shifts }),
      );
    }),
  },
  'lever-swarf': { ...whole, ...on(['control'], (worn) => inState(worn, { leverRead: 1 })) },
  'governor-stuck': { ...whole, ...on(['governor'], stuckAt(0)) },
  'beside-detent': {
    ...share,
    usual: 0.6,
    limits: [0.1, 0.95],
    ...on(['manual-valve'], (worn, _part, amount) => inState(worn, { besideDetent: amount })),
  },
  'bolts-loose': {
    ...share,
    usual: 0.8,
    // The body gapes along its ports.
    ...on(['manual-valve'], (worn, part, amount) =>
      toPan(worn, [part.from, ...new Set(part.places.flatMap((p) => p.opens))], amount),
    ),
  },
  'learned-elsewhere': {
    measure: 'times',
    limits: [0, 8],
    usual: 5,
    fits: (part) => part.kind === 'control' && part.learned.some((l) => l.seconds > 0),
    ...on(['control'], (worn, part, amount) =>
      changed(worn, {
        ...part,
        learned: part.learned.map((l) => ({ ...l, seconds: l.seconds * amount })),
      }),
    ),
  },
};
export const PLAN_FAULT_KINDS = Object.keys(PLAN_FAULTS) as PlanFaultKind[];
