import { EigenvalueDecomposition, Matrix, SVD } from 'ml-matrix';
import { fraction, randomFromSeed, toNumber, toText, ZERO } from '../numerics';
import {
  CASE,
  compileTrain,
  elementTerms,
  gearSetTerms,
  solveSpeeds,
  solveUnit,
  type Solution,
  type Unit,
} from './index';
import { randomUnit } from './tests/randomUnit';
import { members, ravigneaux, simpson, UNNAMED } from './tests/textbookUnits';

const ratio = (unit: Unit, ...applied: string[]) => {
  const r = solveUnit(unit, applied).ratio;
  return r && toText(r);
};

// Published: the ratios of a Simpson arrangement of equal sets with ρ = Ns/Nr (Benford & Leising,
// SAE paper 810102, use the same train): 2 + ρ, 1 + ρ, 1, −1/ρ. Page from memory.
test('two equal coupled sets give 2 + ρ, 1 + ρ, 1 and −1/ρ', () => {
  const unit = simpson(33, 72);
  expect(ratio(unit, 'C1', 'B2')).toBe(toText(fraction(2 * 72 + 33, 72)));
  expect(ratio(unit, 'C1', 'B1')).toBe(toText(fraction(72 + 33, 72)));
  expect(ratio(unit, 'C1', 'C2')).toBe('1');
  expect(ratio(unit, 'C2', 'B2')).toBe(toText(fraction(-72, 33)));
});

// Published: Ravigneaux formulas as given in gear-train texts (Müller, Epicyclic Drive Trains); memory for the page.
test('a two-sun arrangement gives r/a, r(a+b)/(a(b+r)), 1, r/(r+b) and −r/b', () => {
  const [a, b, r] = [30, 36, 78];
  const unit = ravigneaux(a, b, r);
  expect(ratio(unit, 'Ca', 'Bc')).toBe(toText(fraction(r, a)));
  expect(ratio(unit, 'Ca', 'Bb')).toBe(toText(fraction(r * (a + b), a * (b + r))));
  expect(ratio(unit, 'Ca', 'Cc')).toBe('1');
  expect(ratio(unit, 'Cc', 'Bb')).toBe(toText(fraction(r, r + b)));
  expect(ratio(unit, 'Cb', 'Bc')).toBe(toText(fraction(-r, b)));
});

// Published: Ferguson's paradox as worked in R. L. Norton, Design of Machinery, chapter on gear trains (memory
// for the page): three sun gears of 100, 99 and 101 teeth on one planet, the first fixed, the arm turned at
// 100 rev/min; the second creeps back at 1.01 rev/min, the third on at 0.99. Two suns on one planet turn like
// the sun and ring of a double-pinion set.
test('a published train of two coupled sets: Ferguson’s paradox', () => {
  const pair = (id: string, ring: string, teeth: number) => ({
    id,
    kind: 'double-pinion' as const,
    sun: 'fixed',
    carrier: 'arm',
    ring,
    teeth: { sun: 100, ring: teeth },
  });
  const unit: Unit = {
    ...UNNAMED,
    id: 'paradox',
    members: members('arm', 'fixed', 'back', 'on'),
    input: 'arm',
    output: 'back',
    gearsets: [pair('P1', 'back', 99), pair('P2', 'on', 101)],
    elements: [{ id: 'B', name: '', kind: 'brake', between: ['fixed', CASE] }],
  };
  const { speeds, ratio: back } = solveUnit(unit, ['B']);
  expect(toText(back!)).toBe('-99');
  expect((100 * toNumber(speeds.get('back')!)).toFixed(2)).toBe('-1.01');
  expect((100 * toNumber(speeds.get('on')!)).toFixed(2)).toBe('0.99');
});

// Common practice, no source: a low one-way clutch holds on drive and overruns on coast.
test('a one-way clutch holds on drive, overruns on coast, and gives no engine braking alone', () => {
  const unit = simpson(33, 72);
  const drive = solveUnit(unit, ['C1']);
  expect(drive.outcome).toBe('drives');
  expect(toText(drive.ratio!)).toBe('59/24');
  expect(drive.elements.get('F1')?.state).toBe('holding');
  expect(toText(drive.elements.get('F1')!.torque!)).toBe('35/24');
  const coast = solveUnit(unit, ['C1'], 'coast');
  expect(coast.outcome).toBe('neutral');
  expect(coast.elements.get('F1')?.state).toBe('overrunning');
  // Beside an applied brake the reaction's split is open on drive; on coast the brake has it alone.
  const low = solveUnit(unit, ['C1', 'B2']);
  expect([low.elements.get('B2')?.state, low.elements.get('F1')?.state]).toEqual([
    'shared',
    'shared',
  ]);
  const lowCoast = solveUnit(unit, ['C1', 'B2'], 'coast');
  expect(lowCoast.outcome).toBe('drives');
  expect([lowCoast.elements.get('B2')?.state, lowCoast.elements.get('F1')?.state]).toEqual([
    'applied',
    'open',
  ]);
  // In reverse the reaction goes the other way: the one-way clutch can't help.
  expect(solveUnit(unit, ['C2', 'B2']).elements.get('F1')?.state).toBe('open');
  expect(solveUnit(unit, ['C1', 'B1']).elements.get('F1')?.state).toBe('overrunning');
});

test('the five outcomes', () => {
  const unit = simpson(30, 70);
  expect(solveUnit(unit, []).outcome).toBe('neutral');
  const bound = solveUnit(unit, ['C1', 'B1', 'B2']);
  expect(bound.outcome).toBe('tied-up');
  // By hand: with sun shell and rear carrier held every member of a Simpson train stands; what nothing holds is not known.
  expect([...bound.speeds.values()].every((s) => s !== null && toNumber(s) === 0)).toBe(true);
  const loose = solveUnit(unit, ['C1', 'C2', 'B1']);
  expect(loose.speeds.get('in')).toEqual(ZERO);
  const held: Unit = {
    ...unit,
    elements: [
      ...unit.elements,
      { id: 'P', name: '', kind: 'dog', between: ['out', 'case'] },
      { id: 'L', name: '', kind: 'brake', between: ['in', 'case'] },
    ],
  };
  expect(solveUnit(held, ['P']).outcome).toBe('output-held');
  expect(solveUnit(held, ['L']).outcome).toBe('input-held');
});

test('a redundant element is shared, never given an invented torque', () => {
  const unit = simpson(30, 70);
  const doubled: Unit = {
    ...unit,
    elements: [...unit.elements, { id: 'B3', name: '', kind: 'band', between: ['s', 'case'] }],
  };
  const solution = solveUnit(doubled, ['C1', 'B1', 'B3']);
  expect(solution.elements.get('B1')).toEqual({ state: 'shared', torque: null });
  expect(solution.elements.get('B3')).toEqual({ state: 'shared', torque: null });
  expect(toText(solution.ratio!)).toBe('10/7');
});

test('an internal gear pair turns the same way, an external pair the other way', () => {
  const pair = (internal: boolean): Unit => ({
    ...UNNAMED,
    id: 'pair',
    members: members('a', 'b'),
    input: 'a',
    output: 'b',
    gearsets: [
      {
        id: 'G',
        kind: 'mesh',
        first: 'a',
        second: 'b',
        teeth: { first: 17, second: 34 },
        internal,
      },
    ],
    elements: [],
  });
  expect(ratio(pair(false))).toBe('-2');
  expect(ratio(pair(true))).toBe('2');
});

test('unknown elements and members are refused', () => {
  const unit = simpson(30, 70);
  expect(() => solveUnit(unit, ['nope'])).toThrow(/"nope"/);
  const broken = { ...unit, members: unit.members.slice(0, 3) };
  expect(() => solveUnit(broken, [])).toThrow(/known member/);
  expect(() => compileTrain(broken)).toThrow(/known member/);
});

/** The same system for the reference library: rows of A over the members. */
function matrixOf(unit: Unit, applied: readonly string[]): number[][] {
  const ids = unit.members.map((m) => m.id);
  const rows = [
    ...unit.gearsets.map(gearSetTerms),
    ...unit.elements.filter((e) => applied.includes(e.id)).map(elementTerms),
  ];
  return rows.map((terms) =>
    ids.map((id) => terms.reduce((sum, t) => sum + (t.member === id ? t.coefficient : 0), 0)),
  );
}

/** Null space by the reference library's eigenvectors of AᵀA. */
function nullSpace(rows: number[][], width: number): number[][] {
  if (rows.length === 0) return Matrix.eye(width).to2DArray();
  const a = new Matrix(rows);
  const rank = new SVD(a, { autoTranspose: true }).rank;
  const eigen = new EigenvalueDecomposition(a.transpose().mmul(a), { assumeSymmetric: true });
  const order = eigen.realEigenvalues.map((v, i) => ({ v, i })).sort((p, q) => p.v - q.v);
  return order.slice(0, width - rank).map(({ i }) => eigen.eigenvectorMatrix.getColumn(i));
}

// Outside check: a general-purpose matrix library (ml-matrix) on random trains.
test.each(Array.from({ length: 60 }, (_, k) => `train-${k}`))(
  'exact, floating and library agree: %s',
  (seed) => {
    const random = randomFromSeed(seed);
    const unit = randomUnit(random);
    const applied = unit.elements.map((e) => e.id).filter(() => random.next() < 0.5);
    const solution = solveUnit(unit, applied);
    const ids = unit.members.map((m) => m.id);
    const basis = nullSpace(matrixOf(unit, applied), ids.length);
    const at = (id: string) => basis.map((v) => v[ids.indexOf(id)]!);
    const size = (v: number[]) => Math.hypot(...v);
    expect(solution.freedom).toBe(basis.length);
    const [input, output] = [at(unit.input), at(unit.output)];
    const cross = size(input) * size(output) - Math.abs(dot(input, output));
    const expected =
      size(input) < 1e-7
        ? size(output) < 1e-7
          ? 'tied-up'
          : 'input-held'
        : size(output) < 1e-7
          ? 'output-held'
          : cross > 1e-9
            ? 'neutral'
            : 'drives';
    expect(solution.outcome).toBe(expected);
    if (expected === 'drives')
      expect(toNumber(solution.ratio!)).toBeCloseTo(dot(input, input) / dot(input, output), 6);
    const train = compileTrain(unit);
    const out = new Float64Array(ids.length);
    const mask = unit.elements.reduce((m, e, k) => m | (applied.includes(e.id) ? 1 << k : 0), 0);
    if (solveSpeeds(train, mask, out))
      train.members.forEach((id, k) =>
        expect(out[k]).toBeCloseTo(toNumber(solution.speeds.get(id)!), 9),
      );
    else if (expected === 'drives') expect([...solution.speeds.values()]).toContain(null);
  },
);

const dot = (a: number[], b: number[]) => a.reduce((sum, v, k) => sum + v * b[k]!, 0);

// Virtual work: torques from the transposed matrix against the kinematics of the same matrix.
test('torques balance on random trains, and the torque ratio equals the speed ratio', () => {
  let checked = 0;
  for (let k = 0; k < 400; k++) {
    const random = randomFromSeed(`balance-${k}`);
    const unit = randomUnit(random);
    const applied = unit.elements.map((e) => e.id).filter(() => random.next() < 0.6);
    const solution = solveUnit(unit, applied);
    if (solution.outcome !== 'drives') continue;
    expect(toText(solution.outputTorque!)).toBe(toText(solution.ratio!));
    const toCase = torqueOnCase(unit, solution);
    if (toCase === null) continue;
    expect([k, 1 - toNumber(solution.outputTorque!) + toCase]).toEqual([k, expect.closeTo(0, 9)]);
    checked++;
  }
  expect(checked).toBeGreaterThan(30);
});

/** What brakes put into the train, × input torque; `null` when an element's share is open. */
function torqueOnCase(unit: Unit, solution: Solution): number | null {
  let sum = 0;
  for (const element of unit.elements) {
    const { torque } = solution.elements.get(element.id)!;
    if (torque === null) return null;
    if (element.between[1] === CASE) sum += toNumber(torque);
  }
  return sum;
}
