import { RPM_TO_RAD } from '../quantities';
import type { Characteristic, EngineModel } from '../converter';
import { gearAsked, turningIn, type ShiftSchedule } from './schedule';
import {
  afterDriveline,
  FLUID_HEAT_CAPACITY,
  roadLoad,
  type FluidLoop,
  type Vehicle,
} from './vehicle';

/**
 * A launch over time: engine, converter with its lock-up clutch, the gears, and the road.
 *
 *   I_e·dω_e/dt = T_engine(ω_e, throttle) − T_pump − T_lock      m·dv/dt = η·(T_turbine + T_lock)·i/r − road load
 *   C·dϑ/dt = heat − cooler·(ϑ − ϑ_coolant)
 *
 * with T_pump = c(SR)·ω_e², T_turbine = c_t(SR)·ω_e² and ω_turbine = v·i/r; with the pedal up the turbine turns the engine. Energies are carried along as states, so
 * that work in = kinetic + road + driveline + heat holds to the integrator's order. Classical Runge–Kutta of order four with a
 * fixed step (any numerical text). The road turns nothing backward: the brakes hold a vehicle that would roll.
 *
 * Range: a gear change is a change of ratio from one step to the next; gears
 * without loss; a step of no more than 5 ms where a lock-up clutch takes part.
 */
export interface LaunchSetup {
  readonly engine: EngineModel;
  readonly converter: Characteristic;
  readonly vehicle: Vehicle;
  /** Ratios of the unit's forward gears, lowest gear first. */
  readonly gears: readonly number[];
  /** Openings from 0 to 1, each from its time on; the first from 0 s. */
  readonly throttle: readonly ThrottleStep[];
  /** Rise over run. */
  readonly grade: number;
  readonly schedule: ShiftSchedule;
  /** The gear that valves ask for, 0 for the first, at most one step away; it goes before the schedule. */
  readonly valves?: (gear: number, throttle: number, speed: number) => number;
  /** Whether oil keeps the lock-up on, or brings it; left out, it follows the converter's slip. */
  readonly locks?: (locked: boolean, gear: number, throttle: number, speed: number) => boolean;
  /** N·m that the lock-up clutch holds; 0 where there is none. */
  readonly lockUp: number;
  readonly fluid: FluidLoop;
  readonly seconds: number;
  /** m/s at which the run ends before its time; left out, it goes on. */
  readonly until?: number;
  /** s. */
  readonly step: number;
}

export interface ThrottleStep {
  readonly at: number;
  readonly throttle: number;
}

export interface LaunchSample {
  readonly time: number;
  readonly throttle: number;
  readonly engineRpm: number;
  readonly turbineRpm: number;
  /** m/s. */
  readonly speed: number;
  /** 1 for the first. */
  readonly gear: number;
  readonly wheelNm: number;
  /** W that the engine gives now. */
  readonly engineW: number;
  readonly locked: boolean;
  /** Heat into the fluid so far, J. */
  readonly heat: number;
  /** °C. */
  readonly fluidC: number;
}

/**
 * What happens: it `moves` off, the wheels `pull most` (before the first change of gear), the `stator lets go`, a
 * gear comes in, lock-up applies.
 */
export type LaunchEventKind =
  | 'moves'
  | 'pulls-most'
  | 'stator-lets-go'
  | 'upshift'
  | 'downshift'
  | 'lock-up';

export interface LaunchEvent {
  readonly kind: LaunchEventKind;
  readonly time: number;
  /** The gear that it happens in, or that comes in; 1 for the first. */
  readonly gear: number;
}

export interface LaunchResult {
  readonly samples: readonly LaunchSample[];
  /** In the order of time. */
  readonly events: readonly LaunchEvent[];
  /** J since the start; kinetic is the gain of engine and vehicle. */
  readonly energy: {
    readonly work: number;
    readonly heat: number;
    readonly road: number;
    /** Lost between gears and wheels. */
    readonly driveline: number;
    readonly kinetic: number;
  };
  readonly steps: number;
}

const SAMPLE_EVERY = 0.05;
/** A gear stays in at least this long, s. */
const DWELL = 0.5;
/** Lock-up comes in from second gear up, past this speed ratio, and stays down to the lower one. */
const LOCK_FROM = 0.85;
const LOCK_UNTIL = 0.7;
/** rad/s: an engine is not slower, or its converter's speed ratio has no meaning. */
const LEAST_OMEGA = 1;
/** rad/s of slip at which a lock-up clutch carries three quarters of what it holds: it takes hold softly. */
const LOCK_SLIP = 5;
/** m/s from which a vehicle is said to move. */
const MOVING = 0.05;

/** Places in the state: engine speed, road speed, work of the engine, heat, work against the road, fluid, driveline. */
const [ENGINE, SPEED, WORK, HEAT, ROAD, FLUID, SHAFTS] = [0, 1, 2, 3, 4, 5, 6] as const;
const STATES = 7;

/** @throws Error when the step or the duration is not above zero, or there is no gear or throttle */
export function launch(setup: LaunchSetup): LaunchResult {
  const { vehicle, gears, step, seconds, engine, schedule } = setup;
  if (!(step > 0) || !(seconds > 0) || gears.length === 0 || setup.throttle.length === 0)
    throw new Error('launch: expected a step, a duration, a gear and a throttle');
  const steps = Math.round(seconds / step);
  const every = Math.max(1, Math.round(SAMPLE_EVERY / step));
  const state = new Float64Array(STATES);
  state[ENGINE] = engine.idleRpm * RPM_TO_RAD;
  state[FLUID] = setup.fluid.coolantC;
  const kinetic = () =>
    (engine.inertia * state[ENGINE]! ** 2 + vehicle.massKg * state[SPEED]! ** 2) / 2;
  const atStart = kinetic();
  const now: Running = { gear: 0, throttle: setup.throttle[0]!.throttle, locked: false };
  const slope = slopeOf(setup, now);
  const advance = rungeKutta(slope.at, STATES);
  const watch = eventWatch();
  const samples: LaunchSample[] = [];
  let changed = -DWELL;
  let taken = 0;
  for (let k = 0; k <= steps; k++) {
    const time = k * step;
    now.throttle = throttleAt(setup.throttle, time);
    if (time - changed >= DWELL) {
      const asked = setup.valves ?? ((...at) => gearAsked(schedule, setup, ...at));
      const gear = asked(now.gear, now.throttle, state[SPEED]!);
      if (gear !== now.gear) {
        watch.see(gear > now.gear ? 'upshift' : 'downshift', time, gear);
        [now.gear, now.locked, changed] = [gear, false, time];
      }
    }
    const first = slope.at(state);
    now.locked = setup.locks
      ? setup.locks(now.locked, now.gear, now.throttle, state[SPEED]!)
      : lockedNow(now, slope.seen);
    watch.running(slope.seen, state[SPEED]!, time, now);
    const there = setup.until !== undefined && state[SPEED]! >= setup.until;
    if (k % every === 0 || k === steps || there)
      samples.push(sampleOf(state, slope.seen, now, time));
    if (there) break;
    if (k === steps) break;
    advance(state, first, step);
    taken++;
  }
  return {
    samples,
    events: watch.events(),
    energy: {
      work: state[WORK]!,
      heat: state[HEAT]!,
      road: state[ROAD]!,
      driveline: state[SHAFTS]!,
      kinetic: kinetic() - atStart,
    },
    steps: taken,
  };
}

/** What changes from one step to the next, and not within one. */
interface Running {
  gear: number;
  throttle: number;
  locked: boolean;
}

/** What the right-hand side saw when it was last asked. */
interface Seen {
  turbine: number;
  wheelNm: number;
  engineNm: number;
  statorHolds: boolean;
  speedRatio: number;
}

function throttleAt(steps: readonly ThrottleStep[], time: number): number {
  let throttle = steps[0]!.throttle;
  for (const s of steps) if (s.at <= time) throttle = s.throttle;
  return throttle;
}

function slopeOf(setup: LaunchSetup, now: Running) {
  const { converter, vehicle, engine, fluid, grade, lockUp } = setup;
  const turning = setup.gears.map((_g, k) => turningIn(setup, k));
  const capacity = fluid.massKg * FLUID_HEAT_CAPACITY;
  const seen: Seen = { turbine: 0, wheelNm: 0, engineNm: 0, statorHolds: true, speedRatio: 0 };
  const out = new Float64Array(STATES);
  const at = (state: Float64Array): Float64Array => {
    const omega = state[ENGINE]!;
    const speed = state[SPEED]!;
    const turn = turning[now.gear]!;
    const turbine = speed * turn;
    const ratio = turbine / Math.max(omega, LEAST_OMEGA);
    const point = converter.at(ratio);
    const pump = point.coefficient * omega * omega;
    const lock = now.locked ? lockUp * Math.tanh((omega - turbine) / LOCK_SLIP) : 0;
    const onTurbine = point.turbineCoefficient * omega * omega + lock;
    const engineNm = engine.torque(omega / RPM_TO_RAD, now.throttle);
    const push = onTurbine * turn;
    const force = afterDriveline(vehicle, push);
    const load = roadLoad(vehicle, speed, grade);
    const stands = speed <= 0 && force < load;
    const heat = (pump + lock) * omega - onTurbine * turbine;
    out[ENGINE] = (engineNm - pump - lock) / engine.inertia;
    out[SPEED] = stands ? 0 : (force - load) / vehicle.massKg;
    out[WORK] = engineNm * omega;
    out[HEAT] = heat;
    out[ROAD] = stands ? 0 : load * speed;
    out[SHAFTS] = (push - force) * speed;
    out[FLUID] = (heat - fluid.coolerWK * (state[FLUID]! - fluid.coolantC)) / capacity;
    seen.turbine = turbine;
    seen.wheelNm = force * vehicle.tyreRadiusM;
    seen.engineNm = engineNm;
    seen.statorHolds = point.statorHolds;
    seen.speedRatio = ratio;
    return out;
  };
  return { at, seen };
}

const sampleOf = (state: Float64Array, seen: Seen, now: Running, time: number): LaunchSample => ({
  time,
  throttle: now.throttle,
  engineRpm: state[ENGINE]! / RPM_TO_RAD,
  turbineRpm: seen.turbine / RPM_TO_RAD,
  speed: state[SPEED]!,
  gear: now.gear + 1,
  wheelNm: seen.wheelNm,
  engineW: seen.engineNm * state[ENGINE]!,
  locked: now.locked,
  heat: state[HEAT]!,
  fluidC: state[FLUID]!,
});

/** Lock-up comes in from second gear up, when the turbine has come near to the engine, and lets go when it falls back. */
const lockedNow = ({ locked, gear }: Running, { speedRatio }: Seen): boolean =>
  gear > 0 && speedRatio > (locked ? LOCK_UNTIL : LOCK_FROM);

/** Notes what happens: gear changes every time, everything else the first time. */
function eventWatch() {
  const list: LaunchEvent[] = [];
  const noted = new Set<LaunchEventKind>();
  let most = { time: 0, gear: 1, wheelNm: -Infinity };
  const see = (kind: LaunchEventKind, time: number, gear: number) => {
    noted.add(kind);
    list.push({ kind, time, gear: gear + 1 });
  };
  const once = (kind: LaunchEventKind, happens: boolean, time: number, gear: number) => {
    if (happens && !noted.has(kind)) see(kind, time, gear);
  };
  return {
    see,
    running(seen: Seen, speed: number, time: number, { gear, locked }: Running): void {
      if (!noted.has('upshift') && seen.wheelNm > most.wheelNm)
        most = { time, gear: gear + 1, wheelNm: seen.wheelNm };
      once('moves', speed > MOVING, time, gear);
      once('stator-lets-go', noted.has('moves') && !seen.statorHolds, time, gear);
      once('lock-up', locked, time, gear);
    },
    events: (): LaunchEvent[] =>
      [...list, { kind: 'pulls-most' as const, time: most.time, gear: most.gear }].sort(
        (a, b) => a.time - b.time,
      ),
  };
}

/** One step of order four in place, from the slope at its start; f may hand out the same array every time. */
function rungeKutta(f: (s: Float64Array) => Float64Array, n: number) {
  const middle = new Float64Array(n);
  const sum = new Float64Array(n);
  return (state: Float64Array, first: Float64Array, h: number): void => {
    const stage = (by: Float64Array, weight: number, next: number) => {
      for (let k = 0; k < n; k++) {
        sum[k] = sum[k]! + weight * by[k]!;
        middle[k] = state[k]! + next * h * by[k]!;
      }
    };
    sum.fill(0);
    stage(first, 1, 0.5);
    stage(f(middle), 2, 0.5);
    stage(f(middle), 2, 1);
    stage(f(middle), 1, 0);
    for (let k = 0; k < n; k++) state[k] = state[k]! + (h / 6) * sum[k]!;
  };
}
