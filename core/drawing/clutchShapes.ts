/**
 * Outlines of the parts of a dry clutch cut along its shaft, upper half, in the drawing's own mm (derived here). What is
 * bent from sheet or tapers is a line with a thickness; what is turned is a profile. The parts that move are given
 * where they stand; nothing here knows how far that is.
 */
export interface Place {
  readonly x: number;
  readonly y: number;
}

export type ClutchPartName =
  | 'crank'
  | 'flywheel'
  | 'ring-gear'
  | 'bolt'
  | 'cover'
  | 'strap'
  | 'plate'
  | 'disc'
  | 'facing'
  | 'cushion'
  | 'retainer'
  | 'hub'
  | 'spring'
  | 'pivot-ring'
  | 'race'
  | 'bearing'
  | 'ball'
  | 'sleeve'
  | 'tube'
  | 'fork'
  | 'pedal'
  | 'shaft';

export interface ClutchShape {
  readonly part: ClutchPartName;
  /** A closed outline, or an open line where `open`. */
  readonly points: readonly Place[];
  readonly open?: boolean;
}

/** A closed outline along a line, so wide at each of its points: half to either side. */
export function thickened(line: readonly Place[], widths: readonly number[]): Place[] {
  const side = (sign: 1 | -1) =>
    line.map((p, k): Place => {
      const [a, b] = [line[Math.max(0, k - 1)]!, line[Math.min(line.length - 1, k + 1)]!];
      const length = Math.hypot(b.x - a.x, b.y - a.y) || 1;
      const half = (sign * widths[k]!) / 2;
      return { x: p.x - (half * (b.y - a.y)) / length, y: p.y + (half * (b.x - a.x)) / length };
    });
  return [...side(1), ...side(-1).reverse()];
}

const ROUND = 18;

export const disk = (x: number, y: number, radius: number): Place[] =>
  Array.from({ length: ROUND }, (_v, k) => ({
    x: x + radius * Math.cos((2 * Math.PI * k) / ROUND),
    y: y + radius * Math.sin((2 * Math.PI * k) / ROUND),
  }));

export const box = (x: number, y: number, width: number, height: number): Place[] => [
  { x, y },
  { x: x + width, y },
  { x: x + width, y: y + height },
  { x, y: y + height },
];

const at = (...pairs: readonly (readonly [number, number])[]): Place[] =>
  pairs.map(([x, y]) => ({ x, y }));

const shape = (part: ClutchPartName, points: Place[]): ClutchShape => ({ part, points });

interface Frame {
  /** y of the centreline, and of the facing's outer and inner radius. */
  readonly base: number;
  readonly outer: number;
  readonly inner: number;
  /** x of the flywheel's face. */
  readonly face: number;
}

/** Rim with its toothed ring, friction face, web and the bolts on the crankshaft's flange; the pilot bearing in its bore. */
export function flywheelShapes({ base, outer, inner, face }: Frame): ClutchShape[] {
  return [
    shape('crank', box(0, base - 46, 12, 46)),
    shape(
      'flywheel',
      at(
        [face, outer - 17],
        [face, inner + 8],
        [face - 9, inner + 15],
        [face - 9, base - 22],
        [12, base - 22],
        [12, base - 56],
        [24, base - 64],
        [24, outer + 34],
        [16, outer + 24],
        [16, outer - 17],
      ),
    ),
    shape('ring-gear', box(18, outer - 22, 17, 8)),
    shape(
      'bolt',
      at(
        [6, base - 43],
        [30, base - 43],
        [30, base - 46],
        [34, base - 46],
        [34, base - 36],
        [30, base - 36],
        [30, base - 39],
        [6, base - 39],
      ),
    ),
    shape('race', box(face - 19, base - 22, 9, 14)),
  ];
}

/** Two facings on a waved cushion, the disc with windows for its springs between two retainers, and a splined hub. */
export function discShapes(
  { base, outer, inner }: Frame,
  { first, facing, core, steel, second, open }: DiscPlaces,
): ClutchShape[] {
  const middle = core + steel / 2;
  const waves = 7;
  const wave = Array.from({ length: 4 * waves + 1 }, (_v, k): Place => ({
    x: middle + (steel / 2 + open / 2) * 0.82 * Math.sin((Math.PI * k) / 2),
    y: outer + 3 + ((inner - outer - 6) * k) / (4 * waves),
  }));
  const window = { top: inner + 9, bottom: inner + 24 };
  return [
    shape('facing', box(first, outer, facing, inner - outer)),
    shape('facing', box(second, outer, facing, inner - outer)),
    { part: 'cushion', open: true, points: wave },
    shape('disc', box(core, inner - 6, steel, window.top - inner + 6)),
    shape('disc', box(core, window.bottom, steel, base - 34 - window.bottom)),
    shape('retainer', box(core - 6, inner + 3, 2.4, base - 42 - inner)),
    shape('retainer', box(core + steel + 3.6, inner + 3, 2.4, base - 42 - inner)),
    shape(
      'hub',
      at(
        [core - 12, base - 11],
        [core - 12, base - 24],
        [core - 1, base - 26],
        [core, base - 36],
        [core + steel, base - 36],
        [core + steel + 1, base - 26],
        [core + steel + 14, base - 24],
        [core + steel + 14, base - 11],
      ),
    ),
  ];
}

export interface DiscPlaces {
  readonly first: number;
  readonly facing: number;
  readonly core: number;
  readonly steel: number;
  readonly second: number;
  /** How far the cushion holds the facings apart. */
  readonly open: number;
}

/** Input shaft: nose in the pilot bearing, splines under the hub, then on into the gearbox under its guide tube. */
export const shaftShapes = (
  { base, face }: Frame,
  hubEnd: number,
  tubeFrom: number,
): ClutchShape[] => [
  shape(
    'shaft',
    at(
      [face - 22, base],
      [face - 22, base - 8],
      [face - 2, base - 8],
      [face - 2, base - 11],
      [hubEnd + 4, base - 11],
      [hubEnd + 6, base - 9.5],
      [tubeFrom + 92, base - 9.5],
      [tubeFrom + 92, base],
    ),
  ),
  shape('tube', box(tubeFrom, base - 13, 92, 2.6)),
];

/** A turned plate with its friction face, the ring on which the spring sits, and a lug for the straps. */
export function plateShapes(
  { outer, inner }: Frame,
  x: number,
  width: number,
  seatY: number,
): ClutchShape[] {
  const back = x + width;
  return [
    shape(
      'plate',
      at(
        [x, outer - 3],
        [x, inner + 3],
        [x + 7, inner + 7],
        [back - 7, inner + 7],
        [back - 5, seatY + 9],
        [back - 4, seatY + 4],
        [back, seatY + 2.5],
        [back, seatY - 2.5],
        [back - 4, seatY - 4],
        [back - 6, outer + 3],
        [back - 6, outer - 3],
      ),
    ),
  ];
}

/** Pressed steel from its bolted flange over the plate to the spring's fulcrum. */
export function coverShapes({ outer, face }: Frame, coverX: number, pivot: Place): ClutchShape[] {
  const line = at(
    [face + 1.6, outer - 20],
    [face + 1.6, outer - 13],
    [face + 5, outer - 10.5],
    [coverX - 5, outer - 10.5],
    [coverX - 1, outer - 7],
    [coverX, outer - 1],
    [coverX, pivot.y - 4],
    [coverX - 1.5, pivot.y + 5],
  );
  return [
    shape(
      'cover',
      thickened(
        line,
        line.map(() => 3),
      ),
    ),
    shape(
      'bolt',
      at(
        [face - 10, outer - 19],
        [face + 4, outer - 19],
        [face + 4, outer - 21],
        [face + 8, outer - 21],
        [face + 8, outer - 13],
        [face + 4, outer - 13],
        [face + 4, outer - 15],
        [face - 10, outer - 15],
      ),
    ),
  ];
}

/** A leaf from the cover's flange to the plate's lug: it bends as the plate moves, and pulls it back. */
export function strapShape(
  { outer, face }: Frame,
  plateX: number,
  plateWidth: number,
): ClutchShape {
  const [from, to] = [face + 7, plateX + plateWidth - 8];
  const steps = 8;
  const line = Array.from({ length: steps + 1 }, (_v, k): Place => {
    const share = k / steps;
    const bow = share * share * (3 - 2 * share);
    return { x: from + (to - from) * share, y: outer - 6.8 + 3.2 * bow };
  });
  return shape(
    'strap',
    thickened(
      line,
      line.map(() => 1.3),
    ),
  );
}

/**
 * A diaphragm's finger from the plate's seat over its fulcrum to the tip, or a forged lever: thickest where it is bent
 * most, thin at the tip, which turns up to meet the bearing.
 */
export function fingerShapes(
  diaphragm: boolean,
  seat: Place,
  pivot: Place,
  tip: Place,
): ClutchShape[] {
  const steps = 9;
  const bow = diaphragm ? 2.6 : 0;
  const length = Math.hypot(tip.x - pivot.x, tip.y - pivot.y) || 1;
  const normal = { x: (tip.y - pivot.y) / length, y: -(tip.x - pivot.x) / length };
  const inner = Array.from({ length: steps + 1 }, (_v, k): Place => {
    const share = k / steps;
    const off = bow * Math.sin(Math.PI * share) * (1 - 0.4 * share);
    return {
      x: pivot.x + (tip.x - pivot.x) * share + normal.x * off,
      y: pivot.y + (tip.y - pivot.y) * share + normal.y * off,
    };
  });
  const line = [seat, ...inner];
  const widths = line.map((_p, k) =>
    diaphragm ? (k < 2 ? 3.4 : 3.6 - 0.18 * k) : k < 2 ? 5 : 5.4 - 0.24 * k,
  );
  const across = (off: number): Place => ({ x: pivot.x + off, y: pivot.y });
  return [
    shape('spring', thickened(line, widths)),
    ...(diaphragm
      ? [across(-3.6), across(3.6)].map((p) => shape('pivot-ring', disk(p.x, p.y, 1.9)))
      : [shape('pivot-ring', disk(pivot.x, pivot.y, 2.6))]),
  ];
}

/** A release bearing: the race that turns with the fingers, its balls, the race that does not, on a sleeve. */
export function bearingShapes(x: number, top: number, base: number): ClutchShape[] {
  const bottom = base - 16;
  const mid = top + (bottom - top) * 0.42;
  return [
    shape(
      'sleeve',
      at(
        [x + 6, bottom + 2.6],
        [x + 6, mid + 9],
        [x + 12, mid + 9],
        [x + 12, top + 3],
        [x + 17, top + 3],
        [x + 17, bottom - 3],
        [x + 26, bottom - 3],
        [x + 26, bottom + 2.6],
      ),
    ),
    shape(
      'bearing',
      at(
        [x, top + 3],
        [x + 2, top],
        [x + 8, top],
        [x + 8, mid - 4],
        [x + 5, mid - 1],
        [x + 5, mid + 5],
        [x, mid + 5],
      ),
    ),
    shape('ball', disk(x + 8.6, mid, 3.5)),
  ];
}

/** A forged lever, thickest at its ball. */
export const forkShape = (inner: Place, pivot: Place, end: Place): ClutchShape =>
  shape('fork', thickened([inner, pivot, end], [4, 7, 4.4]));

/** A pressed arm. */
export const pedalArm = (top: Place, pivot: Place, pad: Place): ClutchShape =>
  shape('pedal', thickened([top, pivot, pad], [4, 6.4, 4.4]));
