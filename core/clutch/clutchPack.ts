import { frictionAt, frictionTorque, meanRadius, type Friction, type WearTheory } from './facing';

/**
 * A wet pack of plates as people exchange it: a clutch or brake of an automatic unit. Its schema is
 * `formats/clutchPackV1.ts`. Lengths m, SI throughout. The stack runs from the piston to the snap ring.
 */
export type PlateKind = 'cushion' | 'steel' | 'friction' | 'end-plate';

export interface Plate {
  id: string;
  kind: PlateKind;
  thickness: number;
  /** Free height above its thickness of a waved or dished plate, m. */
  wave?: number;
}

export interface ClutchPack {
  format: 'fair-sprocket/clutch-pack';
  version: 1;
  id: string;
  name: string;
  /** Markdown. */
  notes?: string;
  piston: { outerRadius: number; innerRadius: number; returnForce: number };
  /** Pa of the apply pressure. */
  pressure: number;
  faces: { outerRadius: number; innerRadius: number; friction: Friction; theory: WearTheory };
  /** Of each side of a friction plate, m; the rest of its thickness is steel. */
  lining: number;
  stack: Plate[];
  /** From the piston's face (at rest) to the far side of the ring's groove, m. */
  depth: number;
  /** `bears`: share of the groove's round that has a wall (a drum with lugs has gaps); left out, all of it. */
  ring: { diameter: number; thickness: number; grooveDepth: number; bears?: number };
  /** Plates or rings that can be bought, thinnest first. */
  selective: { part: 'end-plate' | 'ring'; thicknesses: number[] };
  /** Clearance that the maker asks for, m, as it reads by the way of measuring. */
  clearance: [number, number];
  /** How the maker measures it; left out, with the cushion plate pressed flat. */
  measured?: Measured;
  /** Of a pack in a drum that turns; left out, it stands (a brake). */
  rotation?: PackRotation;
}

/** What turns with a pack: see `centrifugal.ts`. */
export interface PackRotation {
  /** m from the axis at which the apply oil comes in: its free surface when the feed is open. */
  feedRadius: number;
  /** Oil on the other side of the piston, m. */
  balance?: { outerRadius: number; innerRadius: number; fillRadius: number };
  /** A ball that opens when the pressure is gone. */
  bleedBall?: boolean;
  /** rev/min that the drum turns with at most. */
  mostRpm: number;
}

/**
 * How clearance is measured: the cushion plate `pressed` flat by the hand that pushes, `free` under its own wave, or left
 * `out` of the stack while the gauge is in.
 */
export type Measured = 'pressed' | 'free' | 'out';
export const MEASURED: readonly Measured[] = ['pressed', 'free', 'out'];

/** N of the pressure less the return spring; below zero while that is stronger. */
export const netPistonForce = ({ piston }: ClutchPack, pressure: number): number =>
  pressure * Math.PI * (piston.outerRadius ** 2 - piston.innerRadius ** 2) - piston.returnForce;

/** N with which the piston presses the plates, its drum standing. */
export const pistonForce = (pack: ClutchPack, pressure: number): number =>
  Math.max(0, netPistonForce(pack, pressure));

/** Faces that rub: each side of a friction plate that lies against metal other than the piston. */
export function rubbingFaces({ stack }: Pick<ClutchPack, 'stack'>): number {
  let faces = 0;
  for (let k = 0; k + 1 < stack.length; k++)
    if ((stack[k]!.kind === 'friction') !== (stack[k + 1]!.kind === 'friction')) faces++;
  return faces;
}

export const packRadius = ({ faces }: ClutchPack): number =>
  meanRadius(faces.outerRadius, faces.innerRadius, faces.theory);

/** N·m before it slips, and while it slips (rad/s), warm, its drum standing. */
export const packTorque = (pack: ClutchPack, pressure: number, slip = 0, celsius = 90): number =>
  torqueUnder(pack, pistonForce(pack, pressure), slip, celsius);

/** N·m under a force on the plates. @param force N */
export function torqueUnder(pack: ClutchPack, force: number, slip = 0, celsius = 90): number {
  const radius = packRadius(pack);
  const mu = frictionAt(pack.faces.friction, slip * radius, celsius);
  return frictionTorque(rubbingFaces(pack), mu, force, radius);
}

/** Height of the plates pressed together, m. */
export const stackHeight = ({ stack }: Pick<ClutchPack, 'stack'>): number =>
  stack.reduce((sum, plate) => sum + plate.thickness, 0);

/** How far the piston moves until all is pressed flat, m: below zero it can't be built. */
export const packClearance = (pack: ClutchPack): number =>
  pack.depth - pack.ring.thickness - stackHeight(pack);

const wavesOf = ({ stack }: Pick<ClutchPack, 'stack'>): number =>
  stack.reduce((sum, p) => sum + (p.wave ?? 0), 0);

export const measuredIn = ({ measured }: ClutchPack): Measured => measured ?? 'pressed';

/** What a feeler gauge reads between end plate (pushed down) and ring (pushed up), m, by each way of measuring. */
export function gaugeReading(pack: ClutchPack, measured: Measured = measuredIn(pack)): number {
  const flat = packClearance(pack);
  switch (measured) {
    case 'pressed':
      return flat;
    case 'free':
      return flat - wavesOf(pack);
    case 'out':
      return (
        flat + pack.stack.reduce((sum, p) => sum + (p.kind === 'cushion' ? p.thickness : 0), 0)
      );
  }
}

/** Whether another way of measuring would tell another verdict of the same stack. */
export const measuringDecides = (pack: ClutchPack): boolean =>
  MEASURED.some((way) => withinWindow(pack, gaugeReading(pack, way)) !== fits(pack));

const withinWindow = ({ clearance }: ClutchPack, reading: number): boolean =>
  reading >= clearance[0] - HAIR && reading <= clearance[1] + HAIR;

/** The clearance is what the maker asks for. */
export const fits = (pack: ClutchPack): boolean => withinWindow(pack, gaugeReading(pack));

/**
 * How far the piston travels, m: to where it first feels the plates, and to where they are pressed flat. Between the two
 * a waved or dished plate takes the force up gently.
 */
export function applyTravel(pack: ClutchPack): { touches: number; clamped: number } {
  const clamped = Math.max(0, packClearance(pack));
  return { touches: Math.max(0, clamped - wavesOf(pack)), clamped };
}

/** The part that brings the clearance nearest to the middle of its window, and the clearance it gives. */
export interface SelectiveChoice {
  readonly thickness: number;
  readonly clearance: number;
  readonly inside: boolean;
}

/** Every selective part with the clearance that it would give, in the order of the list. */
export function selectiveChoices(pack: ClutchPack): SelectiveChoice[] {
  const now = selectiveNow(pack);
  return pack.selective.thicknesses.map((thickness) => {
    const clearance = gaugeReading(pack) + now - thickness;
    return { thickness, clearance, inside: withinWindow(pack, clearance) };
  });
}

/** A hair, m: sums of thicknesses in binary. */
export const HAIR = 1e-9;

export const middleOf = ([least, most]: readonly [number, number]): number => (least + most) / 2;

/** The choice whose clearance lies nearest to the middle, the last of two that are equally far: sizes go up, so the tighter. */
export const nearestToMiddle = <C extends { readonly clearance: number }>(
  choices: readonly C[],
  middle: number,
): C | null =>
  choices.reduce<C | null>(
    (best, c) =>
      !best || Math.abs(c.clearance - middle) <= Math.abs(best.clearance - middle) + HAIR
        ? c
        : best,
    null,
  );

/** The best of them, the tighter of two that are equally far from the middle; `null` when there is none to choose. */
export const bestSelective = (pack: ClutchPack): SelectiveChoice | null =>
  nearestToMiddle(selectiveChoices(pack), middleOf(pack.clearance));

/** The other part that is as near to the middle as the best, on the loose side; `null` without one. */
export function equallyGood(pack: ClutchPack): SelectiveChoice | null {
  const best = bestSelective(pack);
  const off = offMiddle(pack);
  return (
    selectiveChoices(pack).find(
      (c) => best && c.thickness < best.thickness && off(c) <= off(best) + HAIR,
    ) ?? null
  );
}

const offMiddle =
  ({ clearance }: ClutchPack) =>
  (c: SelectiveChoice): number =>
    Math.abs(c.clearance - middleOf(clearance));

/** Thickness of the part that is in now, m: the ring, or the last end plate. */
export function selectiveNow({ selective, ring, stack }: ClutchPack): number {
  if (selective.part === 'ring') return ring.thickness;
  return stack.findLast((p) => p.kind === 'end-plate')?.thickness ?? 0;
}

/** The pack with another selective part. */
export function withSelective(pack: ClutchPack, thickness: number): ClutchPack {
  if (pack.selective.part === 'ring') return { ...pack, ring: { ...pack.ring, thickness } };
  const at = pack.stack.findLastIndex((p) => p.kind === 'end-plate');
  return { ...pack, stack: pack.stack.map((p, k) => (k === at ? { ...p, thickness } : p)) };
}

/** Pa that the wall of the ring's groove bears safely: half the yield of a soft steel drum (memory). */
const GROOVE_STRESS = 120e6;

/** N that the snap ring's groove bears: its wall under the ring, F = π·D·d·σ (usual of ring makers; memory), where it is. */
export const grooveLoad = ({ ring }: ClutchPack): number =>
  Math.PI * ring.diameter * ring.grooveDepth * (ring.bears ?? 1) * GROOVE_STRESS;

/** Share of the end plate's thickness over its span between friction's mean radius and ring from which it stays flat. */
const END_PLATE_SHARE = 0.12;

/** m that an end plate needs so as not to bulge between the ring's ends (common practice: a share of its span). */
export const endPlateNeeded = (pack: ClutchPack): number =>
  END_PLATE_SHARE * (pack.ring.diameter / 2 - pack.faces.innerRadius);
