/**
 * A thin rectangular plate, free all round (Kirchhoff's; any text on plates and shells). Its deflection is a sum of products of
 * Legendre polynomials, so that shifting and leaning cost nothing and bending costs D. SI: m, Pa, N.
 */
export interface Plate {
  readonly length: number;
  readonly width: number;
  readonly thickness: number;
  /** Young's modulus, and Poisson's ratio. */
  readonly modulus: number;
  readonly poisson: number;
}

/** A place on a plate, from its middle. */
export interface Spot {
  readonly x: number;
  readonly y: number;
}

/** Polynomials along and across: bent over a third of its length it is still followed. */
const ALONG = 9;
const ACROSS = 6;
/** Where, among the shapes, it only shifts, leans across and leans along. */
export const [SHIFTS, LEANS_ACROSS, LEANS_ALONG] = [0, 1, ACROSS] as const;
export const SHAPES = ALONG * ACROSS;
/** Places at which it is looked at, along and across: they integrate two such polynomials' product exactly. */
const LOOKS = [12, 8] as const;

/** P, P′ and P″ of the first Legendre polynomials. */
function legendre(at: number, many: number): readonly [number, number, number][] {
  const rows: [number, number, number][] = [
    [1, 0, 0],
    [at, 1, 0],
  ];
  for (let n = 2; n < many; n++) {
    const [a, b] = [rows[n - 1]!, rows[n - 2]!];
    rows.push([
      ((2 * n - 1) * at * a[0] - (n - 1) * b[0]) / n,
      b[1] + (2 * n - 1) * a[0],
      b[2] + (2 * n - 1) * a[1],
    ]);
  }
  return rows;
}

/** Gauss’ places and weights from −1 to 1: each root by Newton from Tricomi's estimate. */
function gauss(many: number): { at: number; weight: number }[] {
  return Array.from({ length: many }, (_v, k) => {
    let at = Math.cos((Math.PI * (k + 0.75)) / (many + 0.5));
    for (let round = 0; round < 8; round++) {
      const [p, slope] = legendre(at, many + 1)[many]!;
      at -= p / slope;
    }
    const [, slope] = legendre(at, many + 1)[many]!;
    return { at, weight: 2 / ((1 - at * at) * slope * slope) };
  });
}

/** How far each shape stands up at a spot, and how it slopes there. */
export interface ShapesAt {
  readonly up: Float64Array;
  readonly alongX: Float64Array;
  readonly alongY: Float64Array;
}

export function shapesAt({ length, width }: Plate, { x, y }: Spot): ShapesAt {
  const along = legendre((2 * x) / length, ALONG);
  const across = legendre((2 * y) / width, ACROSS);
  const of = (value: (p: (typeof along)[0], q: (typeof across)[0]) => number) =>
    Float64Array.from({ length: SHAPES }, (_v, k) =>
      value(along[Math.floor(k / ACROSS)]!, across[k % ACROSS]!),
    );
  return {
    up: of((p, q) => p[0] * q[0]),
    alongX: of((p, q) => (2 / length) * p[1] * q[0]),
    alongY: of((p, q) => (2 / width) * p[0] * q[1]),
  };
}

export const dot = (a: Float64Array, b: Float64Array): number => {
  let sum = 0;
  for (let k = 0; k < a.length; k++) sum += a[k]! * b[k]!;
  return sum;
};

/** A piece of a plate, by the spot that stands for it. */
export interface Piece {
  readonly spot: Spot;
  /** m². */
  readonly area: number;
  readonly up: Float64Array;
}

export function piecesOf(plate: Plate): Piece[] {
  const [along, across] = [gauss(LOOKS[0]), gauss(LOOKS[1])];
  return along.flatMap((u) =>
    across.map((v) => {
      const spot = { x: (u.at * plate.length) / 2, y: (v.at * plate.width) / 2 };
      const area = (u.weight * v.weight * plate.length * plate.width) / 4;
      return { spot, area, up: shapesAt(plate, spot).up };
    }),
  );
}

/** What bending costs: N/m between shapes, row by row. */
export function bendingOf(plate: Plate): Float64Array {
  const { length, width, thickness, modulus, poisson } = plate;
  const rigidity = (modulus * thickness ** 3) / 12 / (1 - poisson ** 2);
  const [a, b] = [2 / length, 2 / width];
  const matrix = new Float64Array(SHAPES * SHAPES);
  for (const u of gauss(LOOKS[0]))
    for (const v of gauss(LOOKS[1])) {
      const along = legendre(u.at, ALONG);
      const across = legendre(v.at, ACROSS);
      const bent = Array.from({ length: SHAPES }, (_s, k) => {
        const [p, q] = [along[Math.floor(k / ACROSS)]!, across[k % ACROSS]!];
        return [a * a * p[2] * q[0], b * b * p[0] * q[2], a * b * p[1] * q[1]] as const;
      });
      const share = (rigidity * u.weight * v.weight * length * width) / 4;
      for (let i = 0; i < SHAPES; i++)
        for (let j = 0; j < SHAPES; j++) {
          const [s, t] = [bent[i]!, bent[j]!];
          matrix[i * SHAPES + j]! +=
            share *
            (s[0] * t[0] +
              s[1] * t[1] +
              poisson * (s[0] * t[1] + s[1] * t[0]) +
              2 * (1 - poisson) * s[2] * t[2]);
        }
    }
  return matrix;
}
