import { powerFlow, solveUnit, type Unit } from '../geartrain';
import { toNumber } from '../numerics';
import { demoUnits } from '../tests/demoFile';
import { powerPath, sectionDrawing, type PathSegment } from './index';

const units = demoUnits().filter(({ id }) => !id.startsWith('ferry'));

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

// Power in = power out at every joint of lines that is neither a gear, a clutch nor an end of the unit.
test('power is neither made nor lost where lines of one member meet', () => {
  for (const unit of units) {
    const drawing = sectionDrawing(unit);
    const near = (x: number, y: number) =>
      [drawing.input, drawing.output].some((p) => p.x === x && p.y === y) ||
      drawing.elements.some((e) => Math.hypot(e.x - x, e.y - y) < 20) ||
      drawing.gears.some(
        (g) => x >= g.x - 2 && x <= g.x + g.width + 2 && y >= g.y - 2 && y <= g.y + g.height + 2,
      );
    for (const range of unit.ranges) {
      const segments = powerPath(drawing, unit, solveUnit(unit, range.apply));
      for (const { member, x1, y1 } of segments) {
        if (near(x1, y1)) continue;
        const own = segments.filter((s) => s.member === member);
        const left = through(own, x1, y1, 'to') - through(own, x1, y1, 'from');
        expect([unit.id, range.id, member, left]).toEqual([
          unit.id,
          range.id,
          member,
          expect.closeTo(0, 9),
        ]);
      }
    }
  }
});

// Common practice, no source: in first of a two-sun arrangement the large sun's set idles.
test('a ring shared by two sets carries power only to the output', () => {
  const unit = units.find((u) => u.id === 'quay-four')!;
  const drawing = sectionDrawing(unit);
  const first = unit.ranges.find((r) => r.id === 'D1')!;
  const segments = powerPath(drawing, unit, solveUnit(unit, first.apply));
  const rings = drawing.gears.filter((g) => g.port === 'ring').map((g) => g.x + g.width / 2);
  const between = segments.filter(
    (s) =>
      s.member === unit.output &&
      Math.min(s.x1, s.x2) > Math.min(...rings) &&
      Math.max(s.x1, s.x2) < Math.max(...rings),
  );
  expect(between).toEqual([]);
});

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
