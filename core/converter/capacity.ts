import { RPM_TO_RAD } from '../quantities';

/**
 * Capacity in the usual definitions, all for the pump: K = n/√T in rev/min per √(N·m) or per √(lbf·ft)
 * (SAE J643; memory for the number), and the coefficient T/ω² in N·m·s². One lbf·ft is exact by definition:
 * 0.45359237 kg × 9.80665 m/s² × 0.3048 m.
 */
const NM_PER_LBF_FT = 0.45359237 * 9.80665 * 0.3048;
const RPM_PER_RAD_S = 1 / RPM_TO_RAD;

/** T/ω² from K; zero for an infinite K. @throws Error when K is not above zero */
export function coefficientOfK(k: number): number {
  if (!(k > 0)) throw new Error(`capacity: expected a factor above 0, got ${k}`);
  return (RPM_PER_RAD_S / k) ** 2;
}

/** K from T/ω²; infinite where no torque is taken. */
export const kOfCoefficient = (coefficient: number): number =>
  coefficient > 0 ? RPM_PER_RAD_S / Math.sqrt(coefficient) : Infinity;

/** rev/min per √(N·m) → rev/min per √(lbf·ft): a root of a pound-foot is larger, so the number is too. */
export const kPerRootPoundFoot = (k: number): number => k * Math.sqrt(NM_PER_LBF_FT);
export const kPerRootNewtonMetre = (k: number): number => k / Math.sqrt(NM_PER_LBF_FT);

/**
 * The power-law coefficient λ in T = λ·ρ·ω²·D⁵ (DIN 741 calls it the power number; memory for the number): the
 * same for converters of one shape, whatever their size.
 * @param coefficient T/ω², N·m·s² @param density kg/m³ @param diameter of the circuit, m
 */
export const powerNumber = (coefficient: number, density: number, diameter: number): number =>
  coefficient / (density * diameter ** 5);
/** T/ω² from the power-law coefficient. */
export const coefficientOfPowerNumber = (
  lambda: number,
  density: number,
  diameter: number,
): number => lambda * density * diameter ** 5;
