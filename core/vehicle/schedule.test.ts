import {
  bestPower,
  characteristicOf,
  engineModel,
  matchEngine,
  type Converter,
  type Engine,
} from '../converter';
import { randomFromSeed } from '../numerics';
import {
  bestChange,
  gearAsked,
  pullAt,
  pullCurves,
  roadLoad,
  shiftSpeeds,
  topSpeed,
  turningIn,
  type ShiftSchedule,
  type Vehicle,
} from './index';
import { demoFile } from '../tests/demoFile';

const vehicle = demoFile<Vehicle>('vehicles/yard-tractor');
const engine = engineModel(demoFile<Engine>('engines/pilot-petrol'));
const driveline = { vehicle, gears: [2.44, 1.44, 1], engine };
const schedule: ShiftSchedule = { light: 0.2, full: 0.8, hysteresis: 0.3, kickDown: 0.9 };

// By hand: half throttle asks for half of the way from idle to the governor; in second (1.44) with this axle that is one speed.
test('the up line runs straight between the two turbine speeds, the down line below it', () => {
  const { up, down } = shiftSpeeds(schedule, driveline, 1, 0.5);
  const rpm = (engine.idleRpm + engine.governedRpm) / 2;
  const hand = (rpm * 2 * Math.PI * vehicle.tyreRadiusM) / (60 * 1.44 * vehicle.finalDrive);
  expect(up).toBeCloseTo(hand, 9);
  expect(down).toBeCloseTo(0.7 * hand, 9);
});

test('past the kick-down mark the down line comes up close under the up line', () => {
  const before = shiftSpeeds(schedule, driveline, 0, 0.89);
  const after = shiftSpeeds(schedule, driveline, 0, 0.9);
  expect(after.down).toBeGreaterThan(1.2 * before.down);
  expect(after.down).toBeLessThan(after.up);
});

// Hysteresis: at no throttle and speed may a gear that was just changed want to change back.
test('no place on the map hunts between two gears', () => {
  const random = randomFromSeed('hunting');
  const hunts: unknown[] = [];
  for (let k = 0; k < 2000; k++) {
    const throttle = random.next();
    const speed = 40 * random.next();
    const gear = Math.floor(3 * random.next());
    const asked = gearAsked(schedule, driveline, gear, throttle, speed);
    const again = gearAsked(schedule, driveline, asked, throttle, speed);
    if (Math.abs(asked - gear) > 1 || (asked !== gear && again === gear))
      hunts.push([throttle, speed, gear]);
  }
  expect(hunts).toEqual([]);
});

const converter = characteristicOf(demoFile<Converter>('converters/jetty-eleven'))!;
const pulling = { ...driveline, converter, throttle: 1 };

test('pull is the matched turbine torque through gear and axle', () => {
  const match = matchEngine(engine, converter, 1, (10 * turningIn(pulling, 1) * 30) / Math.PI);
  expect(pullAt(pulling, 1, 10).force).toBeCloseTo(
    0.95 * match.turbineNm * turningIn(pulling, 1),
    6,
  );
  const curves = pullCurves(pulling, 30);
  // A lower gear pulls more from standing, in the ratio of the gears.
  expect(curves[0]![0]!.force / curves[2]![0]!.force).toBeCloseTo(2.44, 6);
  // From standing to where the engine is governed, in so many equal steps.
  curves.forEach((curve, gear) => {
    expect(curve).toHaveLength(31);
    const top = (engine.governedRpm * Math.PI) / 30 / turningIn(pulling, gear);
    curve.forEach(({ speed }, k) => expect(speed).toBeCloseTo((top * k) / 30, 9));
  });
  for (const curve of curves)
    for (const { powerShare } of curve) expect(powerShare).toBeLessThanOrEqual(1 + 1e-6);
});

test('below the best change the lower gear pulls more, above it the next', () => {
  for (const gear of [0, 1]) {
    const v = bestChange(pulling, gear);
    const gain = (speed: number) =>
      pullAt(pulling, gear, speed).force - pullAt(pulling, gear + 1, speed).force;
    expect(gain(0.9 * v)).toBeGreaterThan(0);
    expect(gain(1.04 * v)).toBeLessThan(0);
  }
});

test('top speed is where pull and road are even; too steep is none', () => {
  const v = topSpeed(pulling, 1, 0.08);
  expect(pullAt(pulling, 1, v).force).toBeCloseTo(roadLoad(vehicle, v, 0.08), 0);
  expect(topSpeed(pulling, 2, 2)).toBe(0);
});

// By hand from the table: 4500 rev/min × 166 N·m = 78.2 kW is beaten further up.
test('best power is at no lower speed than best torque', () => {
  const { watts, speedRpm } = bestPower(engine);
  expect(watts).toBeGreaterThan((166 * 4500 * Math.PI) / 30);
  expect(speedRpm).toBeGreaterThan(3000);
});
