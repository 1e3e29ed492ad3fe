import {
  engineModel,
  matchEngine,
  stallRpm,
  characteristicOf,
  type Converter,
  type Engine,
} from '../converter';
import {
  dipstick,
  fluidLook,
  fluidVerdict,
  levelVerdict,
  LONGEST_STALL_S,
  readingOf,
  stallBand,
  stallConditions,
  stallReading,
  stallSuspects,
  stallTest,
  stallVerdict,
  USUAL_FLUID,
  type StallRig,
} from './index';
import { demoFile } from '../tests/demoFile';

const rig: StallRig = {
  engine: demoFile<Engine>('engines/pilot-petrol'),
  converter: demoFile<Converter>('converters/jetty-eleven'),
  fluid: USUAL_FLUID,
  weakShare: 0.65,
  clutchShare: 0.5,
};
const reading = (condition: Parameters<typeof stallTest>[1]) =>
  readingOf(stallTest(rig, condition));
const verdict = (condition: Parameters<typeof stallTest>[1]) =>
  stallVerdict(reading(condition), stallBand(rig));

test('after a few seconds the engine stands at the stall speed of the match', () => {
  const sound = stallRpm(engineModel(rig.engine), characteristicOf(rig.converter)!);
  expect(Math.abs(reading('sound') - sound) / sound).toBeLessThan(0.005);
});

// Common practice, no source: high means that something slips; low, that the stator slips or the engine is weak; a
// seized stator stalls as usual.
test('the verdicts of the trade come out of the model', () => {
  expect(verdict('sound')).toBe('in-band');
  expect(verdict('stator-seized')).toBe('in-band');
  expect(verdict('stator-slips')).toBe('low');
  expect(verdict('engine-weak')).toBe('low');
  expect(verdict('clutch-slips')).toBe('high');
  expect(verdict('pump-not-driven')).toBe('high');
});

test('every condition is among the suspects of its own reading', () => {
  for (const condition of stallConditions(rig.converter))
    expect(stallSuspects(rig, reading(condition)).map((s) => s.condition)).toContain(condition);
});

test('suspects say what they would have to be', () => {
  const share = (condition: 'engine-weak' | 'clutch-slips') =>
    stallSuspects(rig, reading(condition)).find((s) => s.condition === condition)!.share!;
  expect(share('engine-weak')).toBeCloseTo(rig.weakShare, 2);
  expect(share('clutch-slips')).toBeCloseTo(rig.clutchShare, 2);
});

// Closed form: at stall all of the engine's work above its own run-up is heat, C·Δϑ = W − ½·I·Δω².
test('the fluid takes all the work, and the test ends after five seconds', () => {
  const samples = stallTest(rig, 'sound', 60);
  expect(samples.at(-1)!.time).toBeCloseTo(LONGEST_STALL_S, 9);
  const model = engineModel(rig.engine);
  const omega = (rpm: number) => (rpm * Math.PI) / 30;
  let work = 0;
  samples.slice(1).forEach((s, k) => {
    const before = samples[k]!;
    const power = (r: number) => model.torque(r, 1) * omega(r);
    work += ((power(s.engineRpm) + power(before.engineRpm)) / 2) * (s.time - before.time);
  });
  const runUp =
    (model.inertia * (omega(samples.at(-1)!.engineRpm) ** 2 - omega(model.idleRpm) ** 2)) / 2;
  const warmed = (samples.at(-1)!.fluidC - USUAL_FLUID.coolantC) * USUAL_FLUID.massKg * 2000;
  expect(Math.abs(warmed - (work - runUp)) / work).toBeLessThan(0.01);
});

test('a table is not asked about its stator', () => {
  const table = { ...rig, converter: demoFile<Converter>('converters/slipway-table') };
  expect(stallConditions(table.converter)).not.toContain('stator-slips');
  expect(() => stallTest(table, 'stator-slips')).toThrow(/table/);
});

// Common practice, no source: level the same running and stopped, and no range moves: the pump does not turn. Bright
// red is healthy, brown and burnt is friction material, milky is water.
test('dipstick, colour and smell', () => {
  expect(levelVerdict(dipstick('sound'))).toBe('pump-turns');
  expect(dipstick('sound').stoppedMm).toBeGreaterThan(dipstick('sound').runningMm);
  expect(levelVerdict(dipstick('pump-not-driven'))).toBe('pump-does-not-turn');
  expect(fluidVerdict(fluidLook('sound', false, 95))).toBe('healthy');
  expect(fluidVerdict(fluidLook('clutch-slips', false, 95))).toBe('friction-material');
  expect(fluidVerdict(fluidLook('sound', true, 95))).toBe('water');
  expect(fluidVerdict({ colour: 'brown', burnt: false })).toBe('overheated');
});

// From memory: five in a hundred either side of the sound stall speed.
test('the band a reading is held against is as wide as makers state it', () => {
  const sound = stallRpm(engineModel(rig.engine), characteristicOf(rig.converter)!);
  const band = stallBand(rig);
  expect([band.low / sound, band.high / sound]).toEqual([
    expect.closeTo(0.95),
    expect.closeTo(1.05),
  ]);
  expect([0.94, 0.96, 1.04, 1.06].map((share) => stallVerdict(share * sound, band))).toEqual([
    'low',
    'in-band',
    'in-band',
    'high',
  ]);
});

// By looking at every turbine speed: where the unit holds less, the turbine runs up until the converter gives no more than that.
test('where something slips the steady reading is higher: what the turbine gives is what is held', () => {
  const [engine, converter] = [engineModel(rig.engine), characteristicOf(rig.converter)!];
  const held = matchEngine(engine, converter, 1, 0);
  expect(stallReading(engine, converter, Infinity)).toBeCloseTo(held.engineRpm, 6);
  expect(stallReading(engine, converter, held.turbineNm * 1.01)).toBeCloseTo(held.engineRpm, 6);
  for (const share of [0.9, 0.5, 0.25]) {
    const holdsNm = share * held.turbineNm;
    let rpm = 0;
    while (matchEngine(engine, converter, 1, rpm).turbineNm > holdsNm) rpm += 1;
    const there = matchEngine(engine, converter, 1, rpm).engineRpm;
    expect(Math.abs(stallReading(engine, converter, holdsNm) - there)).toBeLessThan(5);
    expect(stallReading(engine, converter, holdsNm)).toBeGreaterThan(held.engineRpm);
    // Run through time it comes to the same, the turbine as well.
    const last = stallTest({ ...rig, clutchShare: share }, 'clutch-slips').at(-1)!;
    expect(Math.abs(last.engineRpm - there) / there).toBeLessThan(0.02);
    expect(Math.abs(last.turbineRpm - rpm) / rpm).toBeLessThan(0.05);
  }
});
