import { demoUnit, demoUnits } from '../tests/demoFile';
import { circuitOf } from './circuit';
import { planFor } from './generate';
import { gearsOf } from './gears';
import { gearByMap, MAP_THROTTLES, pointAt, shiftMap, type ShiftLine } from './shiftMap';
import { partsOf } from './plan';
import { WARM } from './tests/handPlans';

// Common practice, no source: gears are counted from the greatest reduction, and each next one reduces less.
test.each(demoUnits().map((u) => [u.id, u] as const))(
  '%s: the lowest gear reduces most, and every range finds its own gear again',
  (_id, unit) => {
    const gears = gearsOf(unit);
    const ratios = gears.forward.map((f) => f.ratio);
    expect(ratios.length).toBeGreaterThan(1);
    expect(ratios).toEqual(ratios.toSorted((a, b) => b - a));
    gears.forward.forEach(({ range }, k) => {
      expect(gears.gearOf(range)).toBe(k + 1);
      expect(gears.rangeAt(range.lever, k + 1)).toBe(range);
      expect(gears.on(range.lever, k + 1)).toEqual(range.apply);
    });
    expect(gears.rangeAt('no such place', 1)).toBeNull();
    expect(gears.on('no such place', 1)).toEqual([]);
  },
);

test('a place with fewer gears gives the one next to what the valves ask', () => {
  const gears = gearsOf(demoUnit('harbour-trainer'));
  expect(gears.mainLever).toBe('D');
  // The place 1 has first only, whatever the valves say; R is no forward place and stays itself.
  for (const gear of [1, 2, 3]) {
    expect(gears.rangeAt('1', gear)?.id).toBe(gears.rangeAt('1', 1)?.id);
    expect(gears.rangeAt('R', gear)?.lever).toBe('R');
  }
  const two = gears.rangeAt('2', 2)!;
  expect(gears.gearOf(two)).toBe(2);
});

test('a range whose gear the main place does not name is the one whose ratio is next to its own', () => {
  const unit = demoUnit('harbour-trainer');
  const renamed = (lever: string, gear: string) => ({
    ...unit,
    ranges: unit.ranges.map((r) => (r.lever === lever ? { ...r, gear } : r)),
  });
  const of = (changed: typeof unit, lever: string) =>
    gearsOf(changed).gearOf(changed.ranges.find((r) => r.lever === lever)!);
  expect(of(renamed('2', 'hold'), '2')).toBe(2);
  expect(of(renamed('1', 'low'), '1')).toBe(1);
  // What has no forward ratio, and a unit with no forward gear, are counted as the first.
  expect(of(renamed('R', 'back'), 'R')).toBe(1);
  expect(of({ ...unit, ranges: unit.ranges.filter((r) => r.lever === 'R') }, 'R')).toBe(1);
});

const rising = (up: number[], down: number[]) =>
  up.map((u, k) => ({ throttle: k / 2, up: u, down: down[k]! }));

const LINES: readonly ShiftLine[] = [
  { from: 1, to: 2, points: rising([400, 600, 800], [200, 300, 500]) },
  { from: 2, to: 3, points: rising([800, 1200, 1600], [500, 700, 1000]) },
];

// By hand: 600 and 800 at half and full throttle make 700 at three quarters.
test('between two throttles of a map its lines are straight, beyond its ends they stay', () => {
  expect(pointAt(LINES[0]!, 0.75)).toMatchObject({ up: 700, down: 400 });
  expect(pointAt(LINES[0]!, 0)).toMatchObject({ up: 400, down: 200 });
  expect(pointAt(LINES[0]!, 1)).toMatchObject({ up: 800, down: 500 });
});

// By hand, from the lines above at half throttle: up at 600 and 1,200, back at 300 and 700.
test.each([
  [1, 599, 1],
  [1, 601, 2],
  [2, 301, 2],
  [2, 299, 1],
  [2, 1199, 2],
  [2, 1201, 3],
  [3, 701, 3],
  [3, 699, 2],
])('in gear %d at %d rev/min the map asks for gear %d', (gear, rpm, asked) => {
  expect(gearByMap(LINES, gear, 0.5, rpm)).toBe(asked);
});

// Common practice, no source: more throttle never brings the next gear sooner, and no gear comes back above where it came in.
test.each(demoUnits().map((u) => [u.id, u] as const))(
  '%s: its own plan’s map rises with the throttle and keeps its gap',
  (_id, unit) => {
    const plan = planFor(unit);
    const ratios = gearsOf(unit).forward.map((f) => f.ratio);
    const lines = shiftMap(circuitOf(plan), {
      celsius: WARM.celsius,
      throttles: MAP_THROTTLES,
      ratios,
      idleRpm: 750,
    });
    if (partsOf(plan, 'piston').length > 0) expect(lines).toHaveLength(ratios.length - 1);
    const wrong: string[] = [];
    for (const { from, points } of lines)
      points.forEach(({ throttle, up, down }, k) => {
        const before = points[k - 1];
        if (before?.up && up && up < before.up - 1) wrong.push(`${from} sooner at ${throttle}`);
        if (up && down && down > up) wrong.push(`${from} comes back above at ${throttle}`);
      });
    expect(wrong).toEqual([]);
  },
);
