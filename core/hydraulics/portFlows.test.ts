import { exchanged } from './exchange';
import { portFlows } from './portFlows';
import { planFor } from './generate';
import { demoUnit, demoUnits } from '../tests/demoFile';
import { circuitOf } from './circuit';

const flowsOf = (ports: [string, number, number][], into: number[]) =>
  portFlows(
    ports.map(([part, from, to]) => ({ part, from, to })),
    Float64Array.from(into),
  );

// By hand: 0 gets 5 and is left by 2 and 3; what a passage takes has to come through the ports before it.
test('through a row of ports goes what lies behind them', () => {
  const flows = flowsOf(
    [
      ['a', 0, 1],
      ['b', 1, 2],
    ],
    [5, -2, -3],
  );
  expect(Object.fromEntries(flows.map((f) => [f.part, f.flow]))).toEqual({ a: 5, b: 3 });
});

test('a port that is written the other way round carries the same, backwards', () => {
  const flows = flowsOf([['a', 1, 0]], [-4, 4]);
  expect(flows).toEqual([{ part: 'a', from: 1, to: 0, flow: 4 }]);
});

test('two ways to one passage: all of it on the first, and none is counted twice', () => {
  const flows = flowsOf(
    [
      ['a', 0, 1],
      ['b', 0, 1],
    ],
    [6, -6],
  );
  expect(flows.reduce((sum, f) => sum + f.flow, 0)).toBe(6);
});

// Published: conservation of mass, an incompressible fluid's flows at a node sum to nothing.
test.each(demoUnits().map((u) => [u.id, u] as const))(
  '%s: in every range what comes into a passage leaves it',
  (_id, unit) => {
    const plan = planFor(unit);
    const circuit = circuitOf(plan);
    const wrong: string[] = [];
    for (const range of unit.ranges) {
      const state = circuit.at(
        { lever: range.lever, throttle: 0.4, outputRpm: 700, engineRpm: 2200, celsius: 80 },
        undefined,
        range.id,
      );
      const pump = state.passing.find((p) => p.part === 'pump')!.flow;
      const sums = new Map<string, number>();
      for (const { from, to, flow } of state.passing) {
        sums.set(from, (sums.get(from) ?? 0) - flow);
        sums.set(to, (sums.get(to) ?? 0) + flow);
      }
      for (const { id } of plan.lines)
        // Every passage seeps a hundred-thousandth, so that none is cut off from all others.
        if (Math.abs(sums.get(id) ?? 0) > 2e-5 * pump)
          wrong.push(`${range.id}: ${id} keeps ${sums.get(id)} of ${pump}`);
    }
    expect(wrong).toEqual([]);
  },
);

test('who comes, who goes and who stays, of those that oil moves', () => {
  const plan = planFor(demoUnit('quay-four'));
  const swap = exchanged(plan, ['C1', 'B1', 'F1'], ['C1', 'C2', 'F1']);
  expect(swap).toEqual({ coming: ['C2'], going: ['B1'], either: ['C1', 'C2', 'B1'] });
  expect(exchanged(plan, ['C1'], ['C1'])).toEqual({ coming: [], going: [], either: ['C1'] });
});
