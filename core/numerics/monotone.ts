/**
 * Monotone cubic interpolation (published: F. N. Fritsch and R. E. Carlson, SIAM J. Numer. Anal. 17, 1980;
 * slopes by the harmonic mean of F. N. Fritsch and J. Butland, 1984). Where the points rise or fall, so does
 * the curve; it never overshoots. Outside the points the end values hold.
 */
export interface Curve {
  /** Value at x. */
  readonly at: (x: number) => number;
  readonly from: number;
  readonly to: number;
}

/**
 * @param x rising
 * @throws Error when there are fewer than two points, or x does not rise
 */
export function monotoneCurve(x: readonly number[], y: readonly number[]): Curve {
  const n = x.length;
  if (n < 2 || y.length !== n)
    throw new Error(`monotoneCurve: expected at least two points, got ${n} and ${y.length}`);
  const steps = x.slice(1).map((v, k) => v - x[k]!);
  if (steps.some((h) => !(h > 0))) throw new Error('monotoneCurve: expected x to rise');
  const secants = steps.map((h, k) => (y[k + 1]! - y[k]!) / h);
  const slopes = x.map((_v, k) => slopeAt(k, steps, secants));
  const at = (v: number): number => {
    if (v <= x[0]!) return y[0]!;
    if (v >= x[n - 1]!) return y[n - 1]!;
    let [low, high] = [0, n - 1];
    while (high - low > 1) {
      const middle = (low + high) >> 1;
      if (x[middle]! <= v) low = middle;
      else high = middle;
    }
    const h = steps[low]!;
    const t = (v - x[low]!) / h;
    const u = 1 - t;
    // Hermite's cubic on one interval.
    return (
      y[low]! * (1 + 2 * t) * u * u +
      slopes[low]! * h * t * u * u +
      y[low + 1]! * t * t * (3 - 2 * t) -
      slopes[low + 1]! * h * t * t * u
    );
  };
  return { at, from: x[0]!, to: x[n - 1]! };
}

function slopeAt(k: number, steps: readonly number[], secants: readonly number[]): number {
  const last = steps.length;
  if (last === 1) return secants[0]!;
  if (k === 0) return endSlope(steps[0]!, steps[1]!, secants[0]!, secants[1]!);
  if (k === last)
    return endSlope(steps[last - 1]!, steps[last - 2]!, secants[last - 1]!, secants[last - 2]!);
  const [a, b] = [secants[k - 1]!, secants[k]!];
  if (a * b <= 0) return 0;
  const wa = 2 * steps[k]! + steps[k - 1]!;
  const wb = steps[k]! + 2 * steps[k - 1]!;
  return (wa + wb) / (wa / a + wb / b);
}

/** Three-point slope at an end, kept so that the curve stays monotone there. */
function endSlope(h0: number, h1: number, d0: number, d1: number): number {
  const slope = ((2 * h0 + h1) * d0 - h0 * d1) / (h0 + h1);
  if (slope * d0 <= 0) return 0;
  return d0 * d1 <= 0 && Math.abs(slope) > 3 * Math.abs(d0) ? 3 * d0 : slope;
}
