/**
 * One root of a continuous function between two points of opposite sign: the ITP method (published: I. F. D.
 * Oliveira and R. H. C. Takahashi, An enhancement of the bisection method average performance preserving minmax
 * optimality, ACM Trans. Math. Softw. 47, 2020). Never more than one step beyond bisection, and usually far fewer.
 */
export interface Root {
  readonly x: number;
  /** Evaluations of the function between the ends. */
  readonly steps: number;
  /** `bracket`: the two ends have one sign, so there may be no root; x is the end nearer to zero. */
  readonly why: 'found' | 'bracket';
}

/** The authors' own choice of the method's constants. */
const K1 = 0.2;
const K2 = 2;
const N0 = 1;

/** @param tolerance the root lies within this of x */
export function findRoot(
  f: (x: number) => number,
  from: number,
  to: number,
  tolerance: number,
): Root {
  const [fromValue, toValue] = [f(from), f(to)];
  if (fromValue === 0) return { x: from, steps: 0, why: 'found' };
  if (toValue === 0) return { x: to, steps: 0, why: 'found' };
  if (fromValue * toValue > 0)
    return { x: Math.abs(fromValue) < Math.abs(toValue) ? from : to, steps: 0, why: 'bracket' };
  // The function is turned so that it rises from a to b.
  const rising = fromValue < 0 ? 1 : -1;
  let [a, b] = [from, to];
  let [fa, fb] = [rising * fromValue, rising * toValue];
  const span = b - a;
  const most = Math.max(0, Math.ceil(Math.log2(span / (2 * tolerance)))) + N0;
  for (let steps = 0; ; steps++) {
    if (b - a <= 2 * tolerance) return { x: (a + b) / 2, steps, why: 'found' };
    const half = (a + b) / 2;
    const room = tolerance * 2 ** (most - steps) - (b - a) / 2;
    const falsi = (fb * a - fa * b) / (fb - fa);
    const way = Math.sign(half - falsi);
    const nudge = (K1 / span) * (b - a) ** K2;
    const near = nudge <= Math.abs(half - falsi) ? falsi + way * nudge : half;
    const x = Math.abs(near - half) <= room ? near : half - way * room;
    // Two neighbouring numbers: no closer than this.
    if (x === a || x === b) return { x, steps, why: 'found' };
    const fx = rising * f(x);
    if (fx === 0) return { x, steps: steps + 1, why: 'found' };
    if (fx > 0) [b, fb] = [x, fx];
    else [a, fa] = [x, fx];
  }
}
