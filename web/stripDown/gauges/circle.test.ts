import { arc, onCircle, ringPath, sector, toothedPath } from './circle';

const numbers = (path: string): number[] =>
  [...path.matchAll(/-?\d+(?:\.\d+)?/g)].map(([n]) => Number(n));

test('turns go clockwise from the top', () => {
  const at = (turn: number) => onCircle(10, 20, 5, turn).map((v) => Math.round(v * 1e6) / 1e6);
  expect(at(0)).toEqual([10, 15]);
  expect(at(0.25)).toEqual([15, 20]);
  expect(at(0.5)).toEqual([10, 25]);
  expect(at(0.75)).toEqual([5, 20]);
});

test('an arc ends where it should, the long way round where it is more than half', () => {
  expect(arc(0, 0, 10, 0, 0.25)).toBe('M0.00 -10.00A10 10 0 0 1 10.00 -0.00');
  expect(arc(0, 0, 10, 0, 0.75)).toContain('A10 10 0 1 1');
});

test('a piece of a ring is closed, and lies between its radii', () => {
  const path = sector([0, 0], 6, 10, 0.1, 0.3);
  expect(path.startsWith('M')).toBe(true);
  expect(path.endsWith('Z')).toBe(true);
  expect(ringPath(0, 0, 6, 10).match(/Z/g)).toHaveLength(2);
});

test('a wheel has as many teeth as it is given, between root and tip', () => {
  const points = numbers(toothedPath([0, 0], 8, 10, 12));
  expect(points).toHaveLength(2 * 4 * 12);
  const radii = Array.from({ length: points.length / 2 }, (_, k) =>
    Math.hypot(points[2 * k]!, points[2 * k + 1]!),
  );
  expect(Math.min(...radii)).toBeCloseTo(8, 1);
  expect(Math.max(...radii)).toBeCloseTo(10, 1);
  expect(radii.filter((r) => r > 9)).toHaveLength(24);
});
