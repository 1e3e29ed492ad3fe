import type { Characteristic, EngineModel } from '../converter';
import { roadLoad, type Vehicle } from './vehicle';

/**
 * A launch over time: engine, converter, one gear after the other, and the road.
 *
 *   I_e·dω_e/dt = T_engine(ω_e, throttle) − T_pump        m·dv/dt = T_turbine·i/r − road load
 *
 * with T_pump = c(SR)·ω_e², T_turbine = TR·T_pump and ω_turbine = v·i/r. Energies are carried along as states, so
 * that work in = kinetic + road + heat holds to the integrator's order. Classical Runge–Kutta of order four with a
 * fixed step (any numerical text). The road turns nothing backward: the brakes hold a vehicle that would roll.
 *
 * Range: turbine not faster than the engine; a gear change is a change of ratio from one step to the next.
 */
export interface LaunchSetup {
  readonly engine: EngineModel;
  readonly converter: Characteristic;
  readonly vehicle: Vehicle;
  /** Ratios of the unit's forward gears, lowest gear first. */
  readonly gears: readonly number[];
  /** 0 to 1. */
  readonly throttle: number;
  /** Rise over run. */
  readonly grade: number;
  /** kg·m² of the engine with pump and flexplate. */
  readonly engineInertia: number;
  /** Engine speed at which the next gear comes, rev/min. */
  readonly shiftRpm: number;
  readonly seconds: number;
  /** s. */
  readonly step: number;
}

export interface LaunchSample {
  readonly time: number;
  readonly engineRpm: number;
  readonly turbineRpm: number;
  /** m/s. */
  readonly speed: number;
  /** 1 for the first. */
  readonly gear: number;
  readonly wheelNm: number;
  /** Heat into the fluid so far, J. */
  readonly heat: number;
}

export interface LaunchResult {
  readonly samples: readonly LaunchSample[];
  /** J since the start; kinetic is the gain of engine and vehicle. */
  readonly energy: {
    readonly work: number;
    readonly heat: number;
    readonly road: number;
    readonly kinetic: number;
  };
  readonly steps: number;
}

const RAD_S_PER_RPM = Math.PI / 30;
const SAMPLE_EVERY = 0.05;

/** Engine speed, vehicle speed, and the energies: work of the engine, heat, work against the road. */
type State = readonly [number, number, number, number, number];

/** @throws Error when the step or the duration is not above zero, or there is no gear */
export function launch(setup: LaunchSetup): LaunchResult {
  const { vehicle, gears, step, seconds, engine, engineInertia } = setup;
  if (!(step > 0) || !(seconds > 0) || gears.length === 0)
    throw new Error('launch: expected a step, a duration and a gear');
  const steps = Math.round(seconds / step);
  const every = Math.max(1, Math.round(SAMPLE_EVERY / step));
  const start: State = [engine.idleRpm * RAD_S_PER_RPM, 0, 0, 0, 0];
  let state = start;
  let gear = 0;
  const samples: LaunchSample[] = [];
  for (let k = 0; k <= steps; k++) {
    const last = gear === gears.length - 1;
    if (!last && state[0] > setup.shiftRpm * RAD_S_PER_RPM && coupled(setup, state, gear)) gear++;
    if (k % every === 0 || k === steps) samples.push(sampleOf(setup, state, gear, k * step));
    if (k < steps) state = rungeKutta((s) => slope(setup, s, gear), state, step);
  }
  const kinetic = (s: State) => (engineInertia * s[0] * s[0] + vehicle.massKg * s[1] * s[1]) / 2;
  return {
    samples,
    energy: {
      work: state[2],
      heat: state[3],
      road: state[4],
      kinetic: kinetic(state) - kinetic(start),
    },
    steps,
  };
}

/** Turbine speed over vehicle speed, rad/m. */
const turning = ({ vehicle, gears }: LaunchSetup, gear: number): number =>
  (gears[gear]! * vehicle.finalDrive) / vehicle.tyreRadiusM;

/** Late enough for the next gear: the turbine has come near to the engine. */
const coupled = (setup: LaunchSetup, [engine, speed]: State, gear: number): boolean =>
  speed * turning(setup, gear) > 0.8 * engine;

function torquesAt(setup: LaunchSetup, [omega, speed]: State, gear: number) {
  const turbine = speed * turning(setup, gear);
  const point = setup.converter.at(omega > 0 ? Math.min(1, turbine / omega) : 1);
  const pump = point.coefficient * omega * omega;
  return { turbine, pump, onTurbine: pump * point.torqueRatio };
}

function slope(setup: LaunchSetup, state: State, gear: number): State {
  const [omega, speed] = state;
  const { vehicle, engine, engineInertia, throttle, grade } = setup;
  const { turbine, pump, onTurbine } = torquesAt(setup, state, gear);
  const engineNm = engine.torque(omega / RAD_S_PER_RPM, throttle);
  const force = onTurbine * turning(setup, gear);
  const load = roadLoad(vehicle, speed, grade);
  const stands = speed <= 0 && force < load;
  const acceleration = stands ? 0 : (force - load) / vehicle.massKg;
  return [
    (engineNm - pump) / engineInertia,
    acceleration,
    engineNm * omega,
    pump * omega - onTurbine * turbine,
    stands ? 0 : load * speed,
  ];
}

function sampleOf(setup: LaunchSetup, state: State, gear: number, time: number): LaunchSample {
  const { turbine, onTurbine } = torquesAt(setup, state, gear);
  return {
    time,
    engineRpm: state[0] / RAD_S_PER_RPM,
    turbineRpm: turbine / RAD_S_PER_RPM,
    speed: state[1],
    gear: gear + 1,
    wheelNm: onTurbine * setup.gears[gear]! * setup.vehicle.finalDrive,
    heat: state[3],
  };
}

function rungeKutta(f: (s: State) => State, s: State, h: number): State {
  const moved = (by: State, share: number): State =>
    s.map((v, k) => v + share * h * by[k]!) as unknown as State;
  const a = f(s);
  const b = f(moved(a, 0.5));
  const c = f(moved(b, 0.5));
  const d = f(moved(c, 1));
  return s.map((v, k) => v + (h / 6) * (a[k]! + 2 * b[k]! + 2 * c[k]! + d[k]!)) as unknown as State;
}
