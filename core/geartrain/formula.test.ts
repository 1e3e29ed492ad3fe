import {
  addPolynomials,
  dividePolynomial,
  evaluatePolynomial,
  fraction,
  multiplyPolynomials,
  randomFromSeed,
  toText,
  unknown,
  type Polynomial,
} from '../numerics';
import {
  derivation,
  ratioFormula,
  solveUnit,
  teethNamed,
  type DerivationStep,
  type Unit,
} from './index';
import { randomUnit } from './tests/randomUnit';
import { ravigneaux, simpson } from './tests/textbookUnits';
import { demoUnit } from '../tests/demoFile';

const words = (p: Polynomial) =>
  [...p]
    .map(([key, value]) => `${value === 1n ? '' : value === -1n ? '-' : `${value}*`}${key}`)
    .sort()
    .join(' + ');

const formula = (unit: Unit, ...apply: string[]) => {
  const found = ratioFormula(unit, solveUnit(unit, apply));
  return found && `${words(found.over)} / ${words(found.under)}`;
};

// Published: the formulas themselves, r/a, r(a+b)/(a(b+r)), r/(r+b), −r/b (Müller; memory for the page).
test('a two-sun arrangement shows its textbook formulas', () => {
  const unit = ravigneaux(30, 36, 78);
  expect(formula(unit, 'Ca', 'Bc')).toBe('P1.ring / P1.sun');
  expect(formula(unit, 'Ca', 'Bb')).toBe(
    'P1.ring*P1.sun + P1.ring*P2.sun / P1.ring*P1.sun + P1.sun*P2.sun',
  );
  expect(formula(unit, 'Cc', 'Bb')).toBe('P1.ring / P1.ring + P2.sun');
  expect(formula(unit, 'Cb', 'Bc')).toBe('-P1.ring / P2.sun');
  expect(formula(unit, 'Ca', 'Cc')).toBeNull();
  expect(formula(unit, 'Ca')).toBeNull();
});

// Published: 1 + Ns/Nr for the second speed of coupled sets; first adds the rear set's share (SAE 810102; memory).
test('coupled sets show theirs, with the teeth of each set apart', () => {
  const unit = simpson(33, 72);
  expect(formula(unit, 'C1', 'B1')).toBe('P1.ring + P1.sun / P1.ring');
  expect(formula(unit, 'C2', 'B2')).toBe('-P2.ring / P2.sun');
  expect(formula(unit, 'C1', 'B2')).toBe(
    'P1.ring*P2.sun + P1.sun*P2.ring + P1.sun*P2.sun / P1.ring*P2.sun',
  );
});

test('a simple set in front of a two-sun arrangement drops the factor that both suns share', () => {
  const unit = demoUnit('lighter-six');
  const range = unit.ranges.find((r) => r.id === 'D3')!;
  expect(formula(unit, ...range.apply)).toBe('P0.ring + P0.sun / P0.ring');
});

const valueOf = (unit: Unit, p: Polynomial) =>
  evaluatePolynomial(p, (name) => BigInt(teethNamed(unit, name)));

test('formula and derivation give the exact ratio on random trains', () => {
  let checked = 0;
  for (let k = 0; k < 300; k++) {
    const random = randomFromSeed(`formula-${k}`);
    const unit = randomUnit(random, true);
    const applied = unit.elements
      .filter((e) => e.kind !== 'one-way' && random.next() < 0.6)
      .map((e) => e.id);
    const solution = solveUnit(unit, applied);
    if (solution.outcome !== 'drives') continue;
    const ratio = toText(solution.ratio!);
    const found = ratioFormula(unit, solution);
    if (found) {
      const value = fraction(valueOf(unit, found.over), valueOf(unit, found.under));
      expect([k, toText(value)]).toEqual([k, ratio]);
    } else expect([k, ratio]).toEqual([k, '1']);
    const steps = derivation(unit, solution);
    expect([k, toText(lastRatio(unit, steps))]).toEqual([k, ratio]);
    checked++;
  }
  expect(checked).toBeGreaterThan(60);
});

/** What the last line before the result says; input and output tied together say 1. */
function lastRatio(unit: Unit, steps: readonly DerivationStep[]) {
  const last = steps.findLast((s) => s.code === 'express');
  if (last?.code !== 'express' || last.member !== unit.output) return fraction(1);
  expect(last.terms.map((t) => t.member)).toEqual([unit.input]);
  const { coefficient } = last.terms[0]!;
  return fraction(coefficient.den, coefficient.num);
}

test('the derivation goes the way a student would', () => {
  const unit = simpson(33, 72);
  const steps = derivation(unit, solveUnit(unit, ['C1', 'B2']));
  expect(steps.map((s) => s.code)).toEqual([
    'together',
    'stands',
    'set',
    'set',
    'express',
    'put-in',
    'express',
    'result',
  ]);
  const sets = steps.filter((s) => s.code === 'set');
  // 33·ωs + 72·ωin = 105·ωout, in lowest terms.
  expect(sets[0]!.terms.map((t) => `${t.member} ${toText(t.coefficient)}`)).toEqual([
    's 11',
    'in 24',
    'out -35',
  ]);
  expect(derivation(unit, solveUnit(unit, []))).toEqual([]);
});

test('polynomials: (a + b)(a − b)² divides back, and what does not divide says so', () => {
  const [a, b] = [unknown('a'), unknown('b')];
  const minus = new Map([
    ['a', 1n],
    ['b', -1n],
  ]);
  const sum = addPolynomials(a, b);
  const product = multiplyPolynomials(multiplyPolynomials(sum, minus), minus);
  expect(dividePolynomial(product, sum)).toEqual(multiplyPolynomials(minus, minus));
  expect(dividePolynomial(product, new Map([['c', 1n]]))).toBeNull();
  expect(dividePolynomial(addPolynomials(a, a), new Map([['', 3n]]))).toBeNull();
  expect(evaluatePolynomial(product, (n) => (n === 'a' ? 5n : 3n))).toBe(32n);
  expect(() => dividePolynomial(a, new Map())).toThrow(/must not be 0/);
  expect(() => teethNamed(simpson(33, 72), 'P9.sun')).toThrow(/"P9.sun"/);
});
