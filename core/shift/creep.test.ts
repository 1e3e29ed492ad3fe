import type { ClutchPack } from '../clutch';
import { demoFile, demoUnit } from '../tests/demoFile';
import { GRAVITY, type Vehicle } from '../vehicle';
import { creep, type Creep } from './index';

const unit = demoUnit('ferry-dual');
const vehicle = demoFile<Vehicle>('vehicles/yard-tractor');
const pack = demoFile<ClutchPack>('clutch-packs/fender-pack');
const range = unit.ranges.find((r) => r.id === 'D1')!;
const run = (change: Partial<Creep> = {}) =>
  creep({
    unit,
    vehicle,
    pack,
    range,
    grade: 0.1,
    speed: 0,
    engineRpm: 800,
    seconds: 10,
    oilC: 80,
    ...change,
  });

// By hand: F = m·g·(sin ϑ − f·cos ϑ), T = F·r/(i·i_fd), P = T·2π·n/60 (first gear of this unit: 69/7).
test('what holding on a hill takes, in closed form', () => {
  const angle = Math.atan(0.1);
  const force = vehicle.massKg * GRAVITY * (Math.sin(angle) - vehicle.rolling * Math.cos(angle));
  const torque = (force * vehicle.tyreRadiusM) / ((69 / 7) * vehicle.finalDrive);
  const { torqueNm, watts, slipRpm } = run();
  expect(torqueNm).toBeCloseTo(torque, 6);
  expect(slipRpm).toBe(800);
  expect(watts).toBeCloseTo((torque * 2 * Math.PI * 800) / 60, 6);
});

// A pack can't get hotter than all of the heat in its cheapest part, nor cooler than its oil (energy).
test('it only gets hotter, the steeper and the longer the more', () => {
  const { course } = run({ grade: 0.2 });
  for (let k = 1; k < course.length; k++)
    expect(course[k]!.celsius).toBeGreaterThanOrEqual(course[k - 1]!.celsius - 1e-9);
  const end = (change: Partial<Creep>) => run(change).course.at(-1)!.celsius;
  expect(end({ grade: 0.2 })).toBeGreaterThan(end({ grade: 0.1 }));
  expect(end({ seconds: 20 })).toBeGreaterThan(end({ seconds: 10 }));
  expect(end({ grade: 0 })).toBeCloseTo(80, 9);
  // Twice the power, twice as far above the oil: conduction is linear.
  const power = run({ engineRpm: 1600 }).course.at(-1)!.celsius - 80;
  expect(power).toBeCloseTo(2 * (end({}) - 80), 6);
});

// Common practice, no source: held by its clutch, a vehicle burns it within a minute; with the brake it costs nothing.
test('a steep hill held by the clutch is too hot within a minute; on the flat it never is', () => {
  const steep = run({ grade: 0.25, seconds: 60, engineRpm: 1200 });
  expect(steep.tooHotAfter).toBeGreaterThan(0);
  expect(steep.tooHotAfter).toBeLessThan(60);
  expect(run({ grade: 0, seconds: 60 }).tooHotAfter).toBeNull();
});

test('creeping as fast as idle asks it is closed, and slower it slips', () => {
  const idle = ((800 * Math.PI) / 30 / ((69 / 7) * vehicle.finalDrive)) * vehicle.tyreRadiusM;
  expect(run({ speed: 1.01 * idle }).watts).toBe(0);
  expect(run({ speed: 0.5 * idle }).slipRpm).toBeCloseTo(400, 6);
  expect(run({ speed: 0.5 * idle }).torqueNm).toBeGreaterThan(run({}).torqueNm);
  expect(() => run({ range: unit.ranges.find((r) => r.id === 'N')! })).toThrow('drives');
});
