import { AS_BUILT, ironCooled, type Clutch } from '../clutch';
import { engineModel, type Engine } from '../converter';
import { drivelineDrag, type Vehicle } from '../vehicle';
import { engage, repeatStarts, feetTrace, brakeTrace, type EngagementSetup } from './index';
import { demoFile, demoUnit } from '../tests/demoFile';

const unit = demoUnit('winch-manual');
const setup: EngagementSetup = {
  engine: engineModel(demoFile<Engine>('engines/pilot-petrol')),
  clutch: demoFile<Clutch>('clutches/bollard-nine'),
  state: AS_BUILT,
  unit,
  apply: unit.ranges.find((r) => r.gear === '1')!.apply,
  vehicle: demoFile<Vehicle>('vehicles/yard-tractor'),
  grade: 0.1,
  pedal: feetTrace([1, 0.6, 0.5, 0.44, 0.38, 0.28, 0, 0, 0]),
  throttle: feetTrace([0.1, 0.35, 0.45, 0.45, 0.45, 0.45, 0.45, 0.45, 0.45]),
  brake: brakeTrace(0),
  seconds: 3,
  step: 0.002,
};

// Facts of the trade: start after start without a pause cooks a clutch; with long pauses each is like the first.
test('heat adds up over starts, the more the shorter the wait', () => {
  const peaks = (wait: number) => repeatStarts(setup, 4, wait).map((s) => s.peakC);
  const short = peaks(1);
  short.slice(1).forEach((peak, k) => expect(peak).toBeGreaterThan(short[k]!));
  expect(peaks(600).at(-1)!).toBeLessThan(short.at(-1)!);
});

// Slow twin: each start by hand, from the iron that the one before left.
test('the second start begins where the first has cooled to', () => {
  const [first, second] = repeatStarts(setup, 2, 10);
  const cooled = ironCooled(setup.clutch.cover, engage(setup).iron, 40, 10);
  expect(first!.cooled).toEqual(cooled);
  expect(second!.peakC).toBe(engage({ ...setup, start: { iron: cooled } }).summary.peakC);
});

test('warm air leaves it warmer', () => {
  const at = (airC: number) => repeatStarts({ ...setup, airC }, 2, 300).at(-1)!.cooled.massC;
  expect(at(80)).toBeGreaterThan(at(20) + 10);
});

// By hand: a driveline that passes on 90 % takes a tenth when the engine pushes, and a ninth more when the road does.
test('the driveline takes its share whichever end drives, and nothing of a vehicle that stands', () => {
  const vehicle = { ...setup.vehicle, driveline: 0.9 };
  expect(drivelineDrag(vehicle, 100, 5)).toBeCloseTo(-10, 9);
  expect(drivelineDrag(vehicle, -100, 5)).toBeCloseTo(-(100 / 0.9 - 100), 9);
  expect(drivelineDrag(vehicle, 100, -5)).toBeCloseTo(100 / 0.9 - 100, 9);
  expect(drivelineDrag(vehicle, 100, 0)).toBeCloseTo(0, 9);
  expect(drivelineDrag({ ...vehicle, driveline: 1 }, 100, 5)).toBeCloseTo(0, 9);
});

// Closed form: alone, skin and mass even out within seconds and then fall to the air with the time constant C/cooling.
test('a wait cools the iron as an exponential, however it is cut in two', () => {
  const iron = { heatCapacity: 2800, cooling: 4 };
  const from = { skinC: 240, massC: 240 };
  const after = (seconds: number) => ironCooled(iron, from, 40, seconds);
  const rest = 40 + 200 * Math.exp((-4 / 2800) * 600);
  expect(after(600).massC).toBeCloseTo(rest, 0);
  const halfway = ironCooled(iron, after(300), 40, 300);
  expect(halfway.massC).toBeCloseTo(after(600).massC, 6);
  expect(after(1200).massC).toBeLessThan(after(600).massC);
  expect(ironCooled(iron, from, 40, 0)).toEqual(from);
});
