import { fill, FILL_STEP } from './filling';
import { demoUnit, demoUnits } from '../tests/demoFile';
import { simpson } from '../geartrain/tests/textbookUnits';
import { circuitOf } from './circuit';
import { planFor } from './generate';
import { gearsOf } from './gears';
import { shiftsByOil } from './paths';
import { partsOf, type HydraulicPlan } from './plan';
import { planFindings } from './planFindings';
import { shiftMap } from './shiftMap';
import { changedPart, WARM } from './tests/handPlans';

const UNITS = demoUnits();

// The apply chart is the yardstick: the oil has to do what it says, range by range.
test.each(UNITS.map((u) => [u.id, u] as const))(
  'the plan of %s applies in every range what its chart says, and nothing else',
  (_id, unit) => {
    for (const shifting of ['valves', 'solenoids'] as const) {
      const plan = planFor(unit, { shifting });
      expect(planFindings(plan, unit)).toEqual([]);
      const circuit = circuitOf(plan);
      const { gearOf } = gearsOf(unit);
      const oil = new Set(partsOf(plan, 'piston').map((p) => p.element));
      for (const range of unit.ranges) {
        const running = { ...WARM, lever: range.lever };
        const { applied } = circuit.inGear(running, gearOf(range), range.id);
        expect([...applied].sort()).toEqual(range.apply.filter((id) => oil.has(id)).sort());
      }
    }
  },
);

test('driven up and down the road, the valves give the gears in their order, one step at a time', () => {
  const byValves = UNITS.map((unit) => ({ unit, plan: planFor(unit) })).filter(({ plan }) =>
    plan.parts.some((part) => part.kind === 'shift-valve'),
  );
  expect(byValves).toHaveLength(6);
  for (const { unit, plan } of byValves) {
    const circuit = circuitOf(plan);
    const { forward, mainLever } = gearsOf(unit);
    let stood = new Map<string, number>();
    const gears: number[] = [];
    let settled = true;
    const speeds = Array.from({ length: 400 }, (_v, k) => 12 * k);
    for (const outputRpm of [...speeds, ...speeds.toReversed()]) {
      const state = circuit.at({ ...WARM, lever: mainLever!, throttle: 0.4, outputRpm }, stood);
      settled &&= state.settled;
      stood = new Map(state.spools);
      gears.push(1 + [...state.spools.values()].filter((s) => s > 0.5).length);
    }
    expect(settled).toBe(true);
    const changes = gears.filter((g, k) => g !== gears[k - 1]);
    const up = forward.map((_f, k) => k + 1);
    expect(changes).toEqual([...up, ...up.toReversed().slice(1)]);
  }
});

// Common practice, no source: more throttle, later shifts; the way down lies below the way up.
test('every line of a generated map rises with the throttle, and comes down below it', () => {
  for (const unit of UNITS.slice(0, 7)) {
    const ratios = gearsOf(unit).forward.map((f) => f.ratio);
    const lever = gearsOf(unit).mainLever!;
    const lines = shiftMap(circuitOf(planFor(unit)), { lever, celsius: 80, idleRpm: 700, ratios });
    expect(lines).toHaveLength(ratios.length - 1);
    for (const { points } of lines)
      points.forEach(({ up, down }, k) => {
        expect(down!).toBeLessThan(up!);
        if (k > 0) expect(up!).toBeGreaterThanOrEqual(points[k - 1]!.up!);
      });
  }
});

// Facts of the trade: a manual gearbox is shifted by hand; an automatic and a dual clutch shift by oil.
test('what shifts by oil, and what does not', () => {
  const by = UNITS.map((u) => [u.id, shiftsByOil(u, gearsOf(u))]);
  expect(by.filter(([, oil]) => !oil).map(([id]) => id)).toEqual(['winch-manual']);
});

test('an unknown arrangement from a textbook gets a plan of its own', () => {
  const unit = simpson(36, 72);
  expect(planFindings(planFor(unit), unit)).toEqual([]);
});

test('what is wrong with a plan is told, and by which part', () => {
  const unit = demoUnit('quay-four');
  const plan = planFor(unit);
  const told = (p: HydraulicPlan, u = unit) =>
    planFindings(p, u).map((f) => `${f.kind} ${f.about}`);
  expect(told({ ...plan, parts: plan.parts.filter((p) => p.kind !== 'pump') })).toContain(
    `no-pump ${plan.id}`,
  );
  expect(told(changedPart(plan, 'shift-2', { spring: 0 }))).toEqual(['no-spring shift-2']);
  expect(told(changedPart(plan, 'feed-C1', { in: 0 }))).toEqual(['orifice-shut feed-C1']);
  expect(told(changedPart(plan, 'feed-C1', { from: 'nowhere' }))).toContain('line-unknown nowhere');
  expect(told(plan, demoUnit('lighter-six'))[0]).toBe('other-unit quay-four');
  // Two passages that feed each other and nothing else.
  const ring = {
    ...plan,
    lines: [...plan.lines, { id: 'x', name: '' }, { id: 'y', name: '' }],
    parts: [
      ...plan.parts,
      { id: 'a', name: '', kind: 'restriction', from: 'x', to: 'y', orifice: 1e-6 } as const,
      { id: 'b', name: '', kind: 'restriction', from: 'y', to: 'x', orifice: 1e-6 } as const,
    ],
  };
  expect(told(ring)).toEqual(['never-fed x', 'never-fed y']);
  const swapped = changedPart(plan, 'feed-C3', { from: 'port-R' });
  expect(told(swapped)).toContain('range-differs D3');
});

// Derived by hand: p = a + b·V while it strokes, so k·√(p_l − p)·dt = dp/b and b·k·t/2 = √(p_l − p₁) − √(p_l − p₂).
test('an accumulator strokes in the time that its closed form gives', () => {
  const plan = planFor(demoUnit('quay-four'));
  const circuit = circuitOf(plan);
  const running = { ...WARM, lever: 'D', throttle: 0.45 };
  const [before, after] = [1, 2].map((gear) => circuit.inGear(running, gear, '')) as [never, never];
  const run = fill({ circuit, running, before, after, elements: ['B1'], seconds: 1.5 });
  const acc = partsOf(plan, 'accumulator').find((a) => a.id === 'acc-B1')!;
  const feed = partsOf(plan, 'feed').find((f) => f.id === 'feed-B1')!;
  const behind = circuit.at(running).pressures.get('throttle')! * acc.back!.area;
  const [p1, p2] = [acc.spring, acc.springEnd].map((f) => (f + behind) / acc.area) as [
    number,
    number,
  ];
  const { pressures } = run.elements.get('B1')!;
  const first = (p: number) => pressures.findIndex((v) => v >= p) * FILL_STEP;
  // Well inside the stroke, where the cushion plate is flat and nothing else gives.
  const [from, to] = [p1 + 0.2 * (p2 - p1), p1 + 0.9 * (p2 - p1)];
  const line = run.line[700]!;
  const rate = (p2 - p1) / (acc.area * acc.travel);
  const k = 1 / Math.sqrt(1 / feed.in ** 2 + 1 / 3e-6 ** 2);
  const takes = (2 * (Math.sqrt(line - from) - Math.sqrt(line - to))) / (k * rate);
  expect((first(to) - first(from)) / takes).toBeCloseTo(1, 1);
});
