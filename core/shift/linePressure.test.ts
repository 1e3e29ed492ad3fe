import {
  askedPressure,
  fillTime,
  linePressure,
  OIL_AS_BUILT,
  pistonShare,
  USUAL_OIL,
  type OilState,
} from './index';

const at = (state: Partial<OilState>, load: number, pumpRpm: number, leaks: number[] = []) =>
  linePressure(USUAL_OIL, { ...OIL_AS_BUILT, ...state }, { load, pumpRpm, reverse: false }, leaks);

// Closed form: with the regulator out of the way the pump's flow equals what leaks, q = k·√p.
test('flow in equals flow out where the pump can not keep up', () => {
  const rpm = 300;
  const p = at({}, 1, rpm);
  expect(p).toBeLessThan(askedPressure(USUAL_OIL, OIL_AS_BUILT, 1, false));
  expect(USUAL_OIL.leak * Math.sqrt(p)).toBeCloseTo((USUAL_OIL.pumpVolume * rpm) / 60, 12);
  // Half the flow, a quarter of the pressure.
  expect(at({ pumpWorn: 0.5 }, 1, rpm) / p).toBeCloseTo(0.25, 9);
});

// A leaking seal as two openings in a row: the flow through the feed is the flow past the seal.
test.each([0.3, 1, 2])('a piston behind its feed, seal leaking %p', (share) => {
  const line = 8e5;
  const piston = line * pistonShare(share);
  const { feed } = USUAL_OIL;
  expect(feed * Math.sqrt(line - piston)).toBeCloseTo(feed * share * Math.sqrt(piston), 12);
});

// Common practice, no source: what a pressure gauge shows of each fault.
test('the gauge: worn pump low at idle only, cable by the load, regulator everywhere', () => {
  const [idle, full] = [at({}, 0, 700), at({}, 1, 2000)];
  expect(idle).toBeCloseTo(USUAL_OIL.idlePressure, 0);
  expect(full).toBeCloseTo(USUAL_OIL.fullPressure, 0);
  expect(at({ pumpWorn: 0.7 }, 0, 700)).toBeLessThan(0.7 * idle);
  expect(at({ pumpWorn: 0.7 }, 1, 2000)).toBeCloseTo(full, 0);
  expect(at({ cable: -6e-3 }, 0, 700)).toBeCloseTo(idle, 0);
  expect(at({ cable: -6e-3 }, 1, 2000)).toBeLessThan(0.85 * full);
  expect(at({ cable: 6e-3 }, 0, 700)).toBeGreaterThan(1.3 * idle);
  expect(at({ regulator: 0.6 }, 0, 700)).toBeCloseTo(0.6 * idle, 0);
  expect(at({ pumpDriven: false }, 1, 2000)).toBe(0);
  expect(at({ missing: 2.5e-3 }, 1, 2000)).toBe(0);
  expect(at({}, 0, 700, [1])).toBeLessThan(idle);
});

test('a leaking seal fills late, or never', () => {
  const sound = fillTime(USUAL_OIL, 450e3, 0);
  expect(sound).toBeGreaterThan(0.05);
  expect(fillTime(USUAL_OIL, 450e3, 0.6)).toBeGreaterThan(1.4 * sound);
  expect(fillTime(USUAL_OIL, 450e3, 3)).toBe(Infinity);
  expect(fillTime(USUAL_OIL, 0, 0)).toBe(Infinity);
  expect(fillTime(USUAL_OIL, 1200e3, 0)).toBeLessThan(sound);
});

// Common practice, no source: reverse asks the most of its elements, so the line is raised there, at every load.
test('in reverse the line is raised by the boost, and the faults act on it as elsewhere', () => {
  const of = (reverse: boolean, load: number, state: Partial<OilState> = {}) =>
    linePressure(USUAL_OIL, { ...OIL_AS_BUILT, ...state }, { load, pumpRpm: 3000, reverse }, []);
  for (const load of [0, 0.5, 1])
    for (const state of [{}, { regulator: 0.6 }, { cable: 4e-3 }])
      expect(of(true, load, state) / of(false, load, state)).toBeCloseTo(1.35, 9);
});
