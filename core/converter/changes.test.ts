import {
  airDensityRatio,
  atAltitude,
  characteristicOf,
  coefficientOfK,
  coefficientOfPowerNumber,
  engineModel,
  fitStreamline,
  kOfCoefficient,
  matchEngine,
  pairFindings,
  powerNumber,
  resized,
  stallRpm,
  streamlineCharacteristic,
  usualBlades,
  weakened,
  wheelTorques,
  type Converter,
  type Engine,
  type StreamlineModel,
  type TableModel,
} from './index';
import { demoFile } from '../tests/demoFile';

const blades = demoFile<Converter>('converters/jetty-eleven');
const table = demoFile<Converter>('converters/slipway-table');
const petrol = demoFile<Engine>('engines/pilot-petrol');

// Dimensional analysis (any text on turbomachines): torque goes with the fifth power of the size.
test('a converter a tenth larger takes 1.1⁵ times the torque, however it is stated', () => {
  for (const converter of [blades, table])
    for (const sr of [0, 0.4, 0.8]) {
      const [was, is] = [converter, resized(converter, 1.1)].map((c) =>
        characteristicOf(c)!.at(sr),
      );
      expect(is!.coefficient / was!.coefficient).toBeCloseTo(1.1 ** 5, 8);
      expect(is!.torqueRatio).toBeCloseTo(was!.torqueRatio, 9);
    }
});

test('the power-law coefficient of one shape is the same at every size', () => {
  const lambda = (factor: number) => {
    const c = resized({ ...blades, diameter: 0.28 }, factor);
    return powerNumber(characteristicOf(c)!.at(0).coefficient, 840, c.diameter!);
  };
  expect(lambda(1.3)).toBeCloseTo(lambda(1), 12);
  expect(coefficientOfPowerNumber(lambda(1), 840, 0.28)).toBeCloseTo(
    characteristicOf(blades)!.at(0).coefficient,
    12,
  );
});

// Published: ISO 2533, Standard atmosphere, by geopotential altitude: 1000 m 1.1116 kg/m³, 2000 m 1.0065, 5000 m
// 0.7361 (memory for the table).
test('air thins as the standard atmosphere says', () => {
  expect(1.225 * airDensityRatio(0)).toBeCloseTo(1.225, 9);
  expect(1.225 * airDensityRatio(1000)).toBeCloseTo(1.1116, 4);
  expect(1.225 * airDensityRatio(2000)).toBeCloseTo(1.0065, 4);
  expect(1.225 * airDensityRatio(5000)).toBeCloseTo(0.7361, 4);
});

test('a weaker engine, by wear or by height, stalls lower; a larger converter too', () => {
  const stall = (e: Engine, c: Converter) => stallRpm(engineModel(e), characteristicOf(c)!);
  const sound = stall(petrol, blades);
  expect(stall(weakened(petrol, 0.7), blades)).toBeLessThan(sound);
  expect(stall(atAltitude(petrol, 2500), blades)).toBeLessThan(sound);
  expect(stall(petrol, resized(blades, 1.1))).toBeLessThan(sound);
  expect(stall(petrol, resized(blades, 0.9))).toBeGreaterThan(sound);
});

// Closed form: with constant torque T, n = K·√T, so the stall speed goes with the root of the torque.
test('with a flat engine the stall speed goes with the root of the torque', () => {
  const flat = { ...petrol, rows: petrol.rows.map((r) => ({ ...r, torqueNm: 150 })) };
  const stall = (e: Engine) => stallRpm(engineModel(e), characteristicOf(blades)!);
  expect(stall(weakened(flat, 0.64)) / stall(flat)).toBeCloseTo(0.8, 6);
});

test('measured part-load curves are met, and the torque is straight between them', () => {
  const rows = petrol.rows.map((r) => ({ ...r, torqueNm: 0.7 * r.torqueNm }));
  const model = engineModel({ ...petrol, partLoad: [{ throttle: 0.4, rows }] });
  const full = engineModel(petrol);
  expect(model.torque(3000, 0.4)).toBeCloseTo(0.7 * full.torque(3000, 1), 9);
  expect(model.torque(3000, 1)).toBeCloseTo(full.torque(3000, 1), 9);
  expect(model.torque(3000, 0.7)).toBeCloseTo(0.85 * full.torque(3000, 1), 9);
  expect(model.torque(3000, 0)).toBeCloseTo(full.torque(3000, 0), 9);
  expect(model.torque(3000, 0)).toBeLessThan(0);
});

describe('blades fitted to a table', () => {
  const settled = (model: TableModel, radius: number) => [
    ...fitStreamline(model, usualBlades(radius)),
  ];
  const truth = blades.model as StreamlineModel;
  const rows = Array.from({ length: 20 }, (_, k) => {
    const { torqueRatio, coefficient } = streamlineCharacteristic(truth).at(k / 20);
    return { speedRatio: k / 20, torqueRatio, capacity: kOfCoefficient(coefficient) };
  });

  test('a table made by blades is met again, from another start', () => {
    const last = settled({ kind: 'table', rows }, truth.pump.exitRadius).at(-1)!;
    expect(last.share).toBe(1);
    expect(last.missed).toBeLessThan(0.001);
    const fitted = streamlineCharacteristic(last.model);
    for (const { speedRatio, torqueRatio, capacity } of rows) {
      const point = fitted.at(speedRatio);
      expect(Math.abs(point.torqueRatio - torqueRatio)).toBeLessThan(0.002);
      expect(Math.abs(point.coefficient / coefficientOfK(capacity) - 1)).toBeLessThan(0.01);
      const { pump, turbine, stator } = wheelTorques(last.model, point);
      expect(pump + turbine + stator).toBeCloseTo(0, 12);
    }
  });

  test('a measured table is met to a few parts in a hundred, and never worse from round to round', () => {
    const steps = settled(table.model as TableModel, 0.12);
    expect(steps.at(-1)!.missed).toBeLessThan(0.03);
    steps.slice(1).forEach((s, k) => expect(s.missed).toBeLessThanOrEqual(steps[k]!.missed));
  });
});

test('an engine and a converter that do not fit each other are found out', () => {
  const codes = (e: Engine, c: Converter) => pairFindings(e, c).map((f) => f.code);
  expect(codes(petrol, blades)).toEqual([]);
  expect(codes(weakened(petrol, 0.05), blades)).toContain('can-not-pull-idle');
  expect(codes(petrol, resized(blades, 0.6))).toContain('stall-at-governor');
  expect(codes(petrol, { ...blades, lockUpCapacity: 120 })).toEqual(['lock-up-too-small']);
  const [found] = pairFindings(weakened(petrol, 0.05), blades);
  expect(found!.there).toBeLessThan(found!.asked);
});

// Common practice, no source: a lock-up clutch that falls a little short slips slowly, and shudders.
test('a lock-up clutch that falls a little short shudders; far too small, it slips', () => {
  const engine = engineModel(petrol);
  const c = characteristicOf(blades)!;
  const wanted = engine.torque(2500, 0.8);
  expect(matchEngine(engine, c, 0.8, 2500, 0.97 * wanted).kind).toBe('shudders');
  expect(matchEngine(engine, c, 0.8, 2500, 0.3 * wanted).kind).toBe('slips');
});
