import {
  atPedal,
  dragTorque,
  frictionAt,
  frictionNow,
  radiusOf,
  releaseCurve,
  type Clutch,
  type ClutchState,
} from '../clutch';
import type { EngineModel } from '../converter';
import { CASE, memberInertias, portsOf, solveUnit, type Unit } from '../geartrain';
import { toNumber } from '../numerics';
import { GRAVITY, roadLoad, type Vehicle } from '../vehicle';
import { traceAt, type Trace } from './trace';
import { train, type Rubbing, type Spin, type Spring, type Train, type TrainState } from './train';

/**
 * A dry clutch engaging on a real drivetrain: engine, clutch with its damper, the gears of a unit in one range, shafts
 * that twist, vehicle, road and brakes, stepped by `train.ts`. The pedal moves the plate by the clutch's own release
 * curve; friction goes with slip and temperature; the facing warms as one lump of plate and flywheel face.
 *
 * Derived here. Range: steps up to 1 ms where a damper or shaft rings (accuracy; no step is unstable).
 */
export interface EngagementSetup {
  readonly engine: EngineModel;
  readonly clutch: Clutch;
  readonly state: ClutchState;
  readonly unit: Unit;
  /** Elements that the range applies. */
  readonly apply: readonly string[];
  readonly vehicle: Vehicle;
  /** Rise over run, + uphill ahead. */
  readonly grade: number;
  /** Share of the pedal's travel: 1 on the floor. */
  readonly pedal: Trace;
  readonly throttle: Trace;
  /** Share of the wheel brakes. */
  readonly brake: Trace;
  readonly seconds: number;
  /** s. */
  readonly step: number;
  /** Left out: it stands, engine idling, facing at 60 °C. */
  readonly start?: {
    readonly speed?: number;
    readonly engineRpm?: number;
    readonly facingC?: number;
  };
  /** Multiplies every inertia that the unit does not state (a test asks how little it matters). */
  readonly estimate?: number;
}

export interface EngagementSample {
  readonly time: number;
  readonly pedal: number;
  readonly throttle: number;
  readonly engineRpm: number;
  /** Of the disc. */
  readonly discRpm: number;
  /** m/s. */
  readonly speed: number;
  /** Through the clutch, and what it could hold, N·m. */
  readonly clutchNm: number;
  readonly holdsNm: number;
  /** m/s². */
  readonly acceleration: number;
  /** Heat made now, W, and so far, J. */
  readonly heatW: number;
  readonly heat: number;
  readonly facingC: number;
}

export type EngagementEventKind =
  'bites' | 'moves' | 'rolls-back' | 'locks' | 'slips-again' | 'stalls' | 'too-hot';

export interface EngagementEvent {
  readonly kind: EngagementEventKind;
  readonly time: number;
}

/** What a run comes to. */
export interface EngagementSummary {
  /** s with slip while it carries torque. */
  readonly slipTime: number;
  /** J rubbed away in the clutch. */
  readonly heat: number;
  readonly peakC: number;
  /** Largest change of acceleration, m/s³, over 20 ms. */
  readonly jerk: number;
  /** m/s² from trough to crest of the vehicle's shaking while it slips, and how often a second; 0 without. */
  readonly judder: { readonly swing: number; readonly hertz: number };
  readonly stalled: boolean;
  /** m rolled back at most. */
  readonly rolledBack: number;
  /** At the end. */
  readonly slipping: boolean;
  readonly speed: number;
  readonly engineRpm: number;
}

export interface EngagementResult {
  readonly samples: readonly EngagementSample[];
  readonly events: readonly EngagementEvent[];
  readonly summary: EngagementSummary;
  /** J since the start. Work of engine and road = gain of kinetic and sprung energy + clutch + elements + damped. */
  readonly energy: {
    readonly work: number;
    readonly kinetic: number;
    readonly sprung: number;
    readonly clutch: number;
    readonly elements: number;
    readonly damped: number;
  };
  readonly steps: number;
  /** `unstable`: a number left the finite; the samples end with the last good state. */
  readonly why: 'done' | 'unstable';
}

const RAD = Math.PI / 30;
const SAMPLE_EVERY = 0.01;
/** Shafts and tyres, at the unit's output: N·m/rad at the wheels for each kg of vehicle, and s of damping (memory). */
const SHAFT_PER_KG = 9;
const SHAFT_DAMPING = 0.003;
/** Share of a vehicle's weight that all brakes hold on a dry road. */
const BRAKE_SHARE = 0.8;
/** Share of idle below which an engine has stopped firing. */
const DEAD_BELOW = 0.45;
/** A dead engine turns against this share of its full torque near idle (memory). */
const DEAD_DRAG = 0.4;
/** rad/s of slip below which a clutch is said to be locked. */
const LOCKED = 1;
/** °C from which an organic facing smells (memory). */
export const HOT_FACING_C = 250;
/** Share of the iron's heat capacity that is its skin, and what passes inward, 1/s of the whole capacity (memory). */
const SKIN_SHARE = 0.06;
const SKIN_RATE = 0.12;
/** How much a tipped plate, and oil in patches, make the torque wave round a turn of slip (memory). */
const TIPPED_SHARE = 0.5;
const OILED_SHARE = 0.35;
const MOST_UNEVEN = 0.6;
const START_C = 60;
const AMBIENT_C = 40;

/** @throws Error when the step or duration is not above zero, or an element is not the unit's */
export function engage(setup: EngagementSetup): EngagementResult {
  const { step, seconds } = setup;
  if (!(step > 0) || !(seconds > 0)) throw new Error('engage: expected a step and a duration');
  const rig = rigUp(setup);
  const { machine, state } = rig;
  const steps = Math.round(seconds / step);
  const every = Math.max(1, Math.round(SAMPLE_EVERY / step));
  const log = logOf(setup, rig);
  const start = machine.energy(state);
  const energy = { work: 0, clutch: 0, elements: 0, damped: 0 };
  let why: EngagementResult['why'] = 'done';
  let taken = 0;
  log.sample(0, 0);
  for (let k = 0; k < steps; k++) {
    const time = k * step;
    rig.prepare(time);
    if (!machine.step(state, rig.torques, rig.capacities)) {
      why = 'unstable';
      break;
    }
    taken++;
    energy.work += state.work.outside;
    energy.damped += state.work.damped;
    energy.clutch += state.heats[0]!;
    for (let e = 1; e < state.heats.length; e++) energy.elements += state.heats[e]!;
    rig.after();
    log.step(time + step);
    if ((k + 1) % every === 0 || k === steps - 1) log.sample(time + step, energy.clutch);
  }
  const end = machine.energy(state);
  return {
    samples: log.samples,
    events: log.events,
    summary: log.summary(energy.clutch),
    energy: {
      ...energy,
      kinetic: end.kinetic - start.kinetic,
      sprung: end.sprung - start.sprung,
    },
    steps: taken,
    why,
  };
}

interface Rig {
  readonly machine: Train;
  readonly state: TrainState;
  readonly torques: Float64Array;
  readonly capacities: Float64Array;
  /** Sets torques and capacities for the step that begins now. */
  prepare(time: number): void;
  /** Takes up heat and angles of the step that has been. */
  after(): void;
  readonly now: Now;
  /** Places of members. */
  readonly at: { readonly engine: number; readonly disc: number; readonly road: number };
  /** m of road for each radian of the output. */
  readonly metres: number;
}

interface Now {
  pedal: number;
  throttle: number;
  holdsNm: number;
  facingC: number;
  dead: boolean;
}

/**
 * The element that is the dry clutch, where the unit's file has one: alone on an input shaft that carries no gear. The
 * dry clutch then stands in its place; else it stands before the unit's input.
 */
export function mainClutchOf(unit: Unit): { readonly id: string; readonly driven: string } | null {
  const touching = unit.elements.filter((e) => e.between.includes(unit.input));
  const geared = unit.gearsets.some((set) => portsOf(set).some((p) => p.member === unit.input));
  const only = touching.length === 1 ? touching[0]! : null;
  if (geared || only?.kind !== 'clutch') return null;
  return { id: only.id, driven: only.between.find((m) => m !== unit.input)! };
}

const ENGINE = '.engine';
const DISC = '.disc';
const ROAD = '.road';
const CLUTCH = '.clutch';
const DAMPER = '.damper-friction';
const WHEELS = '.wheels';
const DEAD = '.dead-engine';

function rigUp(setup: EngagementSetup): Rig {
  const { engine, clutch, vehicle, grade, step } = setup;
  const metres = vehicle.tyreRadiusM / vehicle.finalDrive;
  const curve = releaseCurve(clutch, setup.state);
  const { spec, start } = layOut(setup, metres);
  const machine = train(spec, step);
  const state = machine.start(start);
  const index = (id: string) => machine.indexOf.get(id)!;
  const at = { engine: index(ENGINE), disc: index(DISC), road: index(ROAD) };
  const torques = new Float64Array(spec.members.length);
  const capacities = new Float64Array(spec.elements.length).fill(Infinity);
  const place = (id: string) => spec.elements.findIndex((e) => e.id === id);
  const [damperAt, wheelsAt, deadAt] = [DAMPER, WHEELS, DEAD].map(place) as [
    number,
    number,
    number,
  ];
  const friction = frictionNow(clutch, setup.state);
  const radius = radiusOf(clutch);
  const along = 1 / Math.sqrt(1 + grade * grade);
  const weight = vehicle.massKg * GRAVITY * along;
  const { heatCapacity, cooling } = clutch.cover;
  const deadNm = DEAD_DRAG * engine.torque(engine.idleRpm, 1);
  const residual = dragTorque(clutch, setup.state, 0);
  const { runOut, uneven, oil } = setup.state;
  const tipped = Math.min(1, (runOut + uneven) / (2 * clutch.disc.cushion.travel));
  const unevenShare = Math.min(MOST_UNEVEN, TIPPED_SHARE * tipped + OILED_SHARE * oil);
  let turned = 0;
  let massC = setup.start?.facingC ?? START_C;
  const now: Now = {
    pedal: traceAt(setup.pedal, 0),
    throttle: traceAt(setup.throttle, 0),
    holdsNm: 0,
    facingC: setup.start?.facingC ?? START_C,
    dead: false,
  };
  return {
    machine,
    state,
    torques,
    capacities,
    now,
    at,
    metres,
    prepare(time) {
      now.pedal = traceAt(setup.pedal, time);
      now.throttle = traceAt(setup.throttle, time);
      const rpm = state.speeds[at.engine]! / RAD;
      if (rpm < DEAD_BELOW * engine.idleRpm) now.dead = true;
      const slip = state.slips[0]!;
      const mu = frictionAt(friction, slip * radius, now.facingC);
      const { clamp } = atPedal(curve, now.pedal * curve.floor);
      // A plate that is not parallel, or a facing with oil in patches, bites more once a turn of slip.
      const waving = 1 + unevenShare * Math.cos(turned) * (curve.freeClamp > clamp ? 1 : 0);
      now.holdsNm = residual + 2 * clutch.disc.discs * mu * clamp * radius * waving;
      capacities[0] = now.holdsNm;
      capacities[damperAt] = clutch.disc.damper.friction * setup.state.damper;
      capacities[deadAt] = now.dead ? deadNm : 0;
      const brakes = traceAt(setup.brake, time) * BRAKE_SHARE;
      capacities[wheelsAt] = weight * (vehicle.rolling + brakes) * metres;
      torques[at.engine] = now.dead ? 0 : engine.torque(rpm, now.throttle);
      const speed = state.speeds[at.road]! * metres;
      const air = roadLoad({ ...vehicle, rolling: 0 }, Math.abs(speed), 0) * Math.sign(speed);
      torques[at.road] = -(air + weight * grade) * metres;
    },
    after() {
      turned += state.slips[0]! * step;
      const heat = state.heats[0]!;
      // The rubbed skin of the iron warms first and gives its heat to the rest: two lumps for a wall that conducts.
      const inward = heatCapacity * SKIN_RATE * (now.facingC - massC) * step;
      now.facingC += (heat - inward) / (heatCapacity * SKIN_SHARE);
      massC += (inward - cooling * (massC - AMBIENT_C) * step) / heatCapacity;
    },
  };
}

/** Members, elements and springs of the whole, and the speeds at the start. */
function layOut(setup: EngagementSetup, metres: number) {
  const { engine, clutch, unit, vehicle, apply } = setup;
  const inertias = memberInertias(unit);
  const main = mainClutchOf(unit);
  const driven = main?.driven ?? unit.input;
  const members: Spin[] = [
    ...unit.members
      .filter((m) => m.id !== CASE && !(main && m.id === unit.input))
      .map((m) => ({
        id: m.id,
        inertia: inertias.get(m.id)! * (m.inertia === undefined ? (setup.estimate ?? 1) : 1),
      })),
    { id: DISC, inertia: clutch.disc.inertia },
    { id: ENGINE, inertia: engine.inertia },
    { id: ROAD, inertia: vehicle.massKg * metres * metres },
  ];
  for (const id of apply)
    if (!unit.elements.some((e) => e.id === id))
      throw new Error(`engage: expected an element of unit "${unit.id}", got "${id}"`);
  const elements: Rubbing[] = [
    { id: CLUTCH, between: [ENGINE, DISC], kind: 'both-ways' },
    ...unit.elements
      .filter((e) => e.id !== main?.id && (e.kind === 'one-way' || apply.includes(e.id)))
      .map((e): Rubbing => ({
        id: e.id,
        between: e.between,
        kind: e.kind === 'one-way' ? 'one-way' : 'both-ways',
      })),
    { id: DAMPER, between: [DISC, driven], kind: 'both-ways' },
    { id: WHEELS, between: [ROAD, CASE], kind: 'both-ways' },
    { id: DEAD, between: [ENGINE, CASE], kind: 'both-ways' },
  ];
  const { stiffness } = clutch.disc.damper;
  const shaft = (SHAFT_PER_KG * vehicle.massKg) / vehicle.finalDrive ** 2;
  const springs: Spring[] = [
    { id: DAMPER, between: [DISC, driven], stiffness, damping: 0 },
    { id: ROAD, between: [unit.output, ROAD], stiffness: shaft, damping: shaft * SHAFT_DAMPING },
  ];
  const speed = setup.start?.speed ?? 0;
  const turning = speed / metres;
  const solution = solveUnit(unit, main ? [...new Set([...apply, main.id])] : apply);
  const ratio = solution.ratio ? toNumber(solution.ratio) : 0;
  const input = turning * ratio;
  const start = new Map<string, number>([
    [ENGINE, (setup.start?.engineRpm ?? (speed > 0 ? input / RAD : engine.idleRpm)) * RAD],
    [DISC, input],
    [ROAD, turning],
    [unit.output, turning],
  ]);
  for (const [id, share] of solution.speeds) if (share) start.set(id, toNumber(share) * input);
  return { spec: { members, gearsets: unit.gearsets, elements, springs }, start };
}

const JERK_OVER = 0.02;
const MEAN_OVER = 0.16;
/** m/s² from trough to crest that a driver feels. */
export const FELT_SWING = 0.4;

function logOf(setup: EngagementSetup, rig: Rig) {
  const { state, now, at, metres } = rig;
  const samples: EngagementSample[] = [];
  const events: EngagementEvent[] = [];
  const seen = new Set<EngagementEventKind>();
  const accelerations: number[] = [];
  const slipping: boolean[] = [];
  let [before, slipTime, peakC, rolled, travelled] = [
    state.speeds[at.road]! * metres,
    0,
    now.facingC,
    0,
    0,
  ];
  let locked = false;
  const window = Math.max(1, Math.round(JERK_OVER / setup.step));
  const note = (kind: EngagementEventKind, time: number) => {
    if (seen.has(kind)) return;
    seen.add(kind);
    events.push({ kind, time });
  };
  return {
    samples,
    events,
    step(time: number): void {
      const speed = state.speeds[at.road]! * metres;
      accelerations.push((speed - before) / setup.step);
      before = speed;
      travelled += speed * setup.step;
      rolled = Math.max(rolled, -travelled);
      const slip = Math.abs(state.slips[0]!);
      const torque = Math.abs(state.torques[0]!);
      const rubs = slip > LOCKED && torque > LOCKED;
      slipping.push(rubs);
      if (rubs) slipTime += setup.step;
      peakC = Math.max(peakC, now.facingC);
      if (now.holdsNm > BITES_NM) note('bites', time);
      if (speed > MOVING) note('moves', time);
      if (rolled > ROLLED) note('rolls-back', time);
      if (slip < LOCKED && now.holdsNm > BITES_NM) {
        note('locks', time);
        locked = true;
      }
      if (locked && slip > SLIPS_AGAIN && now.pedal < 0.02) note('slips-again', time);
      if (now.dead) note('stalls', time);
      if (now.facingC > HOT_FACING_C) note('too-hot', time);
    },
    sample(time: number, heat: number): void {
      samples.push({
        time,
        pedal: now.pedal,
        throttle: now.throttle,
        engineRpm: state.speeds[at.engine]! / RAD,
        discRpm: state.speeds[at.disc]! / RAD,
        speed: state.speeds[at.road]! * metres,
        clutchNm: -state.torques[0]! + 0,
        holdsNm: now.holdsNm,
        acceleration: meanOf(accelerations, accelerations.length - window, accelerations.length),
        heatW: state.heats[0]! / setup.step,
        heat,
        facingC: now.facingC,
      });
    },
    summary(heat: number): EngagementSummary {
      return {
        slipTime,
        heat,
        peakC,
        jerk: largestJerk(accelerations, window, setup.step),
        judder: judderOf(accelerations, slipping, setup.step),
        stalled: now.dead,
        rolledBack: rolled,
        slipping: slipping.at(-1) ?? false,
        speed: before,
        engineRpm: state.speeds[at.engine]! / RAD,
      };
    },
  };
}

/** N·m of capacity from which a clutch bites, m/s that is moving, m that is rolling back, rad/s of slip that shows. */
const BITES_NM = 5;
const MOVING = 0.05;
const ROLLED = 0.02;
const SLIPS_AGAIN = 5;

function meanOf(list: readonly number[], from: number, to: number): number {
  const start = Math.max(0, from);
  if (to <= start) return 0;
  let sum = 0;
  for (let k = start; k < to; k++) sum += list[k]!;
  return sum / (to - start);
}

/** Sliding mean of a list over a window, by running sums. */
function smoothed(list: readonly number[], window: number): number[] {
  const sums = [0];
  for (const v of list) sums.push(sums.at(-1)! + v);
  const half = Math.floor(window / 2);
  return list.map((_v, k) => {
    const [from, to] = [Math.max(0, k - half), Math.min(list.length, k + half + 1)];
    return (sums[to]! - sums[from]!) / (to - from);
  });
}

function largestJerk(list: readonly number[], window: number, step: number): number {
  const smooth = smoothed(list, window);
  let most = 0;
  for (let k = window; k < smooth.length; k++)
    most = Math.max(most, Math.abs(smooth[k]! - smooth[k - window]!) / (window * step));
  return most;
}

/** Shaking about the sliding mean while the clutch slips: the mean height from trough to crest, and how often. */
function judderOf(
  list: readonly number[],
  slipping: readonly boolean[],
  step: number,
): EngagementSummary['judder'] {
  const none = { swing: 0, hertz: 0 };
  const fine = smoothed(list, Math.max(1, Math.round(0.01 / step)));
  const slow = smoothed(list, Math.max(1, Math.round(MEAN_OVER / step)));
  let [crest, trough, crossings, seconds] = [0, 0, 0, 0];
  const swings: number[] = [];
  let sign = 0;
  for (let k = 0; k < list.length; k++) {
    if (!slipping[k]) continue;
    seconds += step;
    const off = fine[k]! - slow[k]!;
    crest = Math.max(crest, off);
    trough = Math.min(trough, off);
    const next = off > 0 ? 1 : -1;
    if (sign !== 0 && next !== sign && ++crossings % 2 === 0) {
      swings.push(crest - trough);
      [crest, trough] = [0, 0];
    }
    sign = next;
  }
  if (swings.length < FEWEST_SWINGS) return none;
  swings.sort((a, b) => b - a);
  const strong = swings.slice(0, Math.max(FEWEST_SWINGS, Math.floor(swings.length / 2)));
  const swing = strong.reduce((a, b) => a + b, 0) / strong.length;
  return swing < LEAST_SWING ? none : { swing, hertz: crossings / 2 / seconds };
}
const FEWEST_SWINGS = 4;
/** m/s² below which nothing shakes. */
const LEAST_SWING = 0.05;
