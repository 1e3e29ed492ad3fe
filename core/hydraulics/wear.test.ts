import { demoFile, demoUnit } from '../tests/demoFile';
import type { Vehicle } from '../vehicle';
import { circuitOf } from './circuit';
import { planFor } from './generate';
import { gearsOf } from './gears';
import { withPlanFaults, type PlanFault } from './planFaults';
import { shiftInTime } from './shiftInTime';
import { upshiftOf } from './upshift';
import { facesOf, wornAway } from './wear';

// Published: Archard's law, the volume worn away goes with the work.
test('twice the work wears off twice as much, twice the faces half of it', () => {
  expect(wornAway(2000, 0.5, 90) / wornAway(1000, 0.5, 90)).toBeCloseTo(2, 12);
  expect(wornAway(1000, 1, 90) / wornAway(1000, 0.5, 90)).toBeCloseTo(0.5, 12);
});

test('a pack of four steels of 150 by 100 mm has the faces that geometry gives it', () => {
  const ring = (Math.PI * (0.15 ** 2 - 0.1 ** 2)) / 4;
  expect(facesOf(4 * ring * 1.8e-3 * 7850)).toBeCloseTo(8 * ring, 9);
});

// From memory: hot plates wear faster; below the usual working heat it does not matter.
test('heat speeds wear up from where it hurts on', () => {
  expect(wornAway(1000, 0.5, 118)).toBe(wornAway(1000, 0.5, 60));
  expect(wornAway(1000, 0.5, 160) / wornAway(1000, 0.5, 140)).toBeCloseTo(2, 9);
});

// Common practice, no source: soft and long costs the linings more than hard and short; a slack cable burns the pack.
test('a slack cable costs the coming clutch more lining a shift than a tight one', () => {
  const unit = demoUnit('quay-four');
  const setup = upshiftOf({
    unit,
    gears: gearsOf(unit),
    vehicle: demoFile<Vehicle>('vehicles/yard-tractor'),
    gear: 2,
    throttle: 0.7,
    celsius: 90,
    inputNm: 140,
    inputInertia: 0.2,
  })!;
  const wear = (kind?: PlanFault['kind']) => {
    const worn = withPlanFaults(planFor(unit), kind ? [{ kind, part: 'throttle-valve' }] : []);
    const { heats } = shiftInTime({ ...setup, circuit: circuitOf(worn.plan, worn.condition) });
    return heats.find((h) => h.element === 'C3')!.wear;
  };
  expect(wear('cable-slack')).toBeGreaterThan(1.2 * wear());
  expect(wear('cable-short')).toBeLessThan(wear());
});
