import { randomFromSeed, toNumber } from '../numerics';
import { solveUnit } from '../geartrain';
import { randomUnit } from '../geartrain/tests/randomUnit';
import { simpson } from '../geartrain/tests/textbookUnits';
import { appliedWithFaults, faultSweep, singleFaults, withFaults, type Fault } from './index';

const exactly = (unit: Parameters<typeof solveUnit>[0], fault: Fault | null, apply: string[]) => {
  const faulty = withFaults(unit, fault ? [fault] : []);
  if (!faulty.ok) throw new Error(faulty.problem);
  return (load: 'drive' | 'coast') =>
    solveUnit(faulty.unit, appliedWithFaults(apply, faulty), load);
};

test('the sweep agrees with the exact model of every faulty unit', () => {
  for (let k = 0; k < 40; k++) {
    const random = randomFromSeed(`sweep-${k}`);
    const drawn = randomUnit(random, true);
    const controlled = drawn.elements.filter((e) => e.kind !== 'one-way').map((e) => e.id);
    const ranges = Array.from({ length: 3 }, (_, n) => ({
      id: `D${n}`,
      lever: 'D',
      gear: String(n),
      apply: controlled.filter(() => random.next() < 0.6),
    }));
    const unit = { ...drawn, ranges };
    for (const { fault, range, load, outcome, ratio } of faultSweep(unit)) {
      const { apply } = ranges.find((r) => r.id === range)!;
      const exact = exactly(unit, fault, apply)(load);
      expect([k, fault, range, load, outcome]).toEqual([k, fault, range, load, exact.outcome]);
      if (exact.ratio) expect(ratio).toBeCloseTo(toNumber(exact.ratio), 7);
    }
  }
});

// Common practice, no source: what a driver feels when one part of a three-speed fails.
test('one part fails, and the ranges that need it show it', () => {
  const unit = {
    ...simpson(33, 72),
    ranges: [
      { id: 'D1', lever: 'D', gear: '1', apply: ['C1'] },
      { id: 'D2', lever: 'D', gear: '2', apply: ['C1', 'B1'] },
      { id: 'D3', lever: 'D', gear: '3', apply: ['C1', 'C2'] },
      { id: 'R', lever: 'R', gear: 'R', apply: ['C2', 'B2'] },
    ],
  };
  const under = (target: string, kind: Fault['kind']) =>
    faultSweep(unit, [{ target, kind }])
      .filter((c) => c.load === 'drive')
      .map((c) => c.outcome);
  expect(under('C1', 'will-not-apply')).toEqual(['neutral', 'neutral', 'neutral', 'drives']);
  expect(under('F1', 'will-not-hold')).toEqual(['neutral', 'drives', 'drives', 'drives']);
  // A seized low one-way clutch binds where its member has to turn.
  expect(under('F1', 'seized')).toEqual(['drives', 'tied-up', 'tied-up', 'drives']);
  // The rear sun stripped from its shell: low and reverse go through the rear set, second and third do not.
  expect(under('P2.sun', 'broken')).toEqual(['neutral', 'drives', 'drives', 'neutral']);
  expect(singleFaults(unit)).toHaveLength(4 * 2 + 3 + 6);
});
