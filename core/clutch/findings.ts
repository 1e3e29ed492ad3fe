import type { Clutch } from './clutch';
import { AS_BUILT } from './condition';
import { holdingTorque } from './capacity';
import { humpAndDip, snapsThrough } from './discSpring';
import { atPedal, releaseCurve } from './release';

/** What is wrong or odd with a clutch as it is stated. The first group can't be computed with; the others can. */
export type ClutchFinding =
  | { readonly code: 'inner-over-outer'; readonly path: 'disc' | 'spring' }
  | { readonly code: 'radii-order' }
  | { readonly code: 'worn-over-new' }
  | { readonly code: 'spring-inverts' }
  | { readonly code: 'not-installed'; readonly clamp: number }
  | { readonly code: 'never-releases'; readonly gap: number; readonly clamp: number }
  | { readonly code: 'small-gap'; readonly gap: number; readonly wanted: number }
  | { readonly code: 'always-slips'; readonly holds: number; readonly asked: number }
  | { readonly code: 'play-out'; readonly play: number }
  | { readonly code: 'stays-down'; readonly pedal: number }
  | { readonly code: 'before-hump' };

/** @param asked N·m of the engine that it is to hold; 0 to leave that out */
export function clutchFindings(clutch: Clutch, asked = 0): ClutchFinding[] {
  const broken = unusable(clutch);
  if (broken.length > 0) return broken;
  const { limits, cover } = clutch;
  const findings: ClutchFinding[] = [];
  const curve = releaseCurve(clutch, AS_BUILT);
  const down = atPedal(curve, curve.floor);
  const holds = holdingTorque(clutch, AS_BUILT);
  if (curve.freeClamp <= 0) findings.push({ code: 'not-installed', clamp: curve.freeClamp });
  else if (down.clamp > 0)
    findings.push({ code: 'never-releases', gap: down.gap, clamp: down.clamp });
  else if (down.leastGap < limits.releasedGap * 0.9)
    findings.push({ code: 'small-gap', gap: down.leastGap, wanted: limits.releasedGap });
  if (asked > 0 && holds < asked) findings.push({ code: 'always-slips', holds, asked });
  const [least, most] = limits.pedalPlay;
  if (curve.pedalPlay < least || curve.pedalPlay > most)
    findings.push({ code: 'play-out', play: curve.pedalPlay });
  const hangs = curve.points.find((p) => p.pedalForce < 0);
  if (hangs) findings.push({ code: 'stays-down', pedal: hangs.pedal });
  if (cover.spring.kind === 'diaphragm') {
    const { spring, installed, plateRadius, pivotRadius } = cover.spring;
    const edge = (spring.outerDiameter - spring.innerDiameter) / 2 / (plateRadius - pivotRadius);
    const hump = humpAndDip(spring);
    if (hump && installed * edge < hump.hump) findings.push({ code: 'before-hump' });
  }
  return findings;
}

function unusable({ disc, cover }: Clutch): ClutchFinding[] {
  const findings: ClutchFinding[] = [];
  if (disc.innerRadius >= disc.outerRadius)
    findings.push({ code: 'inner-over-outer', path: 'disc' });
  if (disc.wornThickness >= disc.newThickness) findings.push({ code: 'worn-over-new' });
  const { spring } = cover;
  if (spring.kind === 'levers') return findings;
  if (spring.spring.innerDiameter >= spring.spring.outerDiameter)
    findings.push({ code: 'inner-over-outer', path: 'spring' });
  if (!(spring.fingerRadius < spring.pivotRadius && spring.pivotRadius < spring.plateRadius))
    findings.push({ code: 'radii-order' });
  if (snapsThrough(spring.spring)) findings.push({ code: 'spring-inverts' });
  return findings;
}

export const clutchWorks = (clutch: Clutch): boolean => unusable(clutch).length === 0;
