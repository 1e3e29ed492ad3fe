import { demoUnit } from '../tests/demoFile';
import { circuitOf } from './circuit';
import { fill } from './filling';
import { planFor } from './generate';
import { gearsOf } from './gears';
import {
  askedPressure,
  fillTime,
  linePressure,
  OIL_AS_BUILT,
  oilModelOf,
  pistonShare,
  wornPlan,
  type Leaking,
  type OilWear,
} from './oilModel';

const unit = demoUnit('quay-four');
const plan = planFor(unit);
const OIL = oilModelOf(plan);

const at = (wear: Partial<OilWear>, load: number, pumpRpm: number, on: Leaking[] = []) =>
  linePressure(OIL, { ...OIL_AS_BUILT, ...wear }, { load, pumpRpm, reverse: false }, on);

// The same numbers, asked of the plan's own network of openings and spools.
test('the closed form is what the network of the plan makes, sound and worn', () => {
  const cases: [Partial<OilWear>, number][] = [
    [{}, 0],
    [{ pumpWorn: 0.7 }, 0],
    [{ cable: -5e-3 }, 0],
    [{ cable: 5e-3 }, 0],
    [{ regulator: 0.6 }, 0],
    [{ regulator: 1.45 }, 0],
    [{ missing: 1.6e-3 }, 0],
    [{}, 1],
    [{ pumpWorn: 0.6 }, 0.8],
  ];
  for (const [change, share] of cases)
    for (const load of [0, 0.4, 0.9])
      for (const pumpRpm of [500, 2000])
        for (const range of ['D1', 'R']) {
          const wear = { ...OIL_AS_BUILT, ...change };
          const worn = wornPlan(
            plan,
            wear,
            new Map([
              ['C1', share],
              ['C2', share],
            ]),
            [],
          );
          const found = unit.ranges.find((r) => r.id === range)!;
          const running = {
            lever: found.lever,
            throttle: load,
            outputRpm: 0,
            engineRpm: pumpRpm,
            celsius: 80,
          };
          const circuit = circuitOf(worn.plan, worn.condition);
          const gear = gearsOf(unit).gearOf(found);
          const network = circuit.inGear(running, gear, range).pressures.get('line')!;
          const on = found.apply.map((id): Leaking => [id, id === 'C1' || id === 'C2' ? share : 0]);
          const closed = linePressure(OIL, wear, { load, pumpRpm, reverse: range === 'R' }, on);
          // A regulator stands up to three hundredths above what it is asked for; a cable stops at its end.
          expect(Math.abs(network / closed - 1)).toBeLessThan(0.06);
        }
});

// Closed form: with the regulator out of the way the pump's flow equals what leaks, q = k·√p.
test('flow in equals flow out where the pump can not keep up', () => {
  const rpm = 300;
  const p = at({}, 1, rpm);
  expect(p).toBeLessThan(askedPressure(OIL, OIL_AS_BUILT, 1, false));
  expect(OIL.leak * Math.sqrt(p)).toBeCloseTo((OIL.pumpVolume * rpm) / 60, 12);
  // Half the flow, a quarter of the pressure.
  expect(at({ pumpWorn: 0.5 }, 1, rpm) / p).toBeCloseTo(0.25, 9);
});

// A leaking seal as two openings in a row: the flow through the feed is the flow past the seal.
test.each([0.3, 1, 2])('a piston behind its feed, seal leaking %p', (share) => {
  const line = 8e5;
  const piston = line * pistonShare(share);
  const { feed } = OIL.elements.get('C1')!;
  expect(feed * Math.sqrt(line - piston)).toBeCloseTo(feed * share * Math.sqrt(piston), 12);
});

// Common practice, no source: what a pressure gauge shows of each fault.
test('the gauge: worn pump low at idle only, cable by the load, regulator everywhere', () => {
  const [idle, full] = [at({}, 0, 700), at({}, 1, 2000)];
  expect(idle).toBeCloseTo(OIL.idlePressure, 0);
  expect(full).toBeCloseTo(OIL.fullPressure, 0);
  expect(at({ pumpWorn: 0.7 }, 0, 700)).toBeLessThan(0.7 * idle);
  expect(at({ pumpWorn: 0.7 }, 1, 2000)).toBeCloseTo(full, 0);
  expect(at({ cable: -6e-3 }, 0, 700)).toBeCloseTo(idle, 0);
  expect(at({ cable: -6e-3 }, 1, 2000)).toBeLessThan(0.85 * full);
  expect(at({ cable: 6e-3 }, 0, 700)).toBeGreaterThan(1.3 * idle);
  expect(at({ regulator: 0.6 }, 0, 700)).toBeCloseTo(0.6 * idle, 0);
  expect(at({ pumpDriven: false }, 1, 2000)).toBe(0);
  expect(at({ missing: 2.5e-3 }, 1, 2000)).toBe(0);
  expect(at({}, 0, 500, [['C1', 2]])).toBeLessThan(at({}, 0, 500));
});

test('a leaking seal fills late, or never; the closed form is what filling step by step takes', () => {
  const line = 450e3;
  const sound = fillTime(OIL, ['C3', 0], line);
  expect(fillTime(OIL, ['C3', 0.6], line)).toBeGreaterThan(1.2 * sound);
  expect(fillTime(OIL, ['C3', 3], line)).toBe(Infinity);
  expect(fillTime(OIL, ['C3', 0], 0)).toBe(Infinity);
  expect(fillTime(OIL, ['C3', 0], 1200e3)).toBeLessThan(sound);
  const running = { lever: 'D', throttle: 0, outputRpm: 0, engineRpm: 1500, celsius: 80 };
  const circuit = circuitOf(plan);
  const [before, after] = [2, 3].map((gear) => circuit.inGear(running, gear, '')) as [never, never];
  const run = fill({ circuit, running, before, after, elements: ['C3'], seconds: 1 });
  expect(run.elements.get('C3')!.touches! / fillTime(OIL, ['C3', 0], run.line[50]!)).toBeCloseTo(
    1,
    1,
  );
});

// Common practice, no source: reverse asks the most of its elements, so the line is raised there, at every load.
test('in reverse the line is raised by the boost, and the faults act on it as elsewhere', () => {
  const of = (reverse: boolean, load: number, wear: Partial<OilWear> = {}) =>
    linePressure(OIL, { ...OIL_AS_BUILT, ...wear }, { load, pumpRpm: 3000, reverse }, []);
  for (const load of [0, 0.5, 1])
    for (const wear of [{}, { regulator: 0.6 }, { cable: 4e-3 }])
      expect(of(true, load, wear) / of(false, load, wear)).toBeCloseTo(1.35, 9);
});
