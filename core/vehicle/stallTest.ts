import { RPM_TO_RAD } from '../quantities';
import {
  characteristicOf,
  engineModel,
  matchEngine,
  stallRpm,
  weakened,
  type Characteristic,
  type Converter,
  type Engine,
  type EngineModel,
} from '../converter';
import { findRoot } from '../numerics';
import { FLUID_HEAT_CAPACITY, type FluidLoop } from './vehicle';

/**
 * The stall test: brakes on, range in, full throttle for a few seconds, engine speed read. High: something in the
 * unit slips; low: the stator slips or the engine is weak (common practice, no source). What the test shows is
 * computed from what is wrong; what may be wrong is computed back from what the test shows.
 *
 *   I_e·dω_e/dt = T_engine − T_pump      I_t·dω_t/dt = T_turbine − (what the unit's clutch holds)
 *
 * The turbine stands as long as the clutch holds it. All power becomes heat in the fluid, which has no time to cool.
 */
export const STALL_CONDITIONS = [
  'sound',
  'stator-slips',
  'stator-seized',
  'engine-weak',
  'clutch-slips',
  'pump-not-driven',
] as const;
export type StallCondition = (typeof STALL_CONDITIONS)[number];

/** Longest time at full throttle, s (common practice, no source). */
export const LONGEST_STALL_S = 5;

export interface StallRig {
  readonly engine: Engine;
  readonly converter: Converter;
  readonly fluid: FluidLoop;
  /** Torque share of the weak engine, 0 to 1. */
  readonly weakShare: number;
  /** What the slipping clutch holds over the torque at the turbine in a sound stall, 0 to 1. */
  readonly clutchShare: number;
}

export interface StallSample {
  readonly time: number;
  readonly engineRpm: number;
  readonly turbineRpm: number;
  /** °C. */
  readonly fluidC: number;
}

/** kg·m² of the turbine and the unit's input. */
const TURBINE_INERTIA = 0.05;
const STEP = 0.002;
const SAMPLE_EVERY = 0.05;

/** Which conditions this converter can be given: a table does not tell of a broken stator. */
export const stallConditions = ({ model }: Converter): StallCondition[] =>
  STALL_CONDITIONS.filter((c) => model.kind === 'streamline' || !c.startsWith('stator'));

function subjectOf(rig: StallRig, condition: StallCondition) {
  const { converter, engine } = rig;
  const fault =
    condition === 'stator-slips' ? 'slips' : condition === 'stator-seized' ? 'seized' : null;
  const characteristic = characteristicOf(converter, fault);
  if (!characteristic) throw new Error('stallTest: a table does not tell of a broken stator');
  const model = engineModel(condition === 'engine-weak' ? weakened(engine, rig.weakShare) : engine);
  return { model, characteristic };
}

/** Torque at the turbine in a sound stall at full throttle, N·m. */
function soundTurbineNm(engine: EngineModel, characteristic: Characteristic): number {
  const omega = stallRpm(engine, characteristic) * RPM_TO_RAD;
  return characteristic.at(0).turbineCoefficient * omega * omega;
}

/**
 * @param seconds at full throttle; longer than `LONGEST_STALL_S` is cut there
 * @throws Error for a stator fault on a converter that is stated by a table
 */
export function stallTest(
  rig: StallRig,
  condition: StallCondition,
  seconds: number = LONGEST_STALL_S,
): StallSample[] {
  const { model, characteristic } = subjectOf(rig, condition);
  const holds =
    condition === 'clutch-slips'
      ? rig.clutchShare * soundTurbineNm(model, characteristic)
      : Infinity;
  // A pump that is not driven leaves the converter empty: nothing circulates, nothing moves.
  const filled = condition === 'pump-not-driven' ? 0 : 1;
  const capacity = rig.fluid.massKg * FLUID_HEAT_CAPACITY;
  let [engine, turbine, fluidC] = [model.idleRpm * RPM_TO_RAD, 0, rig.fluid.coolantC];
  const samples: StallSample[] = [];
  const steps = Math.round(Math.min(seconds, LONGEST_STALL_S) / STEP);
  const every = Math.round(SAMPLE_EVERY / STEP);
  for (let k = 0; k <= steps; k++) {
    if (k % every === 0)
      samples.push({
        time: k * STEP,
        engineRpm: engine / RPM_TO_RAD,
        turbineRpm: turbine / RPM_TO_RAD,
        fluidC,
      });
    const point = characteristic.at(turbine / engine);
    const pump = filled * point.coefficient * engine * engine;
    const onTurbine = filled * point.turbineCoefficient * engine * engine;
    const held = turbine <= 0 && onTurbine <= holds;
    fluidC += (STEP * pump * engine) / capacity;
    engine += (STEP * (model.torque(engine / RPM_TO_RAD, 1) - pump)) / model.inertia;
    turbine = held ? 0 : Math.max(0, turbine + (STEP * (onTurbine - holds)) / TURBINE_INERTIA);
  }
  return samples;
}

/** The reading: engine speed at the end. */
export const readingOf = (samples: readonly StallSample[]): number => samples.at(-1)!.engineRpm;

/**
 * The steady reading of a stall test where the unit holds no more than this: the turbine turns on until what it gives is
 * what is held. @param holdsNm at the turbine; `Infinity` when nothing slips
 */
export function stallReading(
  engine: EngineModel,
  characteristic: Characteristic,
  holdsNm: number,
): number {
  const turbine = (rpm: number) => matchEngine(engine, characteristic, 1, rpm);
  const held = turbine(0);
  if (held.turbineNm <= holdsNm) return held.engineRpm;
  const { x } = findRoot((rpm) => turbine(rpm).turbineNm - holdsNm, 0, engine.governedRpm, 0.1);
  return turbine(x).engineRpm;
}

export interface StallBand {
  readonly low: number;
  readonly high: number;
}

/** Makers state a band about the sound stall speed; ± 5 % is usual (memory). */
const BAND = 0.05;

export function stallBand({ engine, converter }: StallRig): StallBand {
  const characteristic = characteristicOf(converter);
  if (!characteristic) throw new Error('stallBand: expected a converter');
  const rpm = stallRpm(engineModel(engine), characteristic);
  return { low: rpm * (1 - BAND), high: rpm * (1 + BAND) };
}

export type StallVerdict = 'in-band' | 'low' | 'high';

export const stallVerdict = (rpm: number, band: StallBand): StallVerdict =>
  rpm < band.low ? 'low' : rpm > band.high ? 'high' : 'in-band';

/** What would give a reading, and what it would have to be for that. */
export interface StallSuspect {
  readonly condition: StallCondition;
  /** The engine's torque share, or the clutch's share of what it should hold; `null` where nothing is open. */
  readonly share: number | null;
}

/** A reading is known to about this share. */
const READ_TO = 0.03;

/** Every condition that fits the reading, each computed from the model. */
export function stallSuspects(rig: StallRig, readingRpm: number): StallSuspect[] {
  const fits = (rpm: number) => Math.abs(rpm - readingRpm) <= READ_TO * readingRpm;
  const band = stallBand(rig);
  return stallConditions(rig.converter).flatMap((condition): StallSuspect[] => {
    switch (condition) {
      case 'sound':
        return stallVerdict(readingRpm, band) === 'in-band' ? [{ condition, share: null }] : [];
      case 'stator-seized':
      case 'stator-slips': {
        const { model, characteristic } = subjectOf(rig, condition);
        return fits(stallRpm(model, characteristic)) ? [{ condition, share: null }] : [];
      }
      case 'engine-weak': {
        if (readingRpm >= band.low) return [];
        const characteristic = characteristicOf(rig.converter)!;
        const miss = (share: number) =>
          stallRpm(engineModel(weakened(rig.engine, share)), characteristic) - readingRpm;
        const { x, why } = findRoot(miss, 0.05, 1, 1e-4);
        return why === 'found' ? [{ condition, share: x }] : [];
      }
      case 'clutch-slips':
        return readingRpm > band.high ? [{ condition, share: clutchShareAt(rig, readingRpm) }] : [];
      case 'pump-not-driven':
        return readingRpm >= rig.engine.governedRpm ? [{ condition, share: null }] : [];
    }
  });
}

/** What the clutch still holds when the engine runs at this speed, over the torque of a sound stall. */
function clutchShareAt({ engine, converter }: StallRig, rpm: number): number {
  const model = engineModel(engine);
  const characteristic = characteristicOf(converter)!;
  const nm = Math.max(0, model.torque(rpm, 1));
  const omega = rpm * RPM_TO_RAD;
  // The speed ratio at which the pump takes what the engine gives there.
  const { x } = findRoot(
    (sr) => characteristic.at(sr).coefficient * omega * omega - nm,
    0,
    1,
    1e-6,
  );
  const turbineNm = nm * characteristic.at(x).torqueRatio;
  return Math.min(1, turbineNm / soundTurbineNm(model, characteristic));
}
