import type { PlanetarySet } from './oneSet';

/**
 * Whether a planetary set can be built with standard teeth. Lengths are in modules (m = 1).
 *
 * Single pinion (published: Müller, Epicyclic Drive Trains; Dudley's Handbook of Practical Gear Design,
 * planetary chapter): coaxial Nr = Ns + 2·Np; equally spaced assembly (Ns + Nr)/n whole; neighbours
 * clear (Ns + Np)·sin(π/n) > Np + 2.
 * Double pinion (derived here from the same three ideas): the triangle centre–inner–outer must close;
 * assembly (Nr − Ns)/n whole; inner clears the ring, outer clears the sun, no two pinions of
 * neighbouring pairs touch.
 */
export type ToothCode =
  | 'teeth-not-whole'
  | 'teeth-too-few'
  | 'teeth-too-many'
  | 'pinion-count'
  | 'ring-not-larger'
  | 'coaxial'
  | 'pair-does-not-close'
  | 'inner-touches-ring'
  | 'outer-touches-sun'
  | 'assembly'
  | 'neighbours';

export interface ToothFinding {
  readonly code: ToothCode;
  /** Path inside the set, such as `teeth.ring`. */
  readonly path: string;
  /** Numbers for the words: what was found and what would do. */
  readonly values: Readonly<Record<string, number>>;
}

export const FEWEST_TEETH = 8;
export const MOST_TEETH = 400;
export const DEFAULT_PINIONS = 3;
export const MOST_PINIONS = 12;

/** Working clearance that neighbouring tips must keep, in modules. */
const TIP_CLEARANCE = 0;

/** All findings; empty when the set can be built, or when its teeth are stated only as a ratio. */
export function checkTeeth(set: PlanetarySet): ToothFinding[] {
  const findings = countFindings(set);
  if (findings.length > 0) return findings;
  return set.kind === 'single-pinion' ? checkSingle(set) : checkDouble(set);
}

function countFindings(set: PlanetarySet): ToothFinding[] {
  const findings: ToothFinding[] = [];
  for (const [part, teeth] of Object.entries(set.teeth) as [string, number | undefined][]) {
    if (teeth === undefined) continue;
    const path = `teeth.${part}`;
    const values = { teeth, fewest: FEWEST_TEETH, most: MOST_TEETH };
    if (!Number.isInteger(teeth)) findings.push({ code: 'teeth-not-whole', path, values });
    else if (teeth < FEWEST_TEETH) findings.push({ code: 'teeth-too-few', path, values });
    else if (teeth > MOST_TEETH) findings.push({ code: 'teeth-too-many', path, values });
  }
  const pinions = set.pinions ?? DEFAULT_PINIONS;
  if (!Number.isInteger(pinions) || pinions < 1 || pinions > MOST_PINIONS)
    findings.push({
      code: 'pinion-count',
      path: 'pinions',
      values: { pinions, most: MOST_PINIONS },
    });
  const { sun, ring } = set.teeth;
  if (findings.length === 0 && ring <= sun)
    findings.push({ code: 'ring-not-larger', path: 'teeth.ring', values: { sun, ring } });
  return findings;
}

function checkSingle(set: PlanetarySet & { kind: 'single-pinion' }): ToothFinding[] {
  const { sun, pinion, ring } = set.teeth;
  const n = set.pinions ?? DEFAULT_PINIONS;
  const findings: ToothFinding[] = [];
  if (pinion !== undefined && ring !== sun + 2 * pinion)
    findings.push({
      code: 'coaxial',
      path: 'teeth.ring',
      values: { ring, needed: sun + 2 * pinion, sun, pinion },
    });
  findings.push(...checkAssembly(sun + ring, n));
  if (pinion !== undefined && n > 1) {
    const apart = (sun + pinion) * Math.sin(Math.PI / n);
    findings.push(...checkNeighbours(apart, pinion + 2, n));
  }
  return findings;
}

function checkAssembly(sum: number, n: number): ToothFinding[] {
  if (sum % n === 0) return [];
  const below = sum - (sum % n);
  return [{ code: 'assembly', path: 'pinions', values: { sum, n, below, above: below + n } }];
}

function checkNeighbours(apart: number, needed: number, n: number): ToothFinding[] {
  if (apart > needed + TIP_CLEARANCE) return [];
  return [{ code: 'neighbours', path: 'pinions', values: { apart, needed, n, fewer: n - 1 } }];
}

function checkDouble(set: PlanetarySet & { kind: 'double-pinion' }): ToothFinding[] {
  const { sun, inner, outer, ring } = set.teeth;
  const n = set.pinions ?? DEFAULT_PINIONS;
  const findings: ToothFinding[] = [];
  if (inner !== undefined && outer !== undefined) {
    const pair = pairGeometry(sun, inner, outer, ring);
    if (!pair) {
      const values = { sun, inner, outer, ring, least: ring - sun - 2 * inner };
      findings.push({ code: 'pair-does-not-close', path: 'teeth', values });
    } else {
      if (pair.innerRadius + inner / 2 + 1 >= ring / 2 - 1)
        findings.push({ code: 'inner-touches-ring', path: 'teeth.inner', values: { inner, ring } });
      if (pair.outerRadius - outer / 2 - 1 <= sun / 2 + 1)
        findings.push({ code: 'outer-touches-sun', path: 'teeth.outer', values: { outer, sun } });
      if (n > 1) findings.push(...checkPairNeighbours(pair, inner, outer, n));
    }
  }
  findings.push(...checkAssembly(ring - sun, n));
  return findings;
}

export interface PairGeometry {
  /** Distance of the inner pinion's centre from the middle, in modules. */
  readonly innerRadius: number;
  readonly outerRadius: number;
  /** Angle at the middle from the inner to the outer pinion, rad. */
  readonly spread: number;
}

/** The triangle middle–inner–outer by the law of cosines; `null` when its sides cannot close. */
export function pairGeometry(
  sun: number,
  inner: number,
  outer: number,
  ring: number,
): PairGeometry | null {
  const innerRadius = (sun + inner) / 2;
  const outerRadius = (ring - outer) / 2;
  const between = (inner + outer) / 2;
  const cosine =
    (innerRadius ** 2 + outerRadius ** 2 - between ** 2) / (2 * innerRadius * outerRadius);
  if (!(outerRadius > 0) || Math.abs(cosine) > 1) return null;
  return { innerRadius, outerRadius, spread: Math.acos(cosine) };
}

function checkPairNeighbours(
  pair: PairGeometry,
  inner: number,
  outer: number,
  n: number,
): ToothFinding[] {
  const { innerRadius, outerRadius, spread } = pair;
  const step = (2 * Math.PI) / n;
  const chord = (a: number, b: number, angle: number) =>
    Math.sqrt(a * a + b * b - 2 * a * b * Math.cos(angle));
  const gaps = [
    { apart: chord(innerRadius, innerRadius, step), needed: inner + 2 },
    { apart: chord(outerRadius, outerRadius, step), needed: outer + 2 },
    { apart: chord(innerRadius, outerRadius, step - spread), needed: (inner + outer) / 2 + 2 },
  ];
  const worst = gaps.reduce((a, b) => (a.apart - a.needed < b.apart - b.needed ? a : b));
  return checkNeighbours(worst.apart, worst.needed, n);
}

/**
 * Smallest gap between the tips of neighbouring pinions, in modules; `null` when a pinion's teeth are
 * unknown or there is only one.
 */
export function tipGap(set: PlanetarySet): number | null {
  const n = set.pinions ?? DEFAULT_PINIONS;
  if (set.kind !== 'single-pinion' || set.teeth.pinion === undefined || n < 2) return null;
  const { sun, pinion } = set.teeth;
  return (sun + pinion) * Math.sin(Math.PI / n) - pinion - 2;
}
