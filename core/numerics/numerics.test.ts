import { add as addRef, fraction as fractionRef, lusolve, multiply as multiplyRef } from 'mathjs';
import {
  add,
  divide,
  equals,
  findRoot,
  fraction,
  isZero,
  monotoneCurve,
  multiply,
  negate,
  nullVector,
  ONE,
  PIVOT_SHARE,
  randomFromSeed,
  reduceRows,
  signOf,
  solveDense,
  solveExact,
  solveSymmetric,
  subtract,
  toNumber,
  toText,
  ZERO,
} from './index';

const exact = (rows: number[][]) => rows.map((row) => row.map((v) => fraction(v)));

describe('fractions', () => {
  test('reduced, with a positive denominator', () => {
    expect(toText(fraction(54, 36))).toBe('3/2');
    expect(toText(fraction(3, -6))).toBe('-1/2');
    expect(toText(fraction(-8, -4))).toBe('2');
    expect(fraction(0, 5)).toEqual(ZERO);
  });

  // Outside check: a general-purpose algebra library's fractions.
  test('arithmetic agrees with a library', () => {
    const random = randomFromSeed('fractions');
    for (let k = 0; k < 200; k++) {
      const [a, b, c, d] = [
        random.whole(-99, 99),
        random.whole(1, 99),
        random.whole(-99, 99),
        random.whole(1, 99),
      ];
      const ours = add(fraction(a, b), multiply(fraction(c, d), fraction(a, d)));
      const theirs = addRef(fractionRef(a, b), multiplyRef(fractionRef(c, d), fractionRef(a, d)));
      expect([k, toNumber(ours)]).toEqual([k, expect.closeTo(Number(theirs), 12)]);
    }
  });

  test('laws: difference, quotient, sign', () => {
    const [a, b] = [fraction(7, 3), fraction(-5, 8)];
    expect(equals(add(subtract(a, b), b), a)).toBe(true);
    expect(equals(multiply(divide(a, b), b), a)).toBe(true);
    expect([signOf(a), signOf(b), signOf(ZERO)]).toEqual([1, -1, 0]);
    expect(isZero(add(a, negate(a)))).toBe(true);
  });

  test('what is no fraction is refused', () => {
    expect(() => fraction(1, 0)).toThrow(/denominator/);
    expect(() => fraction(1.5)).toThrow(/whole number/);
    expect(() => divide(ONE, ZERO)).toThrow(/denominator/);
  });

  test('huge parts do not overflow', () => {
    const big = fraction(10n ** 400n + 1n, 10n ** 399n);
    expect(toNumber(big)).toBeCloseTo(10, 9);
  });
});

describe('exact elimination', () => {
  test('reduced rows of a textbook matrix', () => {
    const { rows, pivots } = reduceRows(
      exact([
        [1, 2, 3],
        [2, 4, 7],
        [3, 6, 10],
      ]),
    );
    expect(pivots).toEqual([0, 2]);
    expect(rows.map((row) => row.map(toText))).toEqual([
      ['1', '2', '0'],
      ['0', '0', '1'],
    ]);
  });

  // Outside check: a general-purpose library's LU solution of random systems.
  test('solutions agree with a library', () => {
    const random = randomFromSeed('systems');
    for (let k = 0; k < 50; k++) {
      const n = random.whole(2, 5);
      const a = Array.from({ length: n }, (_, r) =>
        Array.from({ length: n }, (_v, c) => random.whole(-9, 9) + (r === c ? 30 : 0)),
      );
      const b = Array.from({ length: n }, () => random.whole(-50, 50));
      const ours = solveExact(
        exact(a),
        b.map((v) => fraction(v)),
        n,
      )!;
      const theirs = (lusolve(a, b) as unknown as number[][]).map((row) => row[0]!);
      ours.forEach((x, i) => expect(toNumber(x!)).toBeCloseTo(theirs[i]!, 9));
    }
  });

  test('an open unknown is null, a contradiction is null for the whole', () => {
    const open = solveExact(
      exact([
        [1, 1, 0],
        [0, 0, 2],
      ]),
      [fraction(3), fraction(8)],
      3,
    );
    expect(open?.map((x) => x && toText(x))).toEqual([null, null, '4']);
    expect(
      solveExact(
        exact([
          [1, 1],
          [1, 1],
        ]),
        [fraction(1), fraction(2)],
        2,
      ),
    ).toBeNull();
  });

  test('the input is not changed', () => {
    const rows = exact([
      [2, 1],
      [1, 3],
    ]);
    reduceRows(rows);
    expect(rows.map((row) => row.map(toText))).toEqual([
      ['2', '1'],
      ['1', '3'],
    ]);
  });
});

describe('floating null vector', () => {
  const run = (rows: number[][]) => {
    const cols = rows[0]!.length;
    const out = new Float64Array(cols);
    const zero = PIVOT_SHARE * Math.max(...rows.flat().map(Math.abs));
    return nullVector(new Float64Array(rows.flat()), rows.length, cols, zero, out)
      ? [...out]
      : null;
  };

  test('one free direction is found, with the last entry 1', () => {
    expect(
      run([
        [2, 0, -1],
        [0, 4, -1],
      ]),
    ).toEqual([0.5, 0.25, 1]);
    expect(
      run([
        [0, 4, -1],
        [2, 0, -1],
      ]),
    ).toEqual([0.5, 0.25, 1]);
  });

  test('more than one, none, or one that leaves the last column still, is refused', () => {
    expect(run([[1, 1, 1]])).toBeNull();
    expect(
      run([
        [1, 0, 0],
        [0, 1, 0],
        [0, 0, 1],
      ]),
    ).toBeNull();
    expect(
      run([
        [1, 1, 0],
        [0, 0, 1],
      ]),
    ).toBeNull();
  });

  test('redundant rows do no harm', () => {
    expect(
      run([
        [2, 0, -1],
        [0, 4, -1],
        [2, 4, -2],
      ]),
    ).toEqual([0.5, 0.25, 1]);
  });
});

describe('random numbers from a seed', () => {
  test('same seed, same numbers; another seed, others', () => {
    const draw = (seed: string) =>
      Array.from(
        { length: 20 },
        (() => {
          const r = randomFromSeed(seed);
          return () => r.next();
        })(),
      );
    expect(draw('a')).toEqual(draw('a'));
    expect(draw('a')).not.toEqual(draw('b'));
  });

  test('whole numbers cover their range evenly', () => {
    const random = randomFromSeed('even');
    const counts = new Array<number>(6).fill(0);
    for (let k = 0; k < 6000; k++) counts[random.whole(0, 5)]!++;
    for (const count of counts) expect(Math.abs(count - 1000)).toBeLessThan(150);
    expect(() => random.pick([])).toThrow(/at least one/);
    expect(random.pick(['only'])).toBe('only');
  });
});

// Published: the data of Fritsch and Carlson's example (RPN 14; memory) are monotone, and so must the curve be.
test('a monotone curve passes its points and never overshoots', () => {
  const x = [7.99, 8.09, 8.19, 8.7, 9.2, 10, 12, 15, 20];
  const y = [0, 2.76429e-5, 4.37498e-2, 0.169183, 0.469428, 0.94374, 0.998636, 0.999919, 0.999994];
  const curve = monotoneCurve(x, y);
  x.forEach((v, k) => expect(curve.at(v)).toBeCloseTo(y[k]!, 12));
  const along = Array.from({ length: 1350 }, (_v, k) => curve.at(7.5 + 0.01 * k));
  expect(along.filter((v, k) => v > 1 || v < (along[k - 1] ?? -1))).toEqual([]);
  const peak = monotoneCurve([0, 1, 2], [0, 1, 0]);
  expect(Math.max(...[0.5, 0.9, 1, 1.1].map((v) => peak.at(v)))).toBe(1);
  // Published: Moler, Numerical Computing with MATLAB, pchipend (from memory): where the curve turns at the next point, the end
  // climbs at most thrice as steeply as its chord; 3·1/8 + 1/2 half-way, and 0 where it would start the wrong way.
  expect(monotoneCurve([0, 1, 2], [0, 1, -8]).at(0.5)).toBeCloseTo(0.875, 12);
  // Twice as steep all along, the same twice as high.
  expect(monotoneCurve([0, 1, 2], [0, 2, -16]).at(0.5)).toBeCloseTo(1.75, 12);
  // By hand: 0 at the start, 6/(3/1 + 3/9) at the next point.
  expect(monotoneCurve([0, 1, 2], [0, 1, 10]).at(0.5)).toBeCloseTo(0.275, 12);
  const straight = monotoneCurve([0, 2, 3], [1, 5, 7]);
  expect(straight.at(1)).toBeCloseTo(3, 12);
  expect(() => monotoneCurve([0, 0], [1, 2])).toThrow(/to rise/);
  expect(() => monotoneCurve([0], [1])).toThrow(/two points/);
});

// Closed forms: cos x = x at the Dottie number 0.7390851332…; x³ = 2 at the cube root of two.
test('a root is found inside its bracket, and a missing one is told', () => {
  const dottie = findRoot((x) => Math.cos(x) - x, 0, 1, 1e-13);
  expect(dottie.why).toBe('found');
  expect(dottie.x).toBeCloseTo(0.7390851332151607, 12);
  expect(dottie.steps).toBeLessThan(40);
  expect(findRoot((x) => x ** 3 - 2, 0, 8, 1e-12).x).toBeCloseTo(Math.cbrt(2), 11);
  expect(findRoot((x) => x * x + 1, -1, 1, 1e-9).why).toBe('bracket');
  expect(findRoot((x) => (x < 0.3 ? -1 : 1), 0, 1, 1e-9).x).toBeCloseTo(0.3, 8);
});

describe('square systems', () => {
  // Outside check: a general-purpose library's elimination.
  test('symmetric ones by their factors, any by elimination, agree with a library', () => {
    const random = randomFromSeed('symmetric');
    for (let round = 0; round < 20; round++) {
      const n = random.whole(1, 12);
      const half = Array.from({ length: n }, () =>
        Array.from({ length: n }, () => random.next() - 0.5),
      );
      // A·Aᵀ, and something on its diagonal, is positive definite.
      const rows = half.map((a, i) =>
        half.map((b, j) => a.reduce((sum, v, k) => sum + v * b[k]!, i === j ? 0.01 : 0)),
      );
      const right = Array.from({ length: n }, () => random.next());
      const theirs = (lusolve(rows, right) as number[][]).map(([x]) => x!);
      const lower = rows.map((row, i) => row.map((v, j) => (j > i ? Number.NaN : v)));
      const [one, other] = [Float64Array.from(right), Float64Array.from(right)];
      expect(solveSymmetric(Float64Array.from(lower.flat()), one, n)).toBe(true);
      expect(solveDense(Float64Array.from(rows.flat()), other, n)).toBe(true);
      theirs.forEach((x, k) => {
        expect(one[k]! / x).toBeCloseTo(1, 6);
        expect(other[k]! / x).toBeCloseTo(1, 6);
      });
    }
  });

  test('what has no such factors is told', () => {
    expect(solveSymmetric(Float64Array.from([1, 0, 2, 1]), Float64Array.from([1, 1]), 2)).toBe(
      false,
    );
    expect(solveDense(Float64Array.from([1, 2, 2, 4]), Float64Array.from([1, 1]), 2)).toBe(false);
  });
});
