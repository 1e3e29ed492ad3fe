/**
 * The conical disc spring of J. O. Almen and A. László (Trans. ASME 58, 1936), in the form of EN 16984 (formerly
 * DIN 2092) for springs without a bearing flat:
 *
 *   F(s) = 4E/(1−ν²) · t⁴/(K₁·De²) · s/t · [(h₀/t − s/t)·(h₀/t − s/(2t)) + 1]
 *   K₁ = 1/π · ((δ−1)/δ)² / ((δ+1)/(δ−1) − 2/ln δ),   δ = De/Di
 *
 * The load acts on the edges. s is counted from the free cone; flat at s = h₀. Range: thin springs (δ from 1.2 up),
 * deflection between 0 and 2·h₀; beyond that the formula itself is antisymmetric about flat and still holds.
 */
export interface DiscSpring {
  /** m, at the outer edge of the closed ring. */
  outerDiameter: number;
  /** m, at the inner edge of the closed ring. */
  innerDiameter: number;
  /** m. */
  thickness: number;
  /** Free height of the cone, m. */
  coneHeight: number;
}

/** Spring steel: E in Pa and Poisson's ratio, as the standard takes them. */
const YOUNG = 206e9;
const POISSON = 0.3;

/** K₁ of the standard. @param delta De/Di, above 1 */
export function springConstant(delta: number): number {
  const bracket = (delta + 1) / (delta - 1) - 2 / Math.log(delta);
  return ((delta - 1) / delta) ** 2 / bracket / Math.PI;
}

/** Load on the edges, N. @param s deflection, m */
export function discSpringLoad(spring: DiscSpring, s: number): number {
  const { outerDiameter, innerDiameter, thickness: t, coneHeight } = spring;
  const k1 = springConstant(outerDiameter / innerDiameter);
  const scale = ((4 * YOUNG) / (1 - POISSON ** 2)) * (t ** 4 / (k1 * outerDiameter ** 2));
  const [u, h] = [s / t, coneHeight / t];
  return scale * u * ((h - u) * (h - u / 2) + 1);
}

/**
 * Where the load has its hump and its dip, m of deflection: the roots of dF/ds, u = h ± √((h² − 2)/3) with u = s/t
 * and h = h₀/t (derived here). `null` where the load only rises (h₀/t ≤ √2).
 */
export function humpAndDip(
  spring: Pick<DiscSpring, 'thickness' | 'coneHeight'>,
): { hump: number; dip: number } | null {
  const h = spring.coneHeight / spring.thickness;
  if (h <= Math.SQRT2) return null;
  const off = Math.sqrt((h * h - 2) / 3);
  return { hump: (h - off) * spring.thickness, dip: (h + off) * spring.thickness };
}

/** The load falls below zero somewhere: it snaps through and does not come back by itself (h₀/t > 2√2). */
export const snapsThrough = (spring: Pick<DiscSpring, 'thickness' | 'coneHeight'>): boolean =>
  spring.coneHeight > 2 * Math.SQRT2 * spring.thickness;
