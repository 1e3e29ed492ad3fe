import { chartRows, holdersOf, solveUnit, spreadOf, type Unit } from './index';
import { simpson } from './tests/textbookUnits';
import { demoUnit } from '../tests/demoFile';

/** As the matchers type it: nothing is known of it. */
const near = (value: number): unknown => expect.closeTo(value, 12);

const three: Unit = {
  ...simpson(33, 75),
  ranges: [
    { id: 'D1', lever: 'D', gear: '1', apply: ['C1'] },
    { id: 'D2', lever: 'D', gear: '2', apply: ['C1', 'B1'] },
    { id: 'D3', lever: 'D', gear: '3', apply: ['C1', 'C2'] },
    { id: 'L1', lever: '1', gear: '1', apply: ['C1', 'B2'] },
    { id: 'R', lever: 'R', gear: 'R', apply: ['C2', 'B2'] },
    { id: 'N', lever: 'N', gear: 'N', apply: [] },
  ],
};

// Published: 2 + ρ, 1 + ρ, 1 with ρ = 33/75 (SAE paper 810102; memory for the page); the steps between them.
test('steps go from gear to gear upward, and the spread is lowest over highest', () => {
  const rows = chartRows(three);
  const first = 2 + 33 / 75;
  const second = 1 + 33 / 75;
  expect(rows.map((r) => r.step)).toEqual([
    null,
    near(first / second),
    near(second),
    null,
    null,
    null,
  ]);
  expect(spreadOf(rows)).toBeCloseTo(first, 12);
  expect(spreadOf(chartRows({ ...three, ranges: three.ranges.slice(0, 1) }))).toBeNull();
});

// Common practice, no source: engine braking only where no one-way clutch stands alone for the reaction.
test('engine braking row by row', () => {
  expect(chartRows(three).map((r) => r.braking)).toEqual([false, true, true, true, true, null]);
});

// Statics of a fixed gearbox, any machine-design text: reaction = (i − 1) × input torque.
test('the reaction on the case is ratio less one', () => {
  const rows = chartRows(three);
  const held = (k: number) => rows[k]!.holds;
  expect(held(0)).toEqual([{ element: 'F1', torque: near(1 + 33 / 75) }]);
  expect(held(1)).toEqual([{ element: 'B1', torque: near(33 / 75) }]);
  expect(held(2)).toEqual([]);
  expect(held(3)).toEqual([
    { element: 'B2', torque: null },
    { element: 'F1', torque: null },
  ]);
  expect(held(4)).toEqual([{ element: 'B2', torque: near(1 + 75 / 33) }]);
  expect(holdersOf(three, solveUnit(three, []))).toEqual([]);
});

test('the demo units step down from gear to gear, and reverse is left out of the spread', () => {
  for (const id of ['quay-four', 'capstan-five', 'lighter-six', 'winch-manual', 'ferry-dual']) {
    const rows = chartRows(demoUnit(id)).filter((r) => /^[DMG]/.test(r.range.id));
    for (const { range, step } of rows.slice(1))
      expect([id, range.id, step! > 1.1 && step! < 1.8]).toEqual([id, range.id, true]);
    expect(spreadOf(rows)!).toBeGreaterThan(3);
  }
});
