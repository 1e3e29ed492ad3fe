import { RPM_TO_RAD } from '../quantities';
import { netPistonForce, type ClutchPack } from './clutchPack';

/**
 * Oil that turns with a drum is thrown outward: with its free surface at r₀ it stands under p(r) = ½·ρ·ω²·(r² − r₀²), and
 * on a piston from r_i to r_o it presses with (published: rigid rotation of a fluid, any fluid-mechanics text)
 *
 *   F = ∫ p·2πr dr = (π·ρ·ω²/4)·[(r_o² − r₀²)² − (r_i² − r₀²)²]
 *
 * It presses on an applied piston beside the pump's pressure, and on a released one against the return spring. A balance
 * chamber holds oil on the piston's other side; a bleed ball lets the released piston's oil out; with neither the pack
 * does not let go at speed, and drags. Range: the drum turns with its oil; what a leak carries off is left out.
 */
/** kg/m³ of automatic fluid, warm (memory). */
const OIL_DENSITY = 830;

/** N of turning oil on an annulus. @param omega rad/s */
export function annulusForce(outer: number, inner: number, surface: number, omega: number): number {
  const square = (r: number) => Math.max(0, r * r - surface * surface) ** 2;
  return ((Math.PI * OIL_DENSITY * omega * omega) / 4) * (square(outer) - square(inner));
}

/** N with which turning oil presses the plates together, what a balance chamber takes off counted. */
export function turningOilForce({ piston, rotation }: ClutchPack, rpm: number): number {
  if (!rotation) return 0;
  const omega = rpm * RPM_TO_RAD;
  const { balance, feedRadius } = rotation;
  const against = balance
    ? annulusForce(balance.outerRadius, balance.innerRadius, balance.fillRadius, omega)
    : 0;
  return annulusForce(piston.outerRadius, piston.innerRadius, feedRadius, omega) - against;
}

/** N on the plates of a released pack whose drum turns: what the return spring does not hold off. */
export function releasedForce(pack: ClutchPack, rpm: number): number {
  if (pack.rotation?.bleedBall) return 0;
  return Math.max(0, turningOilForce(pack, rpm) - pack.piston.returnForce);
}

/** rev/min from which a released pack no longer lets go; `null` when it always does. */
export function letsGoUpTo(pack: ClutchPack): number | null {
  if (!pack.rotation || pack.rotation.bleedBall) return null;
  const atOne = turningOilForce(pack, 1);
  return atOne > 0 ? Math.sqrt(pack.piston.returnForce / atOne) : null;
}

/** N on the plates of an applied pack whose drum turns. */
export const appliedForce = (pack: ClutchPack, pressure: number, rpm: number): number =>
  Math.max(0, netPistonForce(pack, pressure) + turningOilForce(pack, rpm));
