import { throttleBy } from './sheet';
import { flipsAt, governorPressure, governorSpeed, netUp, throttlePressure } from './laws';
import type { Governor, ShiftValve, ThrottleBy } from './plan';

const governor: Governor = {
  id: 'g',
  name: '',
  kind: 'governor',
  from: 'line',
  to: 'governor',
  area: 1e-4,
  heavy: { mass: 0.04, radius: 0.02 },
  light: { mass: 0.01, radius: 0.02 },
  spring: 12,
};

// Published: any text on automatic transmissions, centrifugal force m·r·ω², so pressure goes with the square of speed.
test('a governor presses with the square of the speed, in two stages', () => {
  expect(governorPressure(governor, 800) / governorPressure(governor, 400)).toBeCloseTo(4, 12);
  // By hand at 1000 rev/min: ω² = 10,966; both weights 0.05·0.02·ω² = 10.97 N on 1 cm².
  expect(governorPressure(governor, 1000)).toBeCloseTo(109_662, 0);
  // The heavy one at its stop from 0.04·0.02·ω² = 12 N on, 1169.6 rev/min; past it the light one alone adds.
  const slope = (rpm: number) =>
    governorPressure(governor, rpm) - governorPressure(governor, rpm - 1);
  expect(slope(1160)).toBeGreaterThan(4 * slope(1180));
  for (const rpm of [200, 900, 1169, 1500, 4000])
    expect(governorSpeed(governor, governorPressure(governor, rpm))).toBeCloseTo(rpm, 6);
});

// Common practice, no source: a cable pulls pressure up with the pedal, a modulator lets vacuum pull it down.
test('throttle pressure rises with the pedal, whatever makes it', () => {
  const modulator: ThrottleBy = { kind: 'modulator', spring: 24, diaphragm: 24 / 65e3, land: 4e-5 };
  const laws: ThrottleBy[] = [
    { kind: 'cable', rest: 0, rise: 600e3, slack: 0 },
    modulator,
    { kind: 'solenoid', points: [0, 200e3, 400e3, 600e3] },
    // And as plans are made with them.
    ...(['cable', 'modulator', 'solenoid'] as const).map((kind) => throttleBy(kind, 600e3)),
  ];
  for (const by of laws) {
    expect(throttlePressure({ by }, 0)).toBeCloseTo(0, 6);
    expect(throttlePressure({ by }, 0.5)).toBeCloseTo(300e3, 6);
    expect(throttlePressure({ by }, 1)).toBeCloseTo(600e3, 6);
  }
  // A torn diaphragm: the spring alone, so full pressure whatever the pedal does.
  const torn: ThrottleBy = { ...modulator, diaphragm: 0 };
  expect(throttlePressure({ by: torn }, 0)).toBeCloseTo(600e3, 6);
});

test('a shift valve leaves either place where its forces are in balance', () => {
  const valve: ShiftValve = {
    id: 'v',
    name: '',
    kind: 'shift-valve',
    gear: 1,
    governor: { line: 'governor', area: 1e-4 },
    throttle: { line: 'throttle', area: 2e-5 },
    kick: { line: 'kick', area: 1e-6 },
    difference: { line: 'line', area: 5e-6 },
    spring: 3,
    springRise: 0.2,
    up: [],
    down: [],
  };
  const on = { throttle: 200e3, kick: 0, passed: 500e3 };
  // By hand: (3 + 200e3·2e-5)/1e-4 up, and (3.2 + 4 − 500e3·5e-6)/1e-4 down.
  expect(flipsAt(valve, on, 0)).toBeCloseTo(70e3, 6);
  expect(flipsAt(valve, on, 1)).toBeCloseTo(47e3, 6);
  expect(netUp(valve, { ...on, governor: 71e3 }, 0)).toBeGreaterThan(0);
  expect(netUp(valve, { ...on, governor: 46e3 }, 1)).toBeLessThan(0);
  // Kick-down pressure asks for more.
  expect(flipsAt(valve, { ...on, kick: 1e6 }, 0)).toBeCloseTo(80e3, 6);
});
