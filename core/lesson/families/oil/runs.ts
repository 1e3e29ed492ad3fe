import {
  circuitOf,
  gearByMap,
  gearsOf,
  partsOf,
  shiftInTime,
  momentOf,
  type ShiftMoment,
  changesNothing,
  shiftMap,
  upshiftOf,
  gearStood,
  spoolsIn,
  USUAL_ENGINE,
  withPart,
  withPlanFaults,
  withShiftSet,
  type Circuit,
  type Gears,
  type HydraulicPlan,
  type OilShift,
  type OilShiftResult,
  type OilState,
  type PlanFault,
  type ShiftLine,
  type Spools,
  WARM_C,
  exchanged,
  type Exchange,
} from '../../../hydraulics';
import { onceFor } from '../../../numerics';
import type { LimitedShift, OilRig, ShiftLimits, ShiftSetting } from './kinds';

/** What plans do under given circumstances, each worked out once. */

const circuits = onceFor<HydraulicPlan, Circuit>();
const maps = onceFor<HydraulicPlan, ShiftLine[]>();
const states = onceFor<HydraulicPlan, Standing>();
const gearsOnce = onceFor<object, Gears>();

export const gearsFor = ({ unit }: OilRig): Gears => gearsOnce(unit, '', () => gearsOf(unit));

export const circuitFor = ({ plan }: OilRig, fault: PlanFault | null = null): Circuit =>
  circuits(plan, JSON.stringify(fault), () => {
    const worn = withPlanFaults(plan, fault ? [fault] : []);
    return circuitOf(worn.plan, worn.condition);
  });

/** Shift lines at these throttles. */
export function linesFor(
  rig: OilRig,
  fault: PlanFault | null,
  throttles: readonly number[],
): ShiftLine[] {
  const { forward, mainLever } = gearsFor(rig);
  return maps(rig.plan, JSON.stringify([fault, throttles, forward.map((f) => f.ratio)]), () =>
    shiftMap(circuitFor(rig, fault), {
      ...(mainLever === null ? {} : { lever: mainLever }),
      celsius: WARM_C,
      idleRpm: USUAL_ENGINE.idleRpm,
      ratios: forward.map((f) => f.ratio),
      throttles,
    }),
  );
}

/** Where everything stands, and the gear that this is. */
export interface Standing {
  readonly state: OilState;
  readonly gear: number;
}

interface Driving {
  readonly lever: string;
  readonly throttle: number;
  readonly outputRpm: number;
}

const isControlled = ({ plan }: OilRig): boolean => partsOf(plan, 'control').length > 0;

/** A plan at these circumstances, its valves having stood as in a gear. */
export function standingFrom(rig: OilRig, at: Driving, from: number): Standing {
  const { forward, rangeAt } = gearsFor(rig);
  const name = JSON.stringify([at, from, rig.unit.id]);
  return states(rig.plan, name, () => {
    const circuit = circuitFor(rig);
    let [gear, spools]: [number, Spools] = [from, spoolsIn(rig.plan, from)];
    const lines = isControlled(rig)
      ? linesFor(
          rig,
          null,
          [0, 0.25, 0.5, 0.75, 1, at.throttle].sort((a, b) => a - b),
        )
      : [];
    // One gear after the other: what one change does to the pump's speed may bring the next.
    for (let k = 0; ; k++) {
      const ratio = forward[gear - 1]?.ratio ?? 1;
      const state = circuit.at(
        {
          ...at,
          engineRpm: Math.max(USUAL_ENGINE.idleRpm, at.outputRpm * ratio),
          celsius: WARM_C,
        },
        spools,
        rangeAt(at.lever, gear)?.id,
      );
      const next = isControlled(rig)
        ? gearByMap(lines, gear, at.throttle, at.outputRpm)
        : gearStood(rig.plan, state.spools);
      if (next === gear || k > forward.length) return { state, gear };
      [gear, spools] = [next, state.spools];
    }
  });
}

/** Shift valves that stand up, by their ids. */
export const standUp = ({ plan }: OilRig, { spools }: OilState): string[] =>
  partsOf(plan, 'shift-valve').flatMap((v) => ((spools.get(v.id) ?? 0) > 0.5 ? [v.id] : []));

/** Speeds between standstill and the one asked for. */
const STEPS = 12;

/** Driven from a standstill up to a speed: valves remember on the way. */
export function drivenUp(rig: OilRig, at: Driving): Standing {
  let gear = 1;
  for (let k = 0; k < STEPS; k++)
    gear = standingFrom(rig, { ...at, outputRpm: (at.outputRpm * k) / STEPS }, gear).gear;
  return standingFrom(rig, at, gear);
}

/** Share of the higher pressure at a ball from which a side counts as the one that feeds. */
const FEEDS = 0.7;

/** Everything that the oil of a piston comes through now, from the pump on; `null` where nothing presses on it. */
export function pathTo({ plan }: OilRig, state: OilState, element: string): string[] | null {
  const piston = partsOf(plan, 'piston').find((p) => p.element === element);
  const pump = partsOf(plan, 'pump')[0];
  if (!piston || !pump || !state.applied.includes(element)) return null;
  const pressure = (line: string) => state.pressures.get(line) ?? 0;
  const path = new Set<string>([piston.id]);
  const seen = new Set<string>();
  const walk = (line: string): void => {
    if (seen.has(line)) return;
    seen.add(line);
    if (line === pump.to) path.add(pump.id);
    for (const part of plan.parts) {
      const from = feedsOf(part, line, state).filter((l) => pressure(l) >= FEEDS * pressure(line));
      if (from.length === 0) continue;
      path.add(part.id);
      from.forEach(walk);
    }
  };
  walk(piston.line);
  return path.has(pump.id) ? plan.parts.map((p) => p.id).filter((id) => path.has(id)) : null;
}

/** From an element back towards the valves, whichever side of each ball presses: passages that can feed it, and its balls. */
export function wayBack(
  plan: HydraulicPlan,
  element: string,
): { readonly passages: ReadonlySet<string>; readonly balls: readonly string[] } {
  const piston = partsOf(plan, 'piston').find((p) => p.element === element);
  const feed = partsOf(plan, 'feed').find((f) => f.to === piston?.line);
  const passages = new Set(feed ? [feed.from] : []);
  const balls: string[] = [];
  // A set that grows while it is gone through: each passage is looked behind once.
  for (const passage of passages)
    for (const ball of partsOf(plan, 'shuttle').filter((s) => s.to === passage)) {
      balls.push(ball.id);
      passages.add(ball.first).add(ball.second);
    }
  return { passages, balls };
}

/** Passages from which a part lets oil into this one as it stands. */
function feedsOf(part: HydraulicPlan['parts'][number], line: string, state: OilState): string[] {
  switch (part.kind) {
    case 'feed':
    case 'solenoid':
      return part.to === line ? [part.from] : [];
    case 'shuttle':
      return part.to === line ? [part.first, part.second] : [];
    case 'shift-valve':
    case 'lock-up-valve': {
      const ways = (state.spools.get(part.id) ?? 0) > 0.5 ? part.up : part.down;
      return ways.filter((w) => w.to === line).map((w) => w.from);
    }
    case 'manual-valve':
      return part.places.some((p) => p.opens.includes(line)) ? [part.from] : [];
    case 'pump':
    case 'regulator':
    case 'relief':
    case 'throttle-valve':
    case 'governor':
    case 'kick-down-valve':
    case 'control':
    case 'piston':
    case 'accumulator':
    case 'restriction':
    case 'pressure-switch':
    case 'lock-up-clutch':
      return [];
  }
}

/** What a fault does to the moment of every upshift. */
export function momentsWith(rig: OilRig, fault: PlanFault, throttle: number): ShiftMoment[] {
  const [sound, now] = [null, fault].map((f) => linesFor(rig, f, [throttle])) as [
    ShiftLine[],
    ShiftLine[],
  ];
  const circuit = circuitFor(rig, fault);
  return now.map((line, k) =>
    changesNothing(circuit, gearsFor(rig), line.from)
      ? 'never'
      : momentOf(sound[k]!.points[0]!.up, line.points[0]!.up),
  );
}

const shifted = onceFor<HydraulicPlan, ShiftedAs>();

/** What comes of a shift: in the measures of its limits, least pull over that before, heat of the hottest plates. */
export type ShiftedAs = Readonly<ShiftLimits>;

/** Elements that the oil brings in, and lets go, in the upshift from a gear. */
export function exchangeIn(rig: OilRig, gear: number): Exchange {
  const { forward } = gearsFor(rig);
  const applied = (k: number) => forward[k]?.range.apply ?? [];
  return exchanged(rig.plan, applied(gear - 1), applied(gear));
}

/** A plan with a shift set so. */
export function planSet(rig: OilRig, gear: number, setting: ShiftSetting): HydraulicPlan {
  const { plan } = rig;
  const set = withShiftSet(plan, exchangeIn(rig, gear), setting);
  return partsOf(set, 'throttle-valve').reduce(
    (next, p) =>
      p.by.kind === 'cable'
        ? withPart(next, { ...p, by: { ...p.by, slack: p.by.slack + setting.slack } })
        : next,
    set,
  );
}

/** kg·m² of what turns with the input, of a shift that is set. */
const SHIFT_INERTIA = 0.2;

/** Which upshift, and with how much of the pedal. */
export type Upshift = Pick<LimitedShift, 'gear' | 'throttle'>;

/** Whether an upshift can be run: there are both gears, and something that rolls. */
export function canShift(rig: OilRig, gear: number): boolean {
  const { forward, mainLever } = gearsFor(rig);
  return rig.vehicle !== null && mainLever !== null && !!forward[gear - 1] && !!forward[gear];
}

/** An upshift with the oil of a circuit. @throws Error without a vehicle, or a next gear */
export function upshift(rig: OilRig, { gear, throttle }: Upshift, circuit: Circuit): OilShift {
  const setup = upshiftOf({
    unit: rig.unit,
    gears: gearsFor(rig),
    vehicle: rig.vehicle,
    gear,
    throttle,
    celsius: WARM_C,
    inputNm: USUAL_ENGINE.inputNm * throttle,
    inputInertia: SHIFT_INERTIA,
  });
  if (!setup) throw new Error('upshift: expected a vehicle and two gears');
  return { ...setup, circuit };
}

/** A shift with a setting, over time. @throws Error without a vehicle, or a next gear */
export const shiftSet = (rig: OilRig, shift: Upshift, setting: ShiftSetting): OilShiftResult =>
  shiftInTime(upshift(rig, shift, circuitOf(planSet(rig, shift.gear, setting))));

/** What comes of a shift, in the figures that are asked for. */
export function figuresOf({ run, heats }: OilShiftResult): ShiftedAs {
  const { jerk, flareRpm, dip } = run.summary;
  return { jerk, flare: flareRpm, dip, kelvin: Math.max(0, ...heats.map((h) => h.kelvin)) };
}

/** What a setting comes to, in the figures that are asked for. */
export const shiftedWith = (rig: OilRig, question: Upshift, setting: ShiftSetting): ShiftedAs =>
  shifted(rig.plan, JSON.stringify([question.gear, question.throttle, setting, rig.vehicle]), () =>
    figuresOf(shiftSet(rig, question, setting)),
  );

/** Each limit, and whether it is kept. */
export const keeps = (limits: ShiftLimits, comes: ShiftedAs) => ({
  jerk: comes.jerk <= limits.jerk,
  flare: comes.flare <= limits.flare,
  dip: comes.dip >= limits.dip,
  kelvin: comes.kelvin <= limits.kelvin,
});
export const keepsWithin = (limits: ShiftLimits, comes: ShiftedAs): boolean =>
  Object.values(keeps(limits, comes)).every(Boolean);
