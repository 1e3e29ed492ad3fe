import type { ClutchPack, Plate } from './clutchPack';

/**
 * Temperature across a pack while it slips: one-dimensional conduction along the axis through every plate, heat
 * made at each rubbing face (derived here from Fourier's law; implicit Euler on finite volumes, tridiagonal).
 *
 *   ρ·c·∂ϑ/∂t = ∂/∂x(k·∂ϑ/∂x) + q_face
 *
 * Each face gives the same torque, so the same share of the heat; how much goes to the steel and how much to the
 * lining follows from conduction. The outsides give heat to the oil. Heat is per m² of facing, 1-D; oil in the
 * grooves is left out, so temperatures are those of the first second, on the high side.
 */
export interface HeatInput {
  /** J rubbed in by all faces together up to a time (s): each step takes exactly what falls into it. */
  readonly heatUntil: (time: number) => number;
  readonly seconds: number;
  /** s. */
  readonly step: number;
  /** °C at the start and of the oil. */
  readonly startC: number;
}

export interface PlateHeat {
  readonly id: string;
  /** Hottest that any place of it got, and its mean at the end, °C. */
  readonly peakC: number;
  readonly meanC: number;
}

export interface PackHeat {
  readonly plates: readonly PlateHeat[];
  /** Along the stack at the hottest moment: place (m from the piston) and °C. */
  readonly profile: readonly { readonly x: number; readonly celsius: number }[];
  /** The hottest place of a steel, °C, and which. */
  readonly peakC: number;
  readonly hottest: string | null;
  /** The hottest place of the whole pack at each step. */
  readonly course: readonly { readonly time: number; readonly celsius: number }[];
  /** J put in, kept and given to the oil, over the whole pack. */
  readonly energy: { readonly heat: number; readonly kept: number; readonly toOil: number };
}

interface Material {
  /** W/(m·K). */
  readonly conductivity: number;
  /** J/(m³·K). */
  readonly capacity: number;
}
/** Plain steel, and paper lining soaked with oil (memory). */
const STEEL: Material = { conductivity: 46, capacity: 7850 * 480 };
const LINING: Material = { conductivity: 0.24, capacity: 1100 * 1600 };
/** W/(m²·K) to oil and piston at the outsides (memory). */
const OUTSIDE = 250;
/** A steel is cut at least so often, and so that no cell is thicker than this, m. */
const STEEL_CELLS = 6;
const STEEL_CELL = 3.5e-4;
const LINING_CELLS = 4;
/** Part of a step that is only rounding. */
const WHOLE = 1e-9;

interface Cell {
  readonly plate: number;
  readonly width: number;
  readonly of: Material;
}

function cellsOf(pack: ClutchPack): Cell[] {
  const cells: Cell[] = [];
  const layer = (plate: number, thickness: number, of: Material, count: number) => {
    for (let k = 0; k < count; k++) cells.push({ plate, width: thickness / count, of });
  };
  pack.stack.forEach((p: Plate, plate) => {
    if (p.kind !== 'friction')
      return layer(
        plate,
        p.thickness,
        STEEL,
        Math.max(STEEL_CELLS, Math.ceil(p.thickness / STEEL_CELL)),
      );
    layer(plate, pack.lining, LINING, LINING_CELLS);
    layer(plate, p.thickness - 2 * pack.lining, STEEL, LINING_CELLS);
    layer(plate, pack.lining, LINING, LINING_CELLS);
  });
  return cells;
}

/** @throws Error when step or duration is not above zero */
export function packHeat(pack: ClutchPack, input: HeatInput): PackHeat {
  if (!(input.step > 0) || !(input.seconds > 0))
    throw new Error('packHeat: expected a step and a duration');
  const { faces, stack } = pack;
  const area = Math.PI * (faces.outerRadius ** 2 - faces.innerRadius ** 2);
  const cells = cellsOf(pack);
  const n = cells.length;
  const isFace = (k: number): boolean => {
    const [a, b] = [stack[cells[k]!.plate]!, stack[cells[k + 1]!.plate]!];
    return (
      cells[k]!.plate !== cells[k + 1]!.plate && (a.kind === 'friction') !== (b.kind === 'friction')
    );
  };
  const faceAfter = cells.slice(0, -1).map((_c, k) => isFace(k));
  const count = Math.max(1, faceAfter.filter(Boolean).length);
  // Conductance between the middles of neighbours, W/(m²·K); the heat of a face enters at the border between them.
  const half = cells.map((c) => c.width / 2 / c.of.conductivity);
  const between = cells.slice(0, -1).map((_c, k) => 1 / (half[k]! + half[k + 1]!));
  const outer = [1 / (half[0]! + 1 / OUTSIDE), 1 / (half[n - 1]! + 1 / OUTSIDE)] as const;
  const stored = Float64Array.from(cells, (c) => (c.width * c.of.capacity) / input.step);
  const outside = (k: number) => (k === 0 ? outer[0] : 0) + (k === n - 1 ? outer[1] : 0);
  // A face's heat parts as the resistances on both sides of it tell: shares of the flux that each cell takes.
  const share = (k: number, other: number) => half[other]! / (half[other]! + half[k]!);
  const takes = Float64Array.from(
    cells,
    (_c, k) =>
      (k > 0 && faceAfter[k - 1] ? share(k, k - 1) : 0) +
      (k < n - 1 && faceAfter[k] ? share(k, k + 1) : 0),
  );
  const system = tridiagonal(
    (k) => stored[k]! + (between[k - 1] ?? 0) + (between[k] ?? 0) + outside(k),
    (k) => -(between[k] ?? 0),
    n,
  );
  const toOil = Float64Array.from(cells, (_c, k) => outside(k) * input.startC);
  const t = new Float64Array(n).fill(input.startC);
  const peak = new Float64Array(stack.length).fill(input.startC);
  let hottest = { celsius: -Infinity, at: t.slice() };
  const energy = { heat: 0, kept: 0, toOil: 0 };
  const course: { time: number; celsius: number }[] = [];
  const steps = Math.ceil(input.seconds / input.step - WHOLE);
  const right = new Float64Array(n);
  let given = 0;
  for (let s = 1; s <= steps; s++) {
    const until = input.heatUntil(Math.min(input.seconds, s * input.step));
    const flux = (until - given) / input.step / area / count;
    given = until;
    for (let k = 0; k < n; k++) right[k] = stored[k]! * t[k]! + toOil[k]! + flux * takes[k]!;
    system(right, t);
    energy.heat += flux * area * count * input.step;
    energy.toOil +=
      area *
      input.step *
      (outer[0] * (t[0]! - input.startC) + outer[1] * (t[n - 1]! - input.startC));
    let top = -Infinity;
    for (let k = 0; k < n; k++) {
      // At the face itself it is hotter than in the middle of the cell beside it.
      const here = t[k]! + flux * takes[k]! * half[k]!;
      const { plate } = cells[k]!;
      if (here > peak[plate]!) peak[plate] = here;
      if (here > top) top = here;
    }
    course.push({ time: Math.min(input.seconds, s * input.step), celsius: top });
    if (top > hottest.celsius) hottest = { celsius: top, at: t.slice() };
  }
  cells.forEach((c, k) => {
    energy.kept += area * c.width * c.of.capacity * (t[k]! - input.startC);
  });
  const mean = (plate: number): number => {
    const own = cells.flatMap((c, k) => (c.plate === plate ? [t[k]!] : []));
    return own.reduce((a, b) => a + b, 0) / own.length;
  };
  const plates = stack.map((p, k) => ({ id: p.id, peakC: peak[k]!, meanC: mean(k) }));
  const metal = plates.filter((_p, k) => stack[k]!.kind !== 'friction');
  const top = metal.reduce<PlateHeat | null>((a, b) => (!a || b.peakC > a.peakC ? b : a), null);
  return {
    plates,
    profile: profileOf(cells, hottest.at),
    peakC: top?.peakC ?? input.startC,
    hottest: top?.id ?? null,
    course,
    energy,
  };
}

function profileOf(cells: readonly Cell[], t: Float64Array): PackHeat['profile'] {
  let x = 0;
  return cells.map((c, k) => {
    const at = { x: x + c.width / 2, celsius: t[k]! };
    x += c.width;
    return at;
  });
}

/**
 * Thomas's algorithm (any numerical text) for a symmetric matrix, eliminated once; then each right side (overwritten)
 * takes one sweep down and one up.
 */
function tridiagonal(main: (k: number) => number, beside: (k: number) => number, n: number) {
  const off = Float64Array.from({ length: n }, (_v, k) => (k < n - 1 ? beside(k) : 0));
  const pivot = new Float64Array(n);
  for (let k = 0; k < n; k++)
    pivot[k] = main(k) - (k > 0 ? (off[k - 1]! * off[k - 1]!) / pivot[k - 1]! : 0);
  return (right: Float64Array, out: Float64Array): void => {
    for (let k = 1; k < n; k++)
      right[k] = right[k]! - (off[k - 1]! / pivot[k - 1]!) * right[k - 1]!;
    out[n - 1] = right[n - 1]! / pivot[n - 1]!;
    for (let k = n - 2; k >= 0; k--) out[k] = (right[k]! - off[k]! * out[k + 1]!) / pivot[k]!;
  };
}

/**
 * Heat of one engagement up to a time, J: it brings two inertias together at steady torque, so power falls in a straight
 * line to nothing (`½·I·Δω²` in all; Shigley's chapter on clutches).
 * @param joules all of the heat @param seconds of slip
 */
export const steadyEngagement =
  (joules: number, seconds: number) =>
  (time: number): number => {
    const done = Math.min(1, time / seconds);
    return joules * done * (2 - done);
  };
