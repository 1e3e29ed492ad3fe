import { circuitOf, planFor, type HydraulicPlan } from '../hydraulics';
import { demoUnit, demoUnits } from '../tests/demoFile';
import { oilFlows, oilLayout, type OilLayout } from '.';

const plans = demoUnits().flatMap((unit) =>
  (['valves', 'solenoids'] as const).map((shifting) => planFor(unit, { shifting })),
);

type Piece = readonly [number, number, number, number];
/** Whether two straight pieces lie on each other for more than a point. */
function overlap(a: Piece, b: Piece): boolean {
  const along = (from: number, to: number, x: number, y: number) =>
    Math.min(Math.max(from, to), Math.max(x, y)) - Math.max(Math.min(from, to), Math.min(x, y)) > 1;
  const flat = (p: Piece) => p[1] === p[3];
  if (flat(a) && flat(b)) return Math.abs(a[1] - b[1]) < 3 && along(a[0], a[2], b[0], b[2]);
  if (!flat(a) && !flat(b)) return Math.abs(a[0] - b[0]) < 3 && along(a[1], a[3], b[1], b[3]);
  return false;
}

test.each(plans.map((p) => [p.id, p] as const))(
  'the plan %s is drawn without confusion',
  (_id, plan) => {
    const layout = oilLayout(plan);
    const wrong: string[] = [];
    layout.parts.forEach((a, k) => {
      if (a.x < 0 || a.x + a.width > layout.width || a.y + a.height > layout.height)
        wrong.push(`${a.id} is not on the sheet`);
      for (const b of layout.parts.slice(k + 1))
        if (
          a.x < b.x + b.width &&
          b.x < a.x + a.width &&
          a.y < b.y + b.height &&
          b.y < a.y + a.height
        )
          wrong.push(`${a.id} lies on ${b.id}`);
    });
    layout.lines.forEach((a, k) => {
      for (const b of layout.lines.slice(k + 1))
        if (a.pieces.some((p) => b.pieces.some((q) => overlap(p, q))))
          wrong.push(`passage ${a.id} lies on ${b.id}`);
      for (const [x1, y1, x2, y2] of a.pieces)
        for (const box of layout.parts)
          if (
            Math.max(x1, x2) > box.x + 1 &&
            Math.min(x1, x2) < box.x + box.width - 1 &&
            Math.max(y1, y2) > box.y + 1 &&
            Math.min(y1, y2) < box.y + box.height - 1
          )
            wrong.push(`passage ${a.id} runs through ${box.id}`);
    });
    expect(wrong).toEqual([]);
  },
);

const placesOf = ({ parts }: OilLayout) => new Map(parts.map((p) => [p.id, p.x]));

test('what is added at the end moves nothing else sideways', () => {
  const plan = planFor(demoUnit('quay-four'));
  const more: HydraulicPlan = {
    ...plan,
    parts: [
      ...plan.parts,
      { id: 'gauge', name: '', kind: 'restriction', from: 'line', to: 'pan', orifice: 1e-8 },
      { id: 'switch-C3', name: '', kind: 'pressure-switch', line: 'C3', trips: 1e5 },
    ],
  };
  const [before, after] = [placesOf(oilLayout(plan)), placesOf(oilLayout(more))];
  const fixed = plan.parts.filter((p) =>
    ['piston', 'accumulator', 'feed', 'shuttle', 'shift-valve'].includes(p.kind),
  );
  for (const { id } of fixed) expect([id, after.get(id)]).toEqual([id, before.get(id)]);
});

test('the same plan is always drawn the same', () => {
  const plan = planFor(demoUnit('lighter-six'));
  expect(oilLayout(plan)).toEqual(oilLayout(structuredClone(plan)));
});

test('what flows into a passage flows out of it: along its pieces nothing is lost', () => {
  const plan = planFor(demoUnit('quay-four'));
  const layout = oilLayout(plan);
  const state = circuitOf(plan).at({
    lever: 'D',
    throttle: 0.4,
    outputRpm: 0,
    engineRpm: 1500,
    celsius: 80,
  });
  const pump = state.passing.find((p) => p.part === 'pump')!.flow;
  const pieces = oilFlows(layout, state.passing).get('line')!;
  const most = Math.max(...pieces.map((p) => Math.abs(p.flow)));
  // All of the pump's flow leaves it on one piece.
  expect(most / pump).toBeCloseTo(1, 2);
  const regulator = state.passing.find((p) => p.part === 'regulator')!.flow;
  expect(pieces.some((p) => Math.abs(Math.abs(p.flow) / regulator - 1) < 1e-6)).toBe(true);
});
