import { demoFile } from '../tests/demoFile';
import type { Unit } from '../geartrain';
import { placeAfter, RAILS, sleeveRails } from './index';

const winch = demoFile<Unit>('units/winch-manual');

test('each sleeve once, its gears at its sides, sized by their teeth, all on their shaft', () => {
  const { rails, shafts, width } = sleeveRails(winch);
  expect(rails.map((r) => r.gears.map((g) => [g.member, g.teeth]))).toEqual([
    [
      ['g1', 41],
      ['g2', 35],
    ],
    [
      ['g3', 29],
      ['in', 22],
    ],
    [
      ['g5', 20],
      ['gr', 36],
    ],
  ]);
  expect(shafts.map((s) => s.member)).toEqual(['out']);
  for (const { x, gears } of rails) {
    expect(gears.map((g) => Math.sign(g.x - x))).toEqual([-1, 1]);
    expect(x).toBeGreaterThan(shafts[0]!.x1);
    expect(x).toBeLessThan(shafts[0]!.x2);
  }
  expect(shafts[0]!.x2).toBeLessThan(width);
  const [first, fifth] = [rails[0]!.gears[0]!, rails[2]!.gears[0]!];
  expect(first.reach).toBeGreaterThan(fifth.reach);
});

test('a unit without sleeves has none; one side alone has nowhere else to go', () => {
  expect(sleeveRails(demoFile<Unit>('units/skerry-three')).rails).toEqual([]);
  const alone = { id: 'H5', hub: 'lay', sides: ['S5', null] as [string, null] };
  expect(placeAfter(alone, 'neutral', RAILS.travel)).toBe('neutral');
  expect(placeAfter(alone, 'neutral', -RAILS.travel)).toBe(0);
  expect(placeAfter(alone, 0, RAILS.travel)).toBe('neutral');
});

test('drawn from one side to the other it goes through the middle, and no farther than it can', () => {
  const { sleeve } = sleeveRails(winch).rails[0]!;
  expect(placeAfter(sleeve, 0, RAILS.travel)).toBe('neutral');
  expect(placeAfter(sleeve, 0, 2 * RAILS.travel)).toBe(1);
  expect(placeAfter(sleeve, 0, 9 * RAILS.travel)).toBe(1);
  expect(placeAfter(sleeve, 1, -5)).toBe(1);
  expect(placeAfter(sleeve, 'both', -RAILS.travel)).toBe(0);
});
