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
  ring: { diameter: number; thickness: number; grooveDepth: number };
  /** Plates or rings that can be bought, thinnest first. */
  selective: { part: 'end-plate' | 'ring'; thicknesses: number[] };
  /** Clearance that the maker asks for, m. */
  clearance: [number, number];
}

/** N with which the piston presses the plates. */
export const pistonForce = ({ piston }: ClutchPack, pressure: number): number =>
  Math.max(
    0,
    pressure * Math.PI * (piston.outerRadius ** 2 - piston.innerRadius ** 2) - piston.returnForce,
  );

/** Faces that rub: each side of a friction plate that lies against metal other than the piston. */
export function rubbingFaces({ stack }: Pick<ClutchPack, 'stack'>): number {
  let faces = 0;
  for (let k = 0; k + 1 < stack.length; k++)
    if ((stack[k]!.kind === 'friction') !== (stack[k + 1]!.kind === 'friction')) faces++;
  return faces;
}

export const packRadius = ({ faces }: ClutchPack): number =>
  meanRadius(faces.outerRadius, faces.innerRadius, faces.theory);

/** N·m before it slips, and while it slips (rad/s), warm. */
export function packTorque(pack: ClutchPack, pressure: number, slip = 0, celsius = 90): number {
  const radius = packRadius(pack);
  const mu = frictionAt(pack.faces.friction, slip * radius, celsius);
  return frictionTorque(rubbingFaces(pack), mu, pistonForce(pack, pressure), radius);
}

/** Height of the plates pressed together, m. */
export const stackHeight = ({ stack }: Pick<ClutchPack, 'stack'>): number =>
  stack.reduce((sum, plate) => sum + plate.thickness, 0);

/**
 * What a feeler gauge reads between end plate (pushed down) and ring (pushed up), m: below zero it can't be built.
 * A waved plate is pressed flat by the hand that pushes.
 */
export const packClearance = (pack: ClutchPack): number =>
  pack.depth - pack.ring.thickness - stackHeight(pack);

/**
 * How far the piston travels, m: to where it first feels the plates, and to where they are pressed flat. Between the two
 * a waved or dished plate takes the force up gently.
 */
export function applyTravel(pack: ClutchPack): { touches: number; clamped: number } {
  const clamped = Math.max(0, packClearance(pack));
  const waves = pack.stack.reduce((sum, p) => sum + (p.wave ?? 0), 0);
  return { touches: Math.max(0, clamped - waves), clamped };
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
  const [least, most] = pack.clearance;
  return pack.selective.thicknesses.map((thickness) => {
    const clearance = packClearance(pack) + now - thickness;
    return { thickness, clearance, inside: clearance >= least - HAIR && clearance <= most + HAIR };
  });
}

/** A hair, m: sums of thicknesses in binary. */
const HAIR = 1e-9;

/** The best of them; `null` when there is none to choose. */
export function bestSelective(pack: ClutchPack): SelectiveChoice | null {
  const middle = (pack.clearance[0] + pack.clearance[1]) / 2;
  const off = (c: SelectiveChoice) => Math.abs(c.clearance - middle);
  return selectiveChoices(pack).reduce<SelectiveChoice | null>(
    (best, c) => (!best || off(c) < off(best) ? c : best),
    null,
  );
}

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

/** N that the snap ring's groove bears: its wall under the ring, F = π·D·d·σ (usual of ring makers; memory). */
export const grooveLoad = ({ ring }: ClutchPack): number =>
  Math.PI * ring.diameter * ring.grooveDepth * GROOVE_STRESS;

/** Share of the end plate's thickness over its span between friction's mean radius and ring from which it stays flat. */
const END_PLATE_SHARE = 0.12;

/** m that an end plate needs so as not to bulge between the ring's ends (common practice: a share of its span). */
export const endPlateNeeded = (pack: ClutchPack): number =>
  END_PLATE_SHARE * (pack.ring.diameter / 2 - pack.faces.innerRadius);

export type PackFinding =
  | { readonly code: 'same-beside-same'; readonly plates: readonly [string, string] }
  | { readonly code: 'friction-at-piston' }
  | { readonly code: 'friction-at-ring' }
  | { readonly code: 'no-frictions' }
  | { readonly code: 'does-not-fit'; readonly over: number }
  | { readonly code: 'clearance-small' | 'clearance-large'; readonly clearance: number }
  | { readonly code: 'end-plate-thin'; readonly thickness: number; readonly needed: number }
  | { readonly code: 'cushion-not-first'; readonly plate: string }
  | { readonly code: 'groove-overloaded'; readonly force: number; readonly bears: number }
  | { readonly code: 'thick-not-middle'; readonly plate: string }
  | { readonly code: 'lining-over-plate'; readonly plate: string }
  | { readonly code: 'does-not-apply' };

/** Everything that is wrong or odd with a pack as it lies there. */
export function packFindings(pack: ClutchPack): PackFinding[] {
  const { stack, clearance } = pack;
  const findings: PackFinding[] = [];
  const frictions = stack.filter((p) => p.kind === 'friction');
  if (frictions.length === 0) findings.push({ code: 'no-frictions' });
  for (let k = 0; k + 1 < stack.length; k++) {
    const [a, b] = [stack[k]!, stack[k + 1]!];
    if (a.kind === b.kind) findings.push({ code: 'same-beside-same', plates: [a.id, b.id] });
  }
  if (stack[0]?.kind === 'friction') findings.push({ code: 'friction-at-piston' });
  if (stack.at(-1)?.kind === 'friction') findings.push({ code: 'friction-at-ring' });
  const room = packClearance(pack);
  if (room < 0) findings.push({ code: 'does-not-fit', over: -room });
  else if (room < clearance[0] - HAIR) findings.push({ code: 'clearance-small', clearance: room });
  else if (room > clearance[1] + HAIR) findings.push({ code: 'clearance-large', clearance: room });
  const end = stack.at(-1);
  if (end && end.kind !== 'friction' && end.thickness < endPlateNeeded(pack))
    findings.push({
      code: 'end-plate-thin',
      thickness: end.thickness,
      needed: endPlateNeeded(pack),
    });
  stack.forEach((p, k) => {
    if (p.kind === 'cushion' && k > 0) findings.push({ code: 'cushion-not-first', plate: p.id });
  });
  for (const p of frictions)
    if (2 * pack.lining >= p.thickness) findings.push({ code: 'lining-over-plate', plate: p.id });
  const force = pistonForce(pack, pack.pressure);
  if (force <= 0) findings.push({ code: 'does-not-apply' });
  if (force > grooveLoad(pack))
    findings.push({ code: 'groove-overloaded', force, bears: grooveLoad(pack) });
  const thick = thickAtTheEnds(stack);
  if (thick) findings.push({ code: 'thick-not-middle', plate: thick });
  return findings;
}

/** A steel at an end that is thicker than one nearer to the middle, where it is hottest. */
function thickAtTheEnds(stack: readonly Plate[]): string | null {
  const steels = stack.filter((p) => p.kind === 'steel');
  const middle = (steels.length - 1) / 2;
  for (const a of steels)
    for (const b of steels) {
      const further = Math.abs(steels.indexOf(a) - middle) > Math.abs(steels.indexOf(b) - middle);
      if (further && a.thickness > b.thickness + HAIR) return a.id;
    }
  return null;
}

/** What leaves nothing to compute. */
export const BROKEN_PACK: readonly PackFinding['code'][] = [
  'no-frictions',
  'lining-over-plate',
  'does-not-apply',
];
