import { governorPressure } from './laws';
import { governorSizes, valveSizes } from './valveSizing';
import { USUAL_PRESSURES } from './wishes';

const POINTS = [
  { light: 400, full: 1300, lightDown: 300 },
  { light: 900, full: 2400, lightDown: 700 },
];
const governor = governorSizes(POINTS);
const CLOSED = 30e3;
const pressure = (rpm: number) =>
  governorPressure({ ...governor, kind: 'governor', id: '', name: '', from: '', to: '' }, rpm);

// By hand: the governor pushes up; spring, throttle pressure and, past its land, kick-down pressure push down.
test.each(POINTS)('a valve flips where it is wished to: forces in balance at %j', (points) => {
  const v = valveSizes(points, governor, CLOSED);
  const up = (rpm: number) => pressure(rpm) * v.governor;
  const { throttleFull, full, idle } = USUAL_PRESSURES;
  // Up with the throttle closed, just before kick-down, and with it.
  expect(up(points.light)).toBeCloseTo(v.spring + v.throttle * CLOSED, 9);
  expect(up(0.9 * points.full)).toBeCloseTo(v.spring + v.throttle * throttleFull, 9);
  expect(up(points.full)).toBeCloseTo(v.spring + v.throttle * throttleFull + v.kick * full, 9);
  // Down with the throttle closed: what the line holds it up by, and the spring as it is pushed together.
  expect(up(points.lightDown) + v.difference * idle).toBeCloseTo(
    v.spring + v.springRise + v.throttle * CLOSED,
    9,
  );
  for (const size of Object.values(v)) expect(size).toBeGreaterThan(0);
});

// Published: the pressure of a governor with two weights rises with the square of the speed, less steeply past the stop.
test('the governor rises with the square of its speed, and stays below the least line pressure', () => {
  expect(pressure(1000) / pressure(500)).toBeCloseTo(4, 9);
  expect(pressure(2400)).toBeCloseTo(400e3, 0);
  expect(pressure(2400)).toBeLessThan(USUAL_PRESSURES.idle);
  const slope = (rpm: number) => (pressure(rpm + 1) - pressure(rpm)) / (2 * rpm + 1);
  expect(slope(2000) / slope(1000)).toBeLessThan(0.7);
});
