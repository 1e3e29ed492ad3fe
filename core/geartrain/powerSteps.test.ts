import { powerFlow, powerSteps, solveUnit, type Unit } from './index';
import { randomFromSeed, toNumber } from '../numerics';
import { randomUnit } from './tests/randomUnit';
import { ravigneaux, simpson } from './tests/textbookUnits';
import { demoUnit } from '../tests/demoFile';

const steps = (unit: Unit, ...apply: string[]) => {
  const solution = solveUnit(unit, apply);
  return Object.fromEntries(
    [...powerSteps(unit, powerFlow(unit, solution))].map(([from, to]) => [from, [...to].sort()]),
  );
};

// Common practice, no source: low of two coupled sets splits at the front set; second goes by it alone.
test('where power goes next, member by member', () => {
  const three = simpson(33, 72);
  expect(steps(three, 'C1', 'B2')).toEqual({ in: ['r1'], r1: ['out', 's'], s: ['out'] });
  expect(steps(three, 'C1', 'B1')).toEqual({ in: ['r1'], r1: ['out'] });
  expect(steps(three, 'C2', 'B2')).toEqual({ in: ['s'], s: ['out'] });
  const two = ravigneaux(30, 36, 78);
  expect(steps(two, 'Ca', 'Bc')).toEqual({ in: ['a'], a: ['r'] });
  expect(steps(two, 'Ca', 'Bb')).toEqual({ in: ['a'], a: ['r'] });
  expect(steps(two, 'Cc', 'Bb')).toEqual({ in: ['c'], c: ['r'] });
});

test('a manual box hands it from shaft to countershaft to gear to shaft', () => {
  const unit = demoUnit('winch-manual');
  const second = unit.ranges.find((r) => r.id === 'G2')!;
  const way = ['eng'];
  const next = steps(unit, ...second.apply);
  way[0] = unit.input;
  while (way.at(-1) !== unit.output) {
    const [to] = next[way.at(-1)!] ?? [];
    if (to === undefined || way.length > 10) break;
    way.push(to);
  }
  expect(way.at(-1)).toBe(unit.output);
  expect(way).toContain('cs');
});

test('from the input every way of the power leads on until the output', () => {
  let checked = 0;
  for (let k = 0; k < 200; k++) {
    const random = randomFromSeed(`steps-${k}`);
    const unit = randomUnit(random);
    const applied = unit.elements.filter(() => random.next() < 0.6).map((e) => e.id);
    const solution = solveUnit(unit, applied);
    if (solution.outcome !== 'drives') continue;
    const flow = powerFlow(unit, solution);
    const open = [...flow.ports.map((p) => p.power), ...flow.clutches.values()].includes(null);
    if (open) continue;
    const next = powerSteps(unit, flow);
    const reached = new Set([unit.input]);
    for (const member of reached) for (const to of next.get(member) ?? []) reached.add(to);
    expect([k, reached.has(unit.output)]).toEqual([k, true]);
    for (const member of reached)
      if (member !== unit.output && toNumber(flow.circulating) === 0)
        expect([k, member, next.has(member)]).toEqual([k, member, true]);
    checked++;
  }
  expect(checked).toBeGreaterThan(20);
});
