import { randomFromSeed, toNumber } from '../numerics';
import {
  combinations,
  combined,
  maskOf,
  oneWaysOf,
  outcomeTable,
  ratioGroups,
  solveUnit,
  type Load,
} from './index';
import { randomUnit } from './tests/randomUnit';
import { members, ravigneaux, simpson, UNNAMED } from './tests/textbookUnits';

const LOADS: readonly Load[] = ['drive', 'coast'];

// Exact against floating: every quantity, on random trains with several one-way clutches at once.
test('the table of outcomes agrees with the exact solution', () => {
  let drove = 0;
  for (let k = 0; k < 250; k++) {
    const random = randomFromSeed(`table-${k}`);
    const unit = randomUnit(random, true);
    const table = outcomeTable(unit);
    const ways = oneWaysOf(unit);
    const applied = unit.elements
      .filter((e) => e.kind !== 'one-way' && random.next() < 0.5)
      .map((e) => e.id);
    for (const load of LOADS) {
      const exact = solveUnit(unit, applied, load);
      const { motion } = table.settle(maskOf(unit, applied), load, ways);
      expect([k, load, motion.outcome]).toEqual([k, load, exact.outcome]);
      if (exact.outcome !== 'drives') continue;
      drove++;
      expect(motion.ratio).toBeCloseTo(toNumber(exact.ratio!), 7);
      table.train.members.forEach((id, c) => {
        const speed = exact.speeds.get(id);
        if (speed) expect(motion.speeds[c]).toBeCloseTo(toNumber(speed), 7);
        else expect(motion.speeds[c]).toBeNaN();
      });
      unit.elements.forEach((element, e) => {
        const { state, torque } = exact.elements.get(element.id)!;
        if (state === 'shared') return;
        if (torque) expect(motion.torques[e]).toBeCloseTo(toNumber(torque), 7);
      });
    }
  }
  expect(drove).toBeGreaterThan(100);
});

// Common practice, no source: two brakes on one member share a torque that statics can't split.
test('a redundant element has no torque of its own', () => {
  const unit = simpson(30, 70);
  const doubled = {
    ...unit,
    elements: [
      ...unit.elements,
      { id: 'B3', name: '', kind: 'band' as const, between: ['s', 'case'] as [string, string] },
    ],
  };
  const { torques, ratio } = outcomeTable(doubled).motion(maskOf(doubled, ['C1', 'B1', 'B3']));
  expect(ratio).toBeCloseTo(10 / 7, 12);
  expect([torques[2], torques[5]]).toEqual([NaN, NaN]);
  expect(torques[0]).not.toBeNaN();
});

// Published: a Ravigneaux arrangement with three clutches and two brakes has four forward ratios and reverse
// by its formulas; a sixth, b driving with the carrier, is direct (Müller; memory for the page).
test('every combination of a two-sun arrangement is classified, and ratios are sorted', () => {
  const [a, b, r] = [30, 36, 78];
  const all = combinations(ravigneaux(a, b, r));
  expect(all).toHaveLength(32);
  const count = (outcome: string) => all.filter((c) => c.outcome === outcome).length;
  expect(
    count('drives') +
      count('neutral') +
      count('tied-up') +
      count('output-held') +
      count('input-held'),
  ).toBe(32);
  const groups = ratioGroups(all);
  const ratios = groups.map((g) => g.ratio);
  const expected = [r / a, (r * (a + b)) / (a * (b + r)), 1, r / (r + b), -r / b];
  expect(ratios).toHaveLength(expected.length);
  expected.forEach((ratio, k) => expect(ratios[k]).toBeCloseTo(ratio, 9));
  expect(groups[2]!.ways).toEqual([
    ['Ca', 'Cb'],
    ['Ca', 'Cc'],
    ['Cb', 'Cc'],
  ]);
});

test('many elements are combined four at a time, and too many are refused by name', () => {
  const many = (count: number) => ({
    ...UNNAMED,
    id: 'many',
    members: members('in', 'out', 'c'),
    input: 'in',
    output: 'out',
    gearsets: [],
    elements: Array.from({ length: count }, (_, k) => ({
      id: `E${k}`,
      name: '',
      kind: 'clutch' as const,
      between: ['in', 'out'] as [string, string],
    })),
  });
  expect(combinations(many(16))).toHaveLength(1 + 16 + 120 + 560 + 1820);
  expect(() => combinations(many(31))).toThrow(/at most 30/);
});

// By hand from the one before: 5 ratios, one of them by three pairs of clutches; all other combinations do not drive.
test('all that a gear train could do, put together and counted', () => {
  const unit = ravigneaux(30, 36, 78);
  const { count, counts, groups } = combined(unit);
  expect(count).toBe(32);
  expect(Object.values(counts).reduce((sum, n) => sum + n, 0)).toBe(32);
  for (const outcome of ['drives', 'neutral', 'tied-up'] as const)
    expect(counts[outcome]).toBe(combinations(unit).filter((c) => c.outcome === outcome).length);
  // One brake alone, and with nothing on: nothing comes through. Both brakes on top of a ratio: nothing turns.
  expect(counts['drives']).toBeGreaterThanOrEqual(7);
  expect(groups).toEqual(ratioGroups(combinations(unit)));
});
