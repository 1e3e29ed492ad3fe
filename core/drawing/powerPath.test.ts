import { readdirSync, readFileSync } from 'node:fs';
import { powerFlow, solveUnit, type Unit } from '../geartrain';
import { toNumber } from '../numerics';
import { powerPath, sectionDrawing, type PathSegment } from './index';

const units = readdirSync('demo/units')
  .filter((file) => !file.startsWith('ferry'))
  .map((file) => JSON.parse(readFileSync(`demo/units/${file}`, 'utf8')) as Unit);

const through = (segments: readonly PathSegment[], x: number, y: number, way: 'from' | 'to') =>
  segments
    .filter((s) => (way === 'from' ? s.x1 === x && s.y1 === y : s.x2 === x && s.y2 === y))
    .reduce((sum, s) => sum + s.power, 0);

test.each(units.map((u): [string, Unit] => [u.id, u]))(
  'all power enters at the input, leaves at the output and joins up between: %s',
  (_id, unit) => {
    const drawing = sectionDrawing(unit);
    for (const range of unit.ranges) {
      const solution = solveUnit(unit, range.apply);
      const segments = powerPath(drawing, unit, solution);
      if (solution.outcome !== 'drives') {
        expect(segments).toEqual([]);
        continue;
      }
      const { input, output } = drawing;
      expect([range.id, through(segments, input.x, input.y, 'from')]).toEqual([
        range.id,
        expect.closeTo(1, 9),
      ]);
      expect([range.id, through(segments, output.x, output.y, 'to')]).toEqual([
        range.id,
        expect.closeTo(1, 9),
      ]);
      // No line runs on a member that stands, and none carries more than all that circulates allows.
      const most = 1 + toNumber(powerFlow(unit, solution).circulating);
      for (const s of segments) {
        expect(s.speed).not.toBe(0);
        expect(s.power).toBeLessThanOrEqual(most + 1e-9);
      }
    }
  },
);

test('a clutch that is off has no power on its line', () => {
  const unit = units.find((u) => u.id === 'skerry-three')!;
  const drawing = sectionDrawing(unit);
  const sign = drawing.elements.find((e) => e.id === 'C2')!;
  const at = (apply: string[]) =>
    powerPath(drawing, unit, solveUnit(unit, apply)).filter(
      (s) => s.y1 === sign.y && s.y2 === sign.y,
    ).length;
  expect(at(['C1', 'B1'])).toBe(0);
  expect(at(['C1', 'C2'])).toBeGreaterThan(0);
});
