import { solveDense } from './dense';

/**
 * The boxed linear complementarity problem of one time step: impulses p between bounds so that with v = W·p + b
 *
 *   p = low → v ≥ 0      low < p < high → v = 0      p = high → v ≤ 0
 *
 * by block principal pivoting (published: J. J. Júdice and F. M. Pires, Computers & Operations Research 21, 1994):
 * guess for each whether it is free or at a bound, solve, change every guess that is broken; when that stops
 * improving, change only the last one that is broken (K. G. Murty, Linear Algebra and its Applications 1974), which
 * ends for every W that is positive definite. The guess of the step before is kept, so that most steps take one solve.
 *
 * Range: W symmetric, positive definite; a few dozen rows. One kernel, one idea: it is longer than a usual function.
 */
export interface BoxedSolver {
  /**
   * Writes p. Bounds may be infinite; where low = high, p is that.
   * @returns how many linear systems it solved; -1 when it gave up
   */
  readonly solve: (
    b: Float64Array,
    low: Float64Array,
    high: Float64Array,
    p: Float64Array,
  ) => number;
}

const FREE = 0;
const AT_LOW = -1;
const AT_HIGH = 1;
/** Rounds without fewer broken guesses before one is changed at a time. */
const PATIENCE = 8;
const MOST_ROUNDS = 400;
/** A bound is broken beyond this share of the numbers compared. */
const SLACK = 1e-11;

/** @param w rows of W @throws Error when W is not square */
export function boxedSolver(w: readonly Float64Array[]): BoxedSolver {
  const m = w.length;
  if (w.some((row) => row.length !== m)) throw new Error('boxedSolver: expected a square matrix');
  const guess = new Int8Array(m);
  const pending = new Int8Array(m);
  const free = new Int32Array(m);
  const [system, right] = [new Float64Array(m * m), new Float64Array(m)];
  /** The largest of the terms that make v_k, as a yardstick. */
  const scale = (k: number, p: Float64Array, b: Float64Array): number => {
    let largest = Math.abs(b[k]!);
    const row = w[k]!;
    for (let j = 0; j < m; j++) largest = Math.max(largest, Math.abs(row[j]! * p[j]!));
    return largest;
  };

  function solveFree(count: number, b: Float64Array, p: Float64Array): boolean {
    for (let r = 0; r < count; r++) {
      const k = free[r]!;
      const row = w[k]!;
      right[r] = -b[k]!;
      for (let j = 0; j < m; j++) if (guess[j] !== FREE) right[r]! -= row[j]! * p[j]!;
      for (let c = 0; c < count; c++) system[r * count + c] = row[free[c]!]!;
    }
    if (!solveDense(system, right, count)) return false;
    for (let r = 0; r < count; r++) p[free[r]!] = right[r]!;
    return true;
  }

  return {
    solve(b, low, high, p) {
      let best = m + 1;
      let patience = PATIENCE;
      for (let k = 0; k < m; k++)
        if (guess[k] === FREE && low[k] === high[k]) guess[k] = AT_LOW;
        else if (guess[k] === AT_LOW && low[k] === -Infinity) guess[k] = FREE;
        else if (guess[k] === AT_HIGH && high[k] === Infinity) guess[k] = FREE;
      for (let round = 1; round <= MOST_ROUNDS; round++) {
        let count = 0;
        for (let k = 0; k < m; k++) {
          if (guess[k] === FREE) free[count++] = k;
          else p[k] = guess[k] === AT_LOW ? low[k]! : high[k]!;
        }
        if (!solveFree(count, b, p)) return -1;
        let broken = 0;
        let last = -1;
        let change = 0;
        const single = patience <= 0;
        for (let k = 0; k < m; k++) {
          const next = better(k);
          pending[k] = next;
          if (next === guess[k]) continue;
          broken++;
          [last, change] = [k, next];
        }
        if (broken === 0) return round;
        if (broken < best) [best, patience] = [broken, PATIENCE];
        else patience--;
        if (single) guess[last] = change;
        else guess.set(pending);
      }
      return -1;

      function better(k: number): number {
        const [pk, lk, hk] = [p[k]!, low[k]!, high[k]!];
        if (lk === hk) return guess[k] === FREE ? AT_LOW : guess[k]!;
        if (guess[k] === FREE) {
          const slack = SLACK * (Math.abs(pk) + 1e-300);
          if (pk < lk - slack) return AT_LOW;
          if (pk > hk + slack) return AT_HIGH;
          return FREE;
        }
        let v = b[k]!;
        const row = w[k]!;
        for (let j = 0; j < m; j++) v += row[j]! * p[j]!;
        const slack = SLACK * scale(k, p, b);
        if (guess[k] === AT_LOW) return v < -slack ? FREE : AT_LOW;
        return v > slack ? FREE : AT_HIGH;
      }
    },
  };
}
