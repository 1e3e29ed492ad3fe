import { readFileSync } from 'node:fs';
import {
  characteristicOf,
  engineModel,
  type Characteristic,
  type Converter,
  type Engine,
} from '../converter';
import { GRAVITY, launch, roadLoad, type LaunchSetup, type Vehicle } from './index';

const read = <T>(file: string) => JSON.parse(readFileSync(`demo/${file}.json`, 'utf8')) as T;
const tractor: Vehicle = {
  format: 'fair-sprocket/vehicle',
  version: 1,
  id: 'tow',
  name: '',
  massKg: 2400,
  tyreRadiusM: 0.38,
  finalDrive: 4.1,
  dragAreaM2: 1.8,
  rolling: 0.012,
};
const setup: LaunchSetup = {
  engine: engineModel(read<Engine>('engines/pilot-petrol')),
  converter: characteristicOf(read<Converter>('converters/jetty-eleven'))!,
  vehicle: tractor,
  gears: [2.44, 1.44, 1],
  throttle: 0.8,
  grade: 0,
  engineInertia: 0.25,
  shiftRpm: 4200,
  seconds: 15,
  step: 0.002,
};

// Closed form: half ρ·c_d·A·v², rolling and grade by hand: 2400 kg at 20 m/s on 5 %.
test('the road load adds air, rolling and grade', () => {
  const slope = Math.atan(0.05);
  const expected =
    0.5 * 1.225 * 1.8 * 400 + 2400 * GRAVITY * (0.012 * Math.cos(slope) + Math.sin(slope));
  expect(roadLoad(tractor, 20, 0.05)).toBeCloseTo(expected, 9);
  expect(roadLoad(tractor, 0, 0)).toBeCloseTo(0.012 * 2400 * GRAVITY, 9);
});

// First law: what the engine put in is in the motion, the road or the fluid.
test('work = kinetic + road + heat', () => {
  const { energy, samples } = launch(setup);
  const { work, kinetic, road, heat } = energy;
  expect(Math.abs(work - kinetic - road - heat) / work).toBeLessThan(2e-4);
  expect(samples.at(-1)!.gear).toBeGreaterThan(1);
  samples.slice(1).forEach((s, k) => {
    expect(s.speed).toBeGreaterThanOrEqual(samples[k]!.speed - 1e-9);
    expect(s.heat).toBeGreaterThanOrEqual(samples[k]!.heat - 1e-6);
    expect(s.turbineRpm).toBeLessThanOrEqual(s.engineRpm * 1.01);
  });
});

/** A coupling that takes c·ω² whatever its speed ratio, and multiplies by two: a launch with a closed form. */
const simple: Characteristic = {
  at: (speedRatio) => ({
    speedRatio,
    torqueRatio: 2,
    coefficient: 0.002,
    efficiency: 2 * speedRatio,
    statorHolds: true,
    statorSpeed: 0,
    flow: null,
  }),
};

// Closed form: I·dω/dt = T − c·ω² from ω0 is ω = ω∞·tanh(atanh(ω0/ω∞) + t·ω∞·c/I) with ω∞ = √(T/c).
test('the engine runs up as the closed form says, to the order of the integrator', () => {
  const torque = 120;
  const flat = {
    idleRpm: 600,
    governedRpm: 1e6,
    torque: () => torque,
  };
  const end = Math.sqrt(torque / 0.002);
  const start = (600 * Math.PI) / 30;
  const at = (t: number) =>
    (end * Math.tanh(Math.atanh(start / end) + (t * end * 0.002) / 0.25) * 30) / Math.PI;
  const error = (step: number) => {
    const run = launch({ ...setup, engine: flat, converter: simple, seconds: 0.4, step });
    return Math.abs(run.samples.at(-1)!.engineRpm - at(0.4));
  };
  const [coarse, fine] = [error(0.1), error(0.05)];
  expect(fine).toBeLessThan(0.05);
  // Order four: half the step, about a sixteenth of the error.
  expect(coarse / fine).toBeGreaterThan(10);
});

// Closed form: a constant force against rolling resistance alone gives v = (F − R)·t/m.
test('with a constant torque the vehicle’s speed rises in a straight line', () => {
  const held = {
    idleRpm: 1000,
    governedRpm: 1e6,
    torque: (rpm: number) => 0.002 * ((rpm * Math.PI) / 30) ** 2,
  };
  const vehicle = { ...tractor, dragAreaM2: 0 };
  const run = launch({
    ...setup,
    engine: held,
    converter: simple,
    vehicle,
    seconds: 2,
    step: 0.01,
    shiftRpm: 1e6,
  });
  const omega = (1000 * Math.PI) / 30;
  const force = (2 * 0.002 * omega * omega * 2.44 * 4.1) / 0.38;
  const expected = ((force - 0.012 * 2400 * GRAVITY) / 2400) * 2;
  expect(run.samples.at(-1)!.speed).toBeCloseTo(expected, 9);
});

test('too steep, and it stands while all of the work becomes heat', () => {
  const run = launch({ ...setup, throttle: 0.3, grade: 0.6, seconds: 5 });
  expect(run.samples.at(-1)!.speed).toBe(0);
  expect(run.energy.road).toBe(0);
  expect(run.energy.heat).toBeCloseTo(run.energy.work - run.energy.kinetic, 0);
});

test('no step, no time, no gear: refused', () => {
  expect(() => launch({ ...setup, step: 0 })).toThrow(/a step/);
  expect(() => launch({ ...setup, seconds: -1 })).toThrow(/a duration/);
  expect(() => launch({ ...setup, gears: [] })).toThrow(/a gear/);
});
