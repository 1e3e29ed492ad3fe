/**
 * Whether a blocker ring holds the sleeve back while the speeds still differ: the torque of its cone must be more than the
 * torque with which the sleeve's pointed teeth try to turn it out of the way.
 *
 *   T_R = F·(d_C/2)·μ_C/sin α          T_Z = F·(d_Z/2)·(cos β/2 − μ_Z·sin β/2)/(sin β/2 + μ_Z·cos β/2)
 *
 * (published: Naunheimer, Bertsche, Ryborz, Novak, Automotive Transmissions, ch. 9: blocking safety.)
 */
export interface BlockerRing {
  /** m, rad, and the friction of the cone. */
  readonly coneDiameter: number;
  readonly coneAngle: number;
  readonly coneFriction: number;
  /** m where the pointed teeth meet, rad between their two flanks, and their friction. */
  readonly teethDiameter: number;
  readonly pointAngle: number;
  readonly teethFriction: number;
}

/**
 * Brass on steel, 6.5° and 115°, as small gearboxes have it (from memory). With these a ring no longer blocks when three eighths
 * of its grip are gone: at half a millimetre of gap, where the trade has its limit.
 */
export const USUAL_RING: BlockerRing = {
  coneDiameter: 0.07,
  coneAngle: (6.5 * Math.PI) / 180,
  coneFriction: 0.11,
  teethDiameter: 0.082,
  pointAngle: (115 * Math.PI) / 180,
  teethFriction: 0.09,
};

/** N·m of the cone for each newton at the sleeve. */
export const coneTorque = ({ coneDiameter, coneAngle, coneFriction }: BlockerRing): number =>
  (coneDiameter / 2) * (coneFriction / Math.sin(coneAngle));

/** N·m with which the points turn the ring aside, for each newton at the sleeve. */
export function pointsTorque({ teethDiameter, pointAngle, teethFriction }: BlockerRing): number {
  const half = pointAngle / 2;
  const slope =
    (Math.cos(half) - teethFriction * Math.sin(half)) /
    (Math.sin(half) + teethFriction * Math.cos(half));
  return (teethDiameter / 2) * slope;
}

/** Above 1 it holds the sleeve back until the speeds have met; below, the sleeve goes through and grinds. */
export const blockingSafety = (ring: BlockerRing): number => coneTorque(ring) / pointsTorque(ring);

/** Share of the cone's friction that may be gone before the ring no longer blocks. */
export const blocksUntil = (ring: BlockerRing): number => Math.max(0, 1 - 1 / blockingSafety(ring));
