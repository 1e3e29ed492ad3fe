/**
 * One root of a continuous function between two points of opposite sign: regula falsi with the weights of the
 * Illinois variant (published: M. Dowell and P. Jarratt, BIT 11, 1971), never slower than it needs and never
 * outside the bracket.
 */
export interface Root {
  readonly x: number;
  readonly steps: number;
  /** `bracket`: the two ends have one sign, so there may be no root; x is the end nearer to zero. */
  readonly why: 'found' | 'bracket' | 'steps';
}

const MOST_STEPS = 200;

/** @param tolerance size of the interval at which the search stops */
export function findRoot(
  f: (x: number) => number,
  from: number,
  to: number,
  tolerance: number,
): Root {
  let [a, b] = [from, to];
  let [fa, fb] = [f(a), f(b)];
  if (fa === 0) return { x: a, steps: 0, why: 'found' };
  if (fb === 0) return { x: b, steps: 0, why: 'found' };
  if (fa * fb > 0) return { x: Math.abs(fa) < Math.abs(fb) ? a : b, steps: 0, why: 'bracket' };
  let side = 0;
  for (let steps = 1; steps <= MOST_STEPS; steps++) {
    // Every third step halves, so that a flat function can't hold the search up.
    const x = steps % 3 === 0 ? (a + b) / 2 : (a * fb - b * fa) / (fb - fa);
    const fx = f(x);
    if (fx === 0) return { x, steps, why: 'found' };
    if (fx * fb > 0) {
      [b, fb] = [x, fx];
      if (side === -1) fa /= 2;
      side = -1;
    } else {
      [a, fa] = [x, fx];
      if (side === 1) fb /= 2;
      side = 1;
    }
    if (Math.abs(b - a) <= tolerance)
      return { x: Math.abs(fa) < Math.abs(fb) ? a : b, steps, why: 'found' };
  }
  return { x: (a + b) / 2, steps: MOST_STEPS, why: 'steps' };
}
