import type { Part, PartKind, Place, StripPlan } from '../../core/assembly';

/** The stack of a unit drawn apart along its axis: one parametrised shape for each kind of part, out of the plan's places. */
export const STACK = { height: 310, axis: 146, step: 62, radius: 110 } as const;

export interface StackShape {
  readonly part: Part;
  readonly path: string;
  /** Middle of it. */
  readonly x: number;
}

export function stackOf(plan: StripPlan): { shapes: StackShape[]; width: number } {
  const first = (places: readonly Place[]) => Math.min(...places.map((p) => p.at));
  const placed = plan.parts.flatMap((part) => {
    const places = plan.places[part.id];
    return places ? [{ part, places }] : [];
  });
  placed.sort((a, b) => first(a.places) - first(b.places));
  const most = Math.max(1, ...placed.flatMap(({ places }) => places.map((p) => p.outer)));
  const shapes = placed.map(({ part, places }, k) => {
    const x = STACK.step * (k + 0.9);
    const inner = Math.max(0, Math.min(...places.map((p) => p.inner)) / most) * STACK.radius;
    const outer = (Math.max(...places.map((p) => p.outer)) / most) * STACK.radius;
    return { part, x, path: shapeOf(part.kind, x, inner, Math.max(outer, inner + 8)) };
  });
  return { shapes, width: STACK.step * (placed.length + 0.8) };
}

type Point = readonly [along: number, height: number];

/** Half above the axis and its mirror image below. */
const mirrored = (x: number, points: readonly Point[]): string =>
  [1, -1]
    .map(
      (side) =>
        `M${points.map(([along, height]) => `${(x + along).toFixed(1)} ${(STACK.axis - side * height).toFixed(1)}`).join('L')}Z`,
    )
    .join('');

const plate = (half: number, inner: number, outer: number): Point[] => [
  [-half, inner],
  [half, inner],
  [half, outer],
  [-half, outer],
];

/** A web with a rim that reaches to the rear. */
const cup = (inner: number, outer: number): Point[] => [
  [-20, inner],
  [-12, inner],
  [-12, outer - 7],
  [22, outer - 7],
  [22, outer],
  [-20, outer],
];

/** Teeth on the outside, seen from the side. */
function toothed(half: number, inner: number, outer: number): Point[] {
  const teeth = 4;
  const step = (2 * half) / (2 * teeth);
  const top = Array.from({ length: 2 * teeth + 1 }, (_, k): Point[] => {
    const along = half - k * step;
    const [from, to] = k % 2 === 0 ? [outer, outer - 4] : [outer - 4, outer];
    return [
      [along, from],
      [along, to],
    ];
  }).flat();
  return [[-half, inner], [half, inner], ...top.slice(0, -1)];
}

type Shape = (x: number, inner: number, outer: number) => string;

const cupShape: Shape = (x, inner, outer) => mirrored(x, cup(inner, outer));
const shifted = (points: readonly Point[], by: number): Point[] =>
  points.map(([along, height]) => [along + by, height]);

/** What has no shape of its own is a block of its size. */
const SHAPES: Readonly<Partial<Record<PartKind, Shape>>> = {
  drum: cupShape,
  shell: cupShape,
  hub: (x, inner, outer) =>
    mirrored(x, [
      [-6, inner],
      [6, inner],
      [6, outer - 8],
      [18, outer - 8],
      [18, outer],
      [-6, outer],
    ]),
  sun: (x, inner, outer) => mirrored(x, toothed(16, Math.max(0, inner - 4), outer)),
  ring: (x, inner, outer) => mirrored(x, plate(18, inner, outer)),
  carrier: (x, inner, outer) =>
    mirrored(x, shifted(plate(3, Math.max(6, inner - 14), outer), -18)) +
    mirrored(x, toothed(13, inner, outer)),
  'snap-ring': (x, _inner, outer) => mirrored(x, plate(3, outer - 12, outer)),
  pack: (x, inner, outer) =>
    [-14, -7, 0, 7, 14].map((by) => mirrored(x, shifted(plate(2, inner, outer), by))).join(''),
  band: (x, _inner, outer) => mirrored(x, plate(16, outer - 9, outer)),
  race: (x, inner, outer) =>
    mirrored(x, plate(13, inner, inner + 7)) +
    mirrored(x, plate(13, Math.max(inner + 11, outer - 7), Math.max(inner + 16, outer))),
  'thrust-washer': (x, inner, outer) => mirrored(x, plate(2.5, inner, Math.max(outer, inner + 14))),
  'thrust-bearing': (x, inner, outer) => {
    const top = Math.max(outer, inner + 14);
    return (
      mirrored(x, shifted(plate(1.5, inner, top), -5)) +
      mirrored(x, plate(2.5, inner + 3, top - 3)) +
      mirrored(x, shifted(plate(1.5, inner, top), 5))
    );
  },
  shaft: (x, _inner, outer) => mirrored(x, plate(26, 0, Math.min(outer, 9))),
};

const shapeOf = (kind: PartKind, x: number, inner: number, outer: number): string =>
  SHAPES[kind]?.(x, inner, outer) ?? mirrored(x, plate(12, inner, outer));
