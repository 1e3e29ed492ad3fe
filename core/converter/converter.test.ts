import { randomFromSeed } from '../numerics';
import {
  coefficientOfK,
  engineModel,
  kOfCoefficient,
  kPerRootNewtonMetre,
  kPerRootPoundFoot,
  matchEngine,
  stallRpm,
  streamlineCharacteristic,
  tableCharacteristic,
  wheelTorques,
  type Characteristic,
  type Engine,
  type StreamlineModel,
} from './index';

/** A geometry of the size of a passenger car's (invented, near the example of Hrovat and Tobler; memory). */
const model: StreamlineModel = {
  kind: 'streamline',
  pump: { exitRadius: 0.11, exitAngle: 18, inletAngle: -10 },
  turbine: { exitRadius: 0.066, exitAngle: -59, inletAngle: 55 },
  stator: { exitRadius: 0.06, exitAngle: 59.5, inletAngle: 0 },
  area: 0.0097,
  density: 840,
  shock: 1,
  friction: 0.25,
};
const sound = streamlineCharacteristic(model);
const ratios = Array.from({ length: 21 }, (_, k) => k / 20);

// Published: momentum balance, T_pump + T_stator = T_turbine in magnitude (any text; SAE J643, memory).
test('the torques of the three wheels sum to zero, and efficiency is SR·TR and never over 1', () => {
  for (const fault of [null, 'slips', 'seized'] as const)
    for (const sr of ratios) {
      const point = streamlineCharacteristic(model, fault).at(sr);
      const { pump, turbine, stator } = wheelTorques(model, point);
      expect(pump + turbine + stator).toBeCloseTo(0, 12);
      expect(point.efficiency).toBeCloseTo(sr * point.torqueRatio, 12);
      expect(point.efficiency).toBeLessThanOrEqual(1);
      if (point.coefficient > 0) expect(-turbine / pump).toBeCloseTo(point.torqueRatio, 9);
    }
});

// Published range: a passenger car's converter multiplies 1.8 to 2.5 at stall and couples near 0.85 to 0.9
// (SAE and handbook practice; memory).
test('stall and coupling lie where a passenger car’s do', () => {
  const stall = sound.at(0);
  expect(stall.torqueRatio).toBeGreaterThan(1.8);
  expect(stall.torqueRatio).toBeLessThan(2.5);
  expect(stall.efficiency).toBe(0);
  expect(sound.couplesAt).toBeGreaterThan(0.84);
  expect(sound.couplesAt).toBeLessThan(0.92);
  expect(kOfCoefficient(stall.coefficient)).toBeGreaterThan(100);
});

test('the stator holds below the coupling point and turns with no torque above it', () => {
  const coupling = sound.couplesAt;
  for (const sr of ratios) {
    const point = sound.at(sr);
    const torque = wheelTorques(model, point).stator;
    if (sr < coupling - 1e-6) {
      expect([sr, point.statorHolds, point.statorSpeed]).toEqual([sr, true, 0]);
      expect(torque).toBeGreaterThan(0);
    } else if (sr > coupling + 1e-6) {
      expect(point.statorSpeed!).toBeGreaterThan(0);
      expect(torque).toBeCloseTo(0, 9);
      expect(point.torqueRatio).toBeCloseTo(1, 6);
    }
  }
});

// Common practice, no source: a slipping stator gives no multiplication and a low stall speed; a seized one
// launches as usual and then drags.
test('both stator faults come out of the model', () => {
  const [slips, seized] = (['slips', 'seized'] as const).map((f) =>
    streamlineCharacteristic(model, f),
  ) as [Characteristic, Characteristic];
  expect(slips.at(0).torqueRatio).toBeCloseTo(1, 6);
  expect(slips.at(0).coefficient).toBeGreaterThan(sound.at(0).coefficient);
  expect(seized.at(0)).toEqual(sound.at(0));
  expect(seized.at(0.97).torqueRatio).toBeLessThan(0.95);
  expect(sound.at(0.97).torqueRatio).toBeCloseTo(1, 6);
});

test('torque ratio falls and the converter takes less, the nearer the speeds come', () => {
  const points = ratios.map((sr) => sound.at(sr));
  points.slice(1).forEach((p, k) => {
    expect(p.torqueRatio).toBeLessThanOrEqual(points[k]!.torqueRatio + 1e-9);
    expect(p.coefficient).toBeLessThanOrEqual(points[k]!.coefficient + 1e-9);
  });
});

// Dimensional analysis: torque grows as density · ω² · size⁵ (any text on turbomachines).
test('a converter twice as large takes 32 times the torque at the same ratio', () => {
  const wheel = (w: StreamlineModel['pump']) => ({ ...w, exitRadius: 2 * w.exitRadius });
  const larger = streamlineCharacteristic({
    ...model,
    pump: wheel(model.pump),
    turbine: wheel(model.turbine),
    stator: wheel(model.stator),
    area: 4 * model.area,
  });
  for (const sr of [0, 0.5, 0.8]) {
    expect(larger.at(sr).coefficient / sound.at(sr).coefficient).toBeCloseTo(32, 6);
    expect(larger.at(sr).torqueRatio).toBeCloseTo(sound.at(sr).torqueRatio, 9);
  }
});

// By hand: K = 150 rev/min/√N·m at 100 N·m is 1500 rev/min; 100 N·m = 73.756 lbf·ft, √ = 8.588, so
// K = 1500/8.588 = 174.66 rev/min/√lbf·ft.
test('capacity in the usual units', () => {
  expect(kPerRootPoundFoot(150)).toBeCloseTo(174.66, 2);
  expect(kPerRootNewtonMetre(kPerRootPoundFoot(150))).toBeCloseTo(150, 12);
  const omega = (1500 * Math.PI) / 30;
  expect(coefficientOfK(150) * omega ** 2).toBeCloseTo(100, 9);
  expect(kOfCoefficient(coefficientOfK(150))).toBeCloseTo(150, 12);
  expect(kOfCoefficient(0)).toBe(Infinity);
  expect(() => coefficientOfK(0)).toThrow(/above 0/);
});

test('a table gives its own rows back, stays monotone between, and ends at no torque', () => {
  const rows = [
    { speedRatio: 0, torqueRatio: 2.1, capacity: 150 },
    { speedRatio: 0.5, torqueRatio: 1.55, capacity: 165 },
    { speedRatio: 0.88, torqueRatio: 1, capacity: 220 },
    { speedRatio: 0.97, torqueRatio: 1, capacity: 400 },
  ];
  const table = tableCharacteristic({ kind: 'table', rows });
  for (const row of rows) {
    const point = table.at(row.speedRatio);
    expect(point.torqueRatio).toBeCloseTo(row.torqueRatio, 12);
    expect(kOfCoefficient(point.coefficient)).toBeCloseTo(row.capacity, 9);
  }
  expect(table.at(1).coefficient).toBe(0);
  let last = Infinity;
  for (let sr = 0; sr <= 1; sr += 0.01) {
    expect(table.at(sr).torqueRatio).toBeLessThanOrEqual(last);
    last = table.at(sr).torqueRatio;
  }
  expect(table.couplesAt).toBeCloseTo(0.88, 4);
  expect(() => tableCharacteristic({ kind: 'table', rows: rows.slice(1) })).toThrow(/from 0/);
});

const flat = (torqueNm: number): Engine => ({
  format: 'fair-sprocket/engine',
  version: 1,
  id: 'flat',
  name: '',
  rows: [
    { speedRpm: 500, torqueNm },
    { speedRpm: 4000, torqueNm },
  ],
  idleRpm: 600,
  governedRpm: 3800,
  drag: 0.1,
});

// Closed form: with constant engine torque T and the turbine held, n = K(0)·√T.
test('a constant-torque engine stalls at K·√T', () => {
  const rows = [
    { speedRatio: 0, torqueRatio: 2, capacity: 160 },
    { speedRatio: 1, torqueRatio: 1, capacity: 900 },
  ];
  const table = tableCharacteristic({ kind: 'table', rows });
  for (const torque of [80, 150, 210])
    expect(stallRpm(engineModel(flat(torque)), table)).toBeCloseTo(160 * Math.sqrt(torque), 4);
});

test('at every match the pump takes what the engine gives, and heat is what does not come out', () => {
  const engine = engineModel(flat(160));
  const random = randomFromSeed('match');
  for (let k = 0; k < 60; k++) {
    const throttle = 0.25 + 0.75 * random.next();
    const turbine = 1500 * random.next();
    const match = matchEngine(engine, sound, throttle, turbine);
    if (match.kind !== 'runs') continue;
    expect(match.engineNm).toBeCloseTo(engine.torque(match.engineRpm, throttle), 4);
    const shaft = (nm: number, rpm: number) => (nm * rpm * Math.PI) / 30_000;
    expect(match.heatKw).toBeCloseTo(
      shaft(match.engineNm, match.engineRpm) - shaft(match.turbineNm, match.turbineRpm),
      9,
    );
    expect(match.heatKw).toBeGreaterThan(-1e-9);
  }
});

// Common practice, no source: in gear with the foot off, the idle control holds the engine at idle.
test('with the throttle closed the idle control holds, and below idle it opens the throttle', () => {
  const engine = engineModel(flat(160));
  const match = matchEngine(engine, sound, 0, 0);
  expect(match).toMatchObject({ kind: 'idles', engineRpm: 600 });
  expect(match.turbineNm).toBeGreaterThan(0);
  expect(engine.torque(600, 0)).toBeLessThan(0);
  expect(engine.torque(570, 0)).toBeGreaterThan(engine.torque(590, 0));
  expect(engine.torque(500, 0)).toBe(160);
});

test('an engine too weak for its converter says so; the road may turn the turbine faster than the engine', () => {
  const weak = engineModel(flat(5));
  expect(matchEngine(weak, sound, 1, 0).kind).toBe('can-not-pull-idle');
  expect(matchEngine(engineModel(flat(160)), sound, 0, 2500).kind).toBe('overrun');
  const governed = matchEngine(engineModel(flat(2000)), sound, 1, 0);
  expect(governed.engineRpm).toBeLessThan(3800 * 1.05);
});

// Common practice, no source: locked, engine and turbine turn alike and the heat is gone; too little capacity slips.
test('lock-up takes the heat away as long as it holds', () => {
  const engine = engineModel(flat(160));
  const open = matchEngine(engine, sound, 0.8, 1800);
  const locked = matchEngine(engine, sound, 0.8, 1800, 300);
  expect(open.heatKw).toBeGreaterThan(0);
  expect(open.engineRpm).toBeGreaterThan(1800);
  expect(locked).toMatchObject({ kind: 'locked', engineRpm: 1800, heatKw: 0 });
  expect(locked.turbineNm).toBeCloseTo(engine.torque(1800, 0.8), 9);
  const slips = matchEngine(engine, sound, 0.8, 1800, 60);
  expect(slips.kind).toBe('slips');
  expect(slips.engineRpm).toBeGreaterThan(1800);
  expect(slips.engineRpm).toBeLessThan(open.engineRpm);
  expect(slips.engineNm).toBeCloseTo(engine.torque(slips.engineRpm, 0.8), 4);
  expect(slips.heatKw).toBeGreaterThan(0);
});
