import { planOf } from '../../core/assembly';
import { demoUnit } from '../../core/tests/demoFile';
import { stackOf, STACK } from './stackShapes';

test('the stack stands in order along its axis, mirrored, and within its sheet', () => {
  const plan = planOf(demoUnit('skerry-three'));
  const { shapes, width } = stackOf(plan);
  expect(shapes.map((s) => s.part.id).sort()).toEqual(Object.keys(plan.places).sort());
  const at = shapes.map((s) => Math.min(...plan.places[s.part.id]!.map((p) => p.at)));
  expect(at).toEqual([...at].sort((a, b) => a - b));
  for (const { path, x } of shapes) {
    expect(x).toBeLessThan(width);
    const heights = [...path.matchAll(/ (-?[\d.]+)/g)].map((m) => Number(m[1]) - STACK.axis);
    expect(heights.length).toBeGreaterThan(0);
    expect(Math.max(...heights)).toBeLessThanOrEqual(STACK.radius + 1e-6);
    expect(Math.max(...heights)).toBeCloseTo(-Math.min(...heights), 6);
  }
});

test('gear pairs on shafts beside each other are no stack', () => {
  expect(stackOf(planOf(demoUnit('winch-manual'))).shapes).toEqual([]);
});
