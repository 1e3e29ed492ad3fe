import {
  characteristicOf,
  engineModel,
  type Characteristic,
  type Converter,
  type Engine,
} from '../converter';
import {
  GRAVITY,
  launch,
  roadLoad,
  turningIn,
  USUAL_FLUID,
  type LaunchSetup,
  type ShiftSchedule,
  type Vehicle,
} from './index';
import { odexSolver } from './tests/odex';
import { demoFile } from '../tests/demoFile';

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
const petrol = engineModel(demoFile<Engine>('engines/pilot-petrol'));
/** The lowest gear stays in. */
const never: ShiftSchedule = { light: 1e3, full: 1e3, hysteresis: 0.3, kickDown: 1 };
const setup: LaunchSetup = {
  engine: petrol,
  converter: characteristicOf(demoFile<Converter>('converters/jetty-eleven'))!,
  vehicle: tractor,
  gears: [2.44, 1.44, 1],
  throttle: [{ at: 0, throttle: 0.5 }],
  grade: 0,
  schedule: { light: 0.08, full: 0.45, hysteresis: 0.35, kickDown: 0.9 },
  lockUp: 0,
  fluid: USUAL_FLUID,
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
  const { work, kinetic, road, heat, driveline } = energy;
  expect(driveline).toBeGreaterThan(0.02 * work);
  expect(Math.abs(work - kinetic - road - heat - driveline) / work).toBeLessThan(2e-4);
  expect(samples.at(-1)!.gear).toBeGreaterThan(1);
  samples.slice(1).forEach((s, k) => {
    expect(s.speed).toBeGreaterThanOrEqual(samples[k]!.speed - 1e-9);
    expect(s.heat).toBeGreaterThanOrEqual(samples[k]!.heat - 1e-6);
    expect(s.turbineRpm).toBeLessThanOrEqual(s.engineRpm * 1.01);
  });
});

/** A coupling that takes c·ω² whatever its speed ratio, and multiplies by two: a launch with a closed form. */
const simple: Characteristic = {
  couplesAt: 1,
  at: (speedRatio) => ({
    speedRatio,
    torqueRatio: 2,
    coefficient: 0.002,
    turbineCoefficient: 0.004,
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
    inertia: 0.25,
    torque: () => torque,
  };
  const end = Math.sqrt(torque / 0.002);
  const start = (600 * Math.PI) / 30;
  const at = (t: number) =>
    (end * Math.tanh(Math.atanh(start / end) + (t * end * 0.002) / 0.25) * 30) / Math.PI;
  const error = (step: number) => {
    const run = launch({
      ...setup,
      engine: flat,
      converter: simple,
      schedule: never,
      seconds: 0.4,
      step,
    });
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
    inertia: 0.25,
    torque: (rpm: number) => 0.002 * ((rpm * Math.PI) / 30) ** 2,
  };
  const vehicle = { ...tractor, dragAreaM2: 0, driveline: 1 };
  const run = launch({
    ...setup,
    engine: held,
    converter: simple,
    vehicle,
    seconds: 2,
    step: 0.01,
    schedule: never,
  });
  const omega = (1000 * Math.PI) / 30;
  const force = (2 * 0.002 * omega * omega * 2.44 * 4.1) / 0.38;
  const expected = ((force - 0.012 * 2400 * GRAVITY) / 2400) * 2;
  expect(run.samples.at(-1)!.speed).toBeCloseTo(expected, 9);
});

test('too steep, and it stands while all of the work becomes heat', () => {
  const run = launch({ ...setup, grade: 0.6, seconds: 5 });
  expect(run.samples.at(-1)!.speed).toBe(0);
  expect(run.energy.road).toBe(0);
  expect(run.energy.heat).toBeCloseTo(run.energy.work - run.energy.kinetic, 0);
});

test('no step, no time, no gear: refused', () => {
  expect(() => launch({ ...setup, step: 0 })).toThrow(/a step/);
  expect(() => launch({ ...setup, seconds: -1 })).toThrow(/a duration/);
  expect(() => launch({ ...setup, gears: [] })).toThrow(/a gear/);
  expect(() => launch({ ...setup, throttle: [] })).toThrow(/a throttle/);
});

// General-purpose reference library: odex, an extrapolation method for ordinary differential equations (published:
// E. Hairer, S. P. Nørsett, G. Wanner, Solving Ordinary Differential Equations I, section II.9).
test('a launch in one gear is what a general-purpose solver makes of the same equations', () => {
  const start = (petrol.idleRpm * Math.PI) / 30;
  const turn = turningIn(setup, 0);
  const solver = odexSolver(2, 1e-9);
  const { y } = solver.solve(
    (_t, [omega = 0, speed = 0]) => {
      const point = setup.converter.at(Math.min(1, (speed * turn) / omega));
      const pump = point.coefficient * omega * omega;
      const force = 0.95 * pump * point.torqueRatio * turn - roadLoad(tractor, speed, 0);
      return [
        (petrol.torque((omega * 30) / Math.PI, 0.5) - pump) / petrol.inertia,
        speed <= 0 && force < 0 ? 0 : force / tractor.massKg,
      ];
    },
    0,
    [start, 0],
    6,
  );
  const ours = launch({ ...setup, schedule: never, seconds: 6 }).samples.at(-1)!;
  expect(ours.engineRpm).toBeCloseTo((y[0]! * 30) / Math.PI, 1);
  expect(ours.speed).toBeCloseTo(y[1]!, 4);
});

// Closed form: all of P = c·ω³ heats C·dϑ/dt = P − UA·(ϑ − ϑ0), so ϑ = ϑ0 + P/UA·(1 − e^(−UA·t/C)).
test('the fluid warms as one lump with a cooler', () => {
  const rpm = 1500;
  const omega = (rpm * Math.PI) / 30;
  const engine = {
    idleRpm: rpm,
    governedRpm: 1e6,
    inertia: 0.25,
    torque: () => 0.002 * omega * omega,
  };
  const fluid = { massKg: 2, coolerWK: 400, coolantC: 70 };
  const run = launch({ ...setup, engine, converter: simple, grade: 2, fluid, seconds: 12 });
  const power = 0.002 * omega ** 3;
  const expected = 70 + (power / 400) * (1 - Math.exp((-400 * 12) / (2 * 2000)));
  expect(run.samples.at(-1)!.speed).toBe(0);
  expect(run.samples.at(-1)!.fluidC).toBeCloseTo(expected, 6);
});

test('lock-up takes hold in an upper gear, and the heat all but stops', () => {
  const fast = { ...setup, gears: [2.44, 1.44], throttle: [{ at: 0, throttle: 0.8 }] };
  const open = launch(fast);
  const locking = launch({ ...fast, lockUp: 320 });
  const at = locking.events.find((e) => e.kind === 'lock-up')!;
  expect(at.gear).toBeGreaterThan(1);
  const [last, before] = [locking.samples.at(-1)!, locking.samples.at(-20)!];
  expect(last.locked).toBe(true);
  expect(last.engineRpm / last.turbineRpm).toBeLessThan(1.01);
  const rate = (last.heat - before.heat) / (last.time - before.time);
  const openRate = (open.samples.at(-1)!.heat - open.samples.at(-20)!.heat) / 0.95;
  expect(rate).toBeLessThan(openRate / 3);
  const { work, kinetic, road, heat, driveline } = locking.energy;
  expect(Math.abs(work - kinetic - road - heat - driveline) / work).toBeLessThan(2e-4);
});

test('a run can end at a road speed', () => {
  const whole = launch(setup);
  const ended = launch({ ...setup, until: 5 });
  const last = ended.samples.at(-1)!;
  expect(last.speed).toBeGreaterThanOrEqual(5);
  expect(last.speed).toBeLessThan(5.01);
  expect(whole.samples.find((s) => s.speed >= 5)!.time).toBeGreaterThanOrEqual(last.time);
});

test('what happens is told in order: it pulls most, moves, changes gear; a foot to the floor changes down', () => {
  const run = launch({
    ...setup,
    throttle: [
      { at: 0, throttle: 0.5 },
      { at: 11, throttle: 1 },
    ],
  });
  const kinds = run.events.map((e) => e.kind);
  expect(kinds.indexOf('moves')).toBeLessThan(kinds.indexOf('upshift'));
  // Read off the trace: the wheels pull most before the first change of gear, however they pull after it.
  const most = run.events.find((e) => e.kind === 'pulls-most')!;
  const upshift = run.events.find((e) => e.kind === 'upshift')!;
  const inFirst = run.samples.filter((s) => s.time < upshift.time).map((s) => s.wheelNm);
  const then = run.samples.findLast((s) => s.time <= most.time)!;
  expect(most.time).toBeLessThan(upshift.time);
  expect(then.wheelNm / Math.max(...inFirst)).toBeGreaterThan(0.98);
  const down = run.events.find((e) => e.kind === 'downshift')!;
  expect(down.time).toBeGreaterThanOrEqual(11);
  expect(run.events.map((e) => e.time)).toEqual(
    run.events.map((e) => e.time).sort((a, b) => a - b),
  );
  expect(run.samples.at(-1)!.gear).toBeLessThan(Math.max(...run.samples.map((s) => s.gear)) + 1);
});

// Facts of the trade: lock-up comes in where the turbine has all but caught up, and does not chatter about one speed ratio.
test('lock-up comes in late, stays to a lower speed ratio, and never chatters within a gear', () => {
  const ratio = (s: { turbineRpm: number; engineRpm: number }) => s.turbineRpm / s.engineRpm;
  for (const lockUp of [40, 320])
    for (const throttle of [0.3, 1]) {
      // A foot on the floor in mid-run pulls the speed ratio down without a change of gear.
      const foot = [
        { at: 0, throttle },
        { at: 7, throttle: 0.88 },
      ];
      const { samples } = launch({
        ...setup,
        gears: [2.44, 1.44],
        throttle: foot,
        lockUp,
        seconds: 14,
      });
      const changes = samples.slice(1).filter((s, k) => s.locked !== samples[k]!.locked);
      const into = changes.filter((s) => s.locked);
      const runs = new Set(samples.map((s) => s.gear)).size;
      expect([lockUp, throttle, into.length <= runs]).toEqual([lockUp, throttle, true]);
      const before = (s: (typeof samples)[number]) => samples[samples.indexOf(s) - 1]!;
      for (const s of into) expect(ratio(before(s))).toBeGreaterThan(0.8);
      for (const s of changes.filter((c) => !c.locked && c.gear === before(c).gear))
        expect(ratio(s)).toBeLessThan(0.75);
    }
});
