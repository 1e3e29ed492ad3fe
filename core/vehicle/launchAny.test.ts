import fc from 'fast-check';
import { characteristicOf, engineModel, type Converter, type Engine } from '../converter';
import {
  launch,
  readingOf,
  stallTest,
  USUAL_FLUID,
  type LaunchSetup,
  type StallRig,
  type Vehicle,
} from './index';
import { demoFile } from '../tests/demoFile';

const engines = ['pilot-petrol', 'yard-diesel'].map((e) => demoFile<Engine>(`engines/${e}`));
const converters = ['jetty-eleven', 'slipway-table'].map((c) =>
  demoFile<Converter>(`converters/${c}`),
);
const vehicle = demoFile<Vehicle>('vehicles/yard-tractor');

/** The same cases every time. */
const SEED = 20261125;

const share = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const anySetup: fc.Arbitrary<LaunchSetup> = fc
  .record({
    engine: fc.constantFrom(...engines),
    converter: fc.constantFrom(...converters),
    mass: share(600, 9000),
    throttle: share(0.15, 1),
    kick: share(0.15, 1),
    grade: share(0, 0.25),
    light: share(0.05, 0.3),
    full: share(0.4, 0.9),
    hysteresis: share(0.1, 0.6),
    lockUp: fc.constantFrom(0, 150, 400),
  })
  .map((a) => ({
    engine: engineModel(a.engine),
    converter: characteristicOf(a.converter)!,
    vehicle: { ...vehicle, massKg: a.mass },
    gears: [2.9, 1.6, 1, 0.75],
    throttle: [
      { at: 0, throttle: a.throttle },
      { at: 5, throttle: a.kick },
    ],
    grade: a.grade,
    schedule: { light: a.light, full: a.full, hysteresis: a.hysteresis, kickDown: 0.9 },
    lockUp: a.lockUp,
    fluid: USUAL_FLUID,
    seconds: 10,
    step: 0.004,
  }));

// First law, over any engine, converter, load and schedule: what the engine put in is in the motion, the road or the
// fluid. A change of gear is a jump of the right-hand side, so the order falls there; the balance still holds.
test('work = kinetic + road + heat, whatever is driven', () => {
  fc.assert(
    fc.property(anySetup, (setup) => {
      const { energy } = launch(setup);
      const { work, kinetic, road, heat, driveline } = energy;
      expect(Math.abs(work - kinetic - road - heat - driveline)).toBeLessThan(
        2e-3 * Math.abs(work) + 50,
      );
    }),
    { numRuns: 16, seed: SEED },
  );
});

// The second law: with the pedal up at speed the road turns the engine, and the fluid still only warms.
test('heat never falls, and a lifted pedal brakes', () => {
  fc.assert(
    fc.property(anySetup, (setup) => {
      const lifted = { ...setup, throttle: [setup.throttle[0]!, { at: 6, throttle: 0 }], grade: 0 };
      const { samples } = launch(lifted);
      expect(samples.filter((s, k) => k > 0 && s.heat <= samples[k - 1]!.heat - 1e-3)).toEqual([]);
      const last = samples.at(-1)!;
      if (last.turbineRpm > 1.2 * lifted.engine.idleRpm) expect(last.wheelNm).toBeLessThan(0);
    }),
    { numRuns: 16, seed: SEED },
  );
});

test('it never rolls back, changes one gear at a time, and the fluid is never colder than its cooler', () => {
  fc.assert(
    fc.property(anySetup, (setup) => {
      const { samples, events } = launch(setup);
      const steps = samples.map((s, k) => Math.abs(s.gear - (samples[k - 1] ?? s).gear));
      expect(Math.min(...samples.map((s) => s.speed))).toBeGreaterThanOrEqual(-1e-9);
      expect(Math.min(...samples.map((s) => s.fluidC))).toBeGreaterThan(
        USUAL_FLUID.coolantC - 1e-6,
      );
      expect(Math.max(...steps)).toBeLessThanOrEqual(1);
      const changes = events.filter((e) => e.kind === 'upshift' || e.kind === 'downshift');
      // A gear stays in for half a second at least.
      changes.slice(1).forEach((e, k) => expect(e.time - changes[k]!.time).toBeGreaterThan(0.49));
    }),
    { numRuns: 12, seed: SEED },
  );
});

// Order of convergence: the engine's curve joins smoothly only once, so an eighth of the error is sure with half the step
// where a sixteenth would be with a smooth one (launch.test.ts has that case).
test('half the step, at most an eighth of the error, with the fluid and the heat along', () => {
  const setup: LaunchSetup = {
    engine: engineModel(engines[0]!),
    converter: characteristicOf(converters[0]!)!,
    vehicle,
    gears: [2.44],
    throttle: [{ at: 0, throttle: 0.9 }],
    grade: 0,
    schedule: { light: 1, full: 1, hysteresis: 0.3, kickDown: 1 },
    lockUp: 0,
    fluid: USUAL_FLUID,
    seconds: 0.8,
    step: 0.1,
  };
  const heat = (step: number) => launch({ ...setup, step }).energy.heat;
  const exact = heat(0.002);
  const [coarse, fine] = [Math.abs(heat(0.1) - exact), Math.abs(heat(0.05) - exact)];
  expect(coarse / fine).toBeGreaterThan(7.5);
});

test('a stronger converter, or a weaker clutch, moves a stall reading the way the trade says', () => {
  const rig = (weakShare: number, clutchShare: number): StallRig => ({
    engine: engines[0]!,
    converter: converters[0]!,
    fluid: USUAL_FLUID,
    weakShare,
    clutchShare,
  });
  fc.assert(
    fc.property(share(0.3, 0.9), share(0.2, 0.85), (weak, clutch) => {
      const sound = readingOf(stallTest(rig(weak, clutch), 'sound'));
      expect(readingOf(stallTest(rig(weak, clutch), 'engine-weak'))).toBeLessThan(sound);
      expect(readingOf(stallTest(rig(weak, clutch), 'clutch-slips'))).toBeGreaterThan(sound);
    }),
    { numRuns: 10, seed: SEED },
  );
});
