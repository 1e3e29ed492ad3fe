import { convertFromDisplay, convertToDisplay, displayUnit, powerKw, RPM_TO_RAD } from './index';

// Published: NIST SP 811, appendix B: 1 lbf·ft = 1.355 817 948 N·m, 1 hp (550 ft·lbf/s) = 745.699 9 W, 1 in = 25.4 mm.
test('inch-pound units by the published factors', () => {
  expect(convertFromDisplay(1, 'torque', 'inch-pound')).toBeCloseTo(1.355817948, 9);
  expect(convertFromDisplay(1, 'power', 'inch-pound')).toBeCloseTo(0.7456999, 7);
  expect(convertFromDisplay(1, 'length', 'inch-pound')).toBeCloseTo(25.4, 12);
});

// Published: NIST SP 811: 1 mi/h = 1.609 344 km/h, t/°F = 1.8 t/°C + 32, 1 lb = 0.453 592 37 kg. By hand: K = 150
// rev/min/√N·m is 174.66 per √lbf·ft.
test('road speed, temperature, mass and capacity', () => {
  expect(convertToDisplay(10, 'road-speed', 'si')).toBeCloseTo(36, 12);
  expect(convertToDisplay(44.704, 'road-speed', 'inch-pound')).toBeCloseTo(100, 9);
  expect(convertToDisplay(100, 'temperature', 'inch-pound')).toBeCloseTo(212, 9);
  // A rise has no zero of its own: 10 °C hotter are 18 °F hotter.
  expect(convertToDisplay(10, 'temperature-rise', 'inch-pound')).toBeCloseTo(18, 12);
  expect(convertToDisplay(45.359237, 'mass', 'inch-pound')).toBeCloseTo(100, 9);
  expect(convertToDisplay(150, 'capacity', 'inch-pound')).toBeCloseTo(174.66, 2);
});

// Published: NIST SP 811, appendix B: 1 lbf/in² = 6.894 757 kPa, 1 lbf = 4.448 222 N, 1 Btu(IT) = 1.055 055 852 62 kJ,
// 1 gal (U.S.) = 3.785 412 L, 1 qt (U.S. liquid) = 0.946 352 9 L.
test('pressure, force, energy, volume and flow', () => {
  expect(convertFromDisplay(1, 'pressure', 'inch-pound')).toBeCloseTo(6.894757, 6);
  expect(convertFromDisplay(1, 'force', 'inch-pound')).toBeCloseTo(4.448222, 6);
  expect(convertFromDisplay(1, 'flow', 'inch-pound')).toBeCloseTo(3.785412, 6);
  expect(convertFromDisplay(1, 'volume', 'inch-pound')).toBeCloseTo(0.9463529, 7);
  expect(convertFromDisplay(1, 'energy', 'inch-pound')).toBeCloseTo(1.05505585262, 9);
});

test('there and back again, and SI as it is', () => {
  for (const quantity of ['speed', 'torque', 'power', 'length', 'temperature', 'mass'] as const) {
    for (const system of ['si', 'inch-pound'] as const)
      expect(
        convertFromDisplay(convertToDisplay(123.4, quantity, system), quantity, system),
      ).toBeCloseTo(123.4, 10);
    expect(convertToDisplay(7, quantity, 'si')).toBe(7);
  }
  expect([displayUnit('torque', 'si'), displayUnit('torque', 'inch-pound')]).toEqual([
    'newtonMetre',
    'poundFoot',
  ]);
});

// Closed form: P = T·ω. 150 N·m at 1200 rev/min is 18.85 kW.
test('shaft power', () => {
  expect(powerKw(1200, 150)).toBeCloseTo(18.8496, 4);
  expect(powerKw(-1200, 150)).toBeLessThan(0);
  expect(60 * RPM_TO_RAD).toBeCloseTo(2 * Math.PI, 12);
});
