import fc from 'fast-check';
import {
  characteristicOf,
  engineModel,
  labours,
  matchEngine,
  streamlineCharacteristic,
  tableCharacteristic,
  type Converter,
  type ConverterRow,
  type Engine,
} from './index';
import { demoFile } from '../tests/demoFile';

const jetty = demoFile<Converter>('converters/jetty-eleven');
const slipway = demoFile<Converter>('converters/slipway-table');
const diesel = engineModel(demoFile<Engine>('engines/yard-diesel'));

/** The same cases every time. */
const SEED = 20261128;
const anyRatio = fc.double({ min: -1, max: 3, noNaN: true });

/** Power in less power out, for ω_pump = 1, over the largest torque. */
const lostShare = (
  c: { at: (sr: number) => { coefficient: number; turbineCoefficient: number } },
  sr: number,
) => {
  const { coefficient, turbineCoefficient } = c.at(sr);
  const scale = Math.max(Math.abs(coefficient), Math.abs(turbineCoefficient), 1e-12);
  return (coefficient - sr * turbineCoefficient) / scale;
};

/** Any table that the format takes: speed ratios rise from 0, no row gives out more than it takes. */
const anyTable = fc
  .array(
    fc.record({
      step: fc.double({ min: 0.01, max: 1, noNaN: true }),
      tr: fc.double({ min: 0, max: 6, noNaN: true }),
      k: fc.double({ min: 1, max: 1e4, noNaN: true }),
    }),
    { minLength: 2, maxLength: 12 },
  )
  .map((steps): ConverterRow[] => {
    const total = steps.slice(1).reduce((sum, s) => sum + s.step, 0);
    let at = 0;
    return steps.map((s, n) => {
      if (n > 0) at += s.step / total;
      const speedRatio = n === 0 ? 0 : Math.min(1, at);
      const torqueRatio = n === 0 ? Math.max(1, s.tr) : Math.min(s.tr, 1 / speedRatio);
      return { speedRatio, torqueRatio, capacity: s.k };
    });
  });

// The second law: a converter only ever loses power, whichever of its wheels is driven and either way round.
test('no table makes energy, from speed ratio −1 to 3', () => {
  fc.assert(
    fc.property(anyTable, anyRatio, (rows, sr) => {
      expect(lostShare(tableCharacteristic({ kind: 'table', rows }), sr)).toBeGreaterThan(-1e-9);
    }),
    { seed: SEED, numRuns: 500 },
  );
});

test('no blades make energy, whole or with a stator fault, from speed ratio −1 to 3', () => {
  if (jetty.model.kind !== 'streamline') throw new Error('expected blades');
  const { model } = jetty;
  const anyFault = fc.constantFrom(null, 'slips' as const, 'seized' as const);
  const turn = fc.double({ min: -12, max: 12, noNaN: true });
  fc.assert(
    fc.property(anyFault, anyRatio, turn, turn, turn, (fault, sr, a, b, c) => {
      const bent = {
        ...model,
        pump: { ...model.pump, exitAngle: model.pump.exitAngle + a },
        turbine: { ...model.turbine, exitAngle: model.turbine.exitAngle + b },
        stator: { ...model.stator, inletAngle: model.stator.inletAngle + c },
      };
      expect(lostShare(streamlineCharacteristic(bent, fault), sr)).toBeGreaterThan(-1e-9);
    }),
    { seed: SEED, numRuns: 500 },
  );
});

// Common practice, no source: with the pedal up the road turns the engine through the converter, but more weakly than
// the engine turns the road, and without multiplying.
test('past equal speeds torque passes back, less of it, and both kinds agree on its sign', () => {
  for (const converter of [jetty, slipway]) {
    const c = characteristicOf(converter)!;
    const [back, forth] = [c.at(1.25), c.at(0.8)];
    expect(back.coefficient).toBeLessThan(0);
    expect(back.torqueRatio).toBeCloseTo(1, 6);
    expect(Math.abs(back.turbineCoefficient) / 1.25 ** 2).toBeLessThan(forth.coefficient);
    expect(back.efficiency).toBeCloseTo(1 / 1.25, 6);
    expect(c.at(1).coefficient).toBeCloseTo(0, 9);
  }
});

// A fact of the one-way clutch (common practice, no source): in overrun it lets the stator run the way of both wheels.
test('past equal speeds a free stator is carried round forward, and a seized one stands', () => {
  const blades = (fault: 'seized' | null) => characteristicOf(jetty, fault)!;
  for (const speedRatio of [1.2, 1.6, 2.5]) {
    const free = blades(null).at(speedRatio);
    expect([free.statorHolds, free.statorSpeed! > 0, free.statorSpeed! < speedRatio]).toEqual([
      false,
      true,
      true,
    ]);
    expect(blades('seized').at(speedRatio).statorSpeed).toBe(0);
  }
});

test('a closed throttle at speed brakes the vehicle by what the engine drags with', () => {
  for (const converter of [jetty, slipway]) {
    const match = matchEngine(diesel, characteristicOf(converter)!, 0, 2400);
    expect(match.kind).toBe('overrun');
    expect(match.engineRpm).toBeLessThan(2400);
    expect(match.engineNm).toBeCloseTo(diesel.torque(match.engineRpm, 0), 3);
    expect(match.turbineNm).toBeLessThan(0);
    expect(match.heatKw).toBeGreaterThan(0);
  }
});

// By hand: engine drag = −(lock-up) − (what the fluid passes back), and slip times torque is heat.
test('a lock-up clutch too weak for the engine’s drag slips the other way', () => {
  const c = characteristicOf(jetty)!;
  const drag = -diesel.torque(2400, 0);
  const slips = matchEngine(diesel, c, 0, 2400, drag / 4);
  expect(slips.lockUpNm).toBeCloseTo(-drag / 4, 9);
  expect(slips.engineNm).toBeCloseTo(diesel.torque(slips.engineRpm, 0), 3);
  expect(slips.engineRpm).toBeGreaterThan(matchEngine(diesel, c, 0, 2400).engineRpm);
  expect(slips.heatKw).toBeGreaterThan(0);
  expect(matchEngine(diesel, c, 0, 2400, drag * 2).kind).toBe('locked');
});

// The table comes down to 1 with a flat tangent, so a test of "a little above 1" stops short of it.
test('the coupling point is where the table says it is', () => {
  expect(characteristicOf(slipway)!.couplesAt).toBe(0.86);
  const crossing = tableCharacteristic({
    kind: 'table',
    rows: [
      { speedRatio: 0, torqueRatio: 2, capacity: 100 },
      { speedRatio: 0.8, torqueRatio: 1.2, capacity: 120 },
      { speedRatio: 1, torqueRatio: 0.8, capacity: 300 },
    ],
  });
  expect(crossing.couplesAt).toBeGreaterThan(0.8);
  expect(crossing.at(crossing.couplesAt).torqueRatio).toBeCloseTo(1, 9);
});

// Common practice, no source: locked at little above idle with the foot down, an engine labours and shakes the drive.
test('a locked engine labours when it is slow and hard at work, and only then', () => {
  const jettyOf = characteristicOf(jetty)!;
  const at = (throttle: number, times: number, lock?: number) =>
    labours(diesel, matchEngine(diesel, jettyOf, throttle, times * diesel.idleRpm, lock));
  expect(at(1, 1.3, 1e6)).toBe(true);
  expect(at(1, 2.4, 1e6)).toBe(false);
  expect(at(0.1, 1.3, 1e6)).toBe(false);
  expect(at(1, 1.3)).toBe(false);
});
