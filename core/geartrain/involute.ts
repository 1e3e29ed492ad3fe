import { findRoot } from '../numerics';

/**
 * Involute tooth outlines on the basic rack of ISO 53 (published: ISO 53:1998, profile A: pressure angle
 * 20°, addendum 1 m, dedendum 1.25 m, root fillet radius 0.38 m). Lengths are in modules, angles in rad.
 *
 * External gears are the envelope of the rack: an involute above, the fillet's trochoid below (undercut
 * included; Litvin & Fuentes, Gear Geometry and Applied Theory, ch. 6). Internal gears have the spaces of an
 * external gear's teeth, their tips shortened where they would reach below a pinion's involute.
 *
 * An external outline has a tooth centred on angle 0; so has an internal one.
 */
export const PRESSURE_ANGLE = (20 * Math.PI) / 180;
export const ADDENDUM = 1;
export const DEDENDUM = 1.25;
export const FILLET_RADIUS = 0.38;
/** Total play at the pitch circles of two gears in mesh that this project draws with. */
export const BACKLASH = 0.06;

const TAN = Math.tan(PRESSURE_ANGLE);
const COS = Math.cos(PRESSURE_ANGLE);
const SIN = Math.sin(PRESSURE_ANGLE);
const POINTS_PER_FILLET = 7;
const POINTS_PER_FLANK = 8;
const NARROWEST_TIP = 0.12;

export interface Point {
  readonly x: number;
  readonly y: number;
}

/** inv α = tan α − α. */
export const involute = (angle: number): number => Math.tan(angle) - angle;

export const pitchRadius = (teeth: number): number => teeth / 2;
export const baseRadius = (teeth: number): number => pitchRadius(teeth) * COS;

/**
 * Angle from a tooth's centre line to its involute flank at a radius (ISO 21771: ψ = ψ_pitch + inv α − inv α_r).
 * @param radius at least the base radius
 * @param thickness tooth thickness along the pitch circle, modules
 */
export function flankAngle(teeth: number, radius: number, thickness: number): number {
  const ratio = Math.min(1, baseRadius(teeth) / radius);
  return thickness / teeth + involute(PRESSURE_ANGLE) - involute(Math.acos(ratio));
}

/** Tooth thickness along the pitch circle once backlash is shared between the two gears. */
export const pitchThickness = (backlash: number): number => Math.PI / 2 - backlash / 2;

interface HalfPoint {
  readonly radius: number;
  /** Angle from the tooth's centre line. */
  readonly half: number;
}

export interface ToothForm {
  /** One side of a tooth from root to tip. */
  readonly side: readonly HalfPoint[];
  /** Where the involute begins. */
  readonly formRadius: number;
  readonly rootRadius: number;
  readonly tipRadius: number;
}

/** One tooth of an external gear. @param teeth whole, at least 6 */
export function externalTooth(teeth: number, backlash: number = BACKLASH): ToothForm {
  const thickness = pitchThickness(backlash);
  const fillet = filletCurve(teeth, backlash);
  const base = baseRadius(teeth);
  const spaceAt = (r: number) => Math.PI / teeth - flankAngle(teeth, r, thickness);
  const undercut = pitchRadius(teeth) * SIN < (DEDENDUM - FILLET_RADIUS) / SIN + FILLET_RADIUS;
  let formRadius = fillet.endRadius;
  if (undercut) {
    // The trochoid cuts the involute: find where both leave the same space.
    const apart = (r: number) => spaceAt(r) - fillet.spaceAt(r);
    formRadius = findRoot(apart, base, fillet.endRadius, NEAR).x;
  }
  const tipRadius = tipWithLand(teeth, thickness);
  const rootRadius = pitchRadius(teeth) - DEDENDUM;
  const side: HalfPoint[] = [];
  for (let k = 0; k < POINTS_PER_FILLET; k++) {
    const share = (k / POINTS_PER_FILLET) ** 1.5;
    const radius = rootRadius + (formRadius - rootRadius) * share;
    side.push({ radius, half: Math.PI / teeth - fillet.spaceAt(radius) });
  }
  for (let k = 0; k <= POINTS_PER_FLANK; k++) {
    const radius = formRadius + (tipRadius - formRadius) * (k / POINTS_PER_FLANK);
    side.push({ radius, half: flankAngle(teeth, radius, thickness) });
  }
  return { side, formRadius, rootRadius, tipRadius };
}

/** Modules to which a place on a flank is found. */
const NEAR = 1e-13;

/** The standard tip, lowered where the flanks would meet before it. */
function tipWithLand(teeth: number, thickness: number): number {
  const standard = pitchRadius(teeth) + ADDENDUM;
  const over = (r: number) => 2 * r * flankAngle(teeth, r, thickness) - NARROWEST_TIP;
  return over(standard) >= 0 ? standard : findRoot(over, pitchRadius(teeth), standard, NEAR).x;
}

/**
 * The root fillet as the rack's round corner cuts it. With the corner's centre at depth d, a distance s
 * past the line of centres, the contact lies on the line from the pitch point through that centre.
 */
function filletCurve(
  teeth: number,
  backlash: number,
): { spaceAt(radius: number): number; endRadius: number } {
  const pitch = pitchRadius(teeth);
  const depth = DEDENDUM - FILLET_RADIUS;
  const cornerOffset = Math.PI / 4 + backlash / 4 - depth * TAN - FILLET_RADIUS / COS;
  const at = (s: number) => {
    const length = Math.hypot(s, depth);
    const x = s + (FILLET_RADIUS * s) / length;
    const y = pitch - depth - (FILLET_RADIUS * depth) / length;
    return { radius: Math.hypot(x, y), space: Math.atan2(x, y) - (s - cornerOffset) / pitch };
  };
  const last = depth / TAN;
  const spaceAt = (radius: number) =>
    at(findRoot((s) => at(s).radius - radius, 0, last, NEAR).x).space;
  return { spaceAt, endRadius: at(last).radius };
}

/**
 * One tooth of an internal gear, from root (outside) to tip (inside).
 * @param pinionTeeth the gear that rolls in it, which limits how far the tips may reach in
 */
export function internalTooth(
  teeth: number,
  pinionTeeth: number,
  backlash: number = BACKLASH,
): ToothForm {
  const spaceThickness = Math.PI / 2 + backlash / 2;
  const rootRadius = pitchRadius(teeth) + DEDENDUM;
  const tipRadius = internalTipRadius(teeth, pinionTeeth, backlash);
  const side: HalfPoint[] = [];
  const count = POINTS_PER_FLANK + 3;
  for (let k = 0; k <= count; k++) {
    const radius = rootRadius + (tipRadius - rootRadius) * (k / count);
    side.push({ radius, half: Math.PI / teeth - flankAngle(teeth, radius, spaceThickness) });
  }
  return { side, formRadius: tipRadius, rootRadius, tipRadius };
}

/** Standard tip, unless it would touch the pinion below its involute (length along the line of action). */
function internalTipRadius(teeth: number, pinionTeeth: number, backlash: number): number {
  const distance = (teeth - pinionTeeth) / 2;
  const { formRadius } = externalTooth(pinionTeeth, backlash);
  const pinionPart = Math.sqrt(Math.max(0, formRadius ** 2 - baseRadius(pinionTeeth) ** 2));
  const limit = Math.hypot(baseRadius(teeth), distance * SIN + pinionPart);
  return Math.max(pitchRadius(teeth) - ADDENDUM, baseRadius(teeth), limit);
}

/** The closed outline of a gear, counter-clockwise; for an internal gear, of the hole. */
export function gearOutline(teeth: number, form: ToothForm): Point[] {
  const points: Point[] = [];
  for (let k = 0; k < teeth; k++) {
    const centre = (2 * Math.PI * k) / teeth;
    for (const { radius, half } of form.side) points.push(polar(radius, centre - half));
    for (let j = form.side.length - 1; j >= 0; j--) {
      const { radius, half } = form.side[j]!;
      points.push(polar(radius, centre + half));
    }
  }
  return points;
}

export const polar = (radius: number, angle: number): Point => ({
  x: radius * Math.cos(angle),
  y: radius * Math.sin(angle),
});
