import { characteristicOf, engineModel, type Converter, type Engine } from '../converter';
import { forwardRatios } from '../geartrain';
import { demoFile, demoUnit } from '../tests/demoFile';
import { fluidOf, launch, scheduleOf, type Vehicle } from '../vehicle';
import { circuitOf } from './circuit';
import { planFor } from './generate';
import { gearByMap, gearByValves, pointAt, shiftMap, type ShiftLine } from './shiftMap';

const unit = demoUnit('quay-four');
const vehicle = demoFile<Vehicle>('vehicles/yard-tractor');
const engine = engineModel(demoFile<Engine>('engines/yard-diesel'));
const gears = forwardRatios(unit);
const lines = shiftMap(
  circuitOf(planFor(unit, { idleRpm: engine.idleRpm, governedRpm: engine.governedRpm })),
  { celsius: 80, idleRpm: engine.idleRpm, ratios: gears },
);
/** rev/min of the output at a road speed, by hand. */
const outputRpm = (speed: number) =>
  ((speed * vehicle.finalDrive) / vehicle.tyreRadiusM) * (30 / Math.PI);

test('a launch shifts where the valves say, one gear after the other', () => {
  const throttle = 0.5;
  const run = launch({
    engine,
    converter: characteristicOf(demoFile<Converter>('converters/jetty-eleven'))!,
    vehicle,
    gears,
    throttle: [{ at: 0, throttle }],
    grade: 0,
    schedule: scheduleOf(vehicle),
    valves: gearByValves(lines, vehicle, gears.length),
    lockUp: 0,
    fluid: fluidOf(vehicle),
    seconds: 30,
    step: 0.002,
  });
  const shifts = run.events.filter((e) => e.kind === 'upshift');
  expect(shifts.length).toBeGreaterThan(1);
  for (const { gear, time } of shifts) {
    const { speed } = run.samples.find((s) => s.time >= time)!;
    const wanted = pointAt(lines[gear - 2]!, throttle).up!;
    // The sample is taken up to a twentieth of a second later.
    expect(outputRpm(speed) / wanted).toBeGreaterThan(0.99);
    expect(outputRpm(speed) / wanted).toBeLessThan(1.12);
  }
  expect(shifts.map((e) => e.gear)).toEqual(shifts.map((_e, k) => k + 2));
});

test('one step at a time, and between up and down it stays as it is', () => {
  const [first] = lines as [ShiftLine];
  const { up, down } = pointAt(first, 0.35);
  expect(gearByMap(lines, 1, 0.35, up! * 1.01)).toBe(2);
  expect(gearByMap(lines, 1, 0.35, 10 * up!)).toBe(2);
  const between = (up! + down!) / 2;
  expect([gearByMap(lines, 1, 0.35, between), gearByMap(lines, 2, 0.35, between)]).toEqual([1, 2]);
  expect(gearByMap(lines, 2, 0.35, down! * 0.99)).toBe(1);
  // Straight between the points of a line.
  const [a, b] = [first.points[3]!, first.points[4]!];
  expect(up).toBeCloseTo((a.up! + b.up!) / 2, 6);
});

test('a control unit shifts by its own lines, and holds the lower gear longer under the floor', () => {
  const plan = planFor(unit, { shifting: 'solenoids' });
  const electric = shiftMap(circuitOf(plan), { celsius: 80, idleRpm: 700 });
  expect(electric).toHaveLength(3);
  for (const line of electric) {
    expect(pointAt(line, 1).down! / pointAt(line, 1).up!).toBeGreaterThan(0.85);
    expect(pointAt(line, 0.5).down! / pointAt(line, 0.5).up!).toBeLessThan(0.75);
  }
});
