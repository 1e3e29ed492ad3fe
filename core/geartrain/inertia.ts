import { CASE, type GearSet, type Unit } from './unit';

/**
 * Moments of inertia, kg·m², of members that don't state theirs: estimated from their teeth as plain steel gears of
 * one module and width (derived here). Good to a factor of a few, which is all that a shift or a launch needs: the
 * engine and the vehicle are far heavier.
 */
const MODULE = 2.5e-3;
const WIDTH = 25e-3;
const STEEL = 7850;
/** Wall of a ring gear, in modules. */
const RING_WALL = 4;
/** Of a member without any gear: a shaft or a drum. */
export const LEAST_INERTIA = 5e-4;

/** Solid disc, I = ½·π·ρ·b·r⁴. */
const disc = (teeth: number): number => (Math.PI / 2) * STEEL * WIDTH * ((teeth * MODULE) / 2) ** 4;

/** Thin ring, I = 2·π·ρ·b·t·r³. */
const ring = (teeth: number): number =>
  2 * Math.PI * STEEL * WIDTH * RING_WALL * MODULE * ((teeth * MODULE) / 2) ** 3;

/** Pinions as solid discs carried round on the orbit, and as much again for the cage. */
function carrier(sun: number, ringTeeth: number, pinions: number): number {
  const pinion = Math.max(8, (ringTeeth - sun) / 2);
  const orbit = ((sun + pinion) * MODULE) / 2;
  const mass = Math.PI * STEEL * WIDTH * ((pinion * MODULE) / 2) ** 2;
  return 2 * pinions * mass * orbit ** 2;
}

function shares(set: GearSet): [string, number][] {
  if (set.kind === 'mesh')
    return [
      [set.first, disc(set.teeth.first)],
      [set.second, set.internal ? ring(set.teeth.second) : disc(set.teeth.second)],
    ];
  const { sun, ring: outer } = set.teeth;
  return [
    [set.sun, disc(sun)],
    [set.ring, ring(outer)],
    [set.carrier, carrier(sun, outer, set.pinions ?? 3)],
  ];
}

/** Every member's, stated or estimated. */
export function memberInertias(unit: Unit): Map<string, number> {
  const estimated = new Map<string, number>();
  for (const [member, inertia] of unit.gearsets.flatMap(shares))
    estimated.set(member, (estimated.get(member) ?? 0) + inertia);
  return new Map(
    unit.members
      .filter((m) => m.id !== CASE)
      .map((m) => [m.id, m.inertia ?? Math.max(LEAST_INERTIA, estimated.get(m.id) ?? 0)]),
  );
}
