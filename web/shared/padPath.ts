const FINE = Array.from({ length: 201 }, (_, k) => k / 200);

/** The path of a function between two places, on a pad. */
export const padPath = (
  f: (x: number) => number,
  [from, to]: readonly [number, number],
  x: (v: number) => number,
  y: (v: number) => number,
): string =>
  `M${FINE.map((s) => from + s * (to - from))
    .map((v) => `${x(v).toFixed(1)} ${y(f(v)).toFixed(1)}`)
    .join('L')}`;
