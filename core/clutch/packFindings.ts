import { letsGoUpTo } from './centrifugal';
import {
  endPlateNeeded,
  gaugeReading,
  grooveLoad,
  HAIR,
  packClearance,
  pistonForce,
  type ClutchPack,
  type Plate,
} from './clutchPack';

/** Everything that is wrong or odd with a pack as it lies there. */
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
  | { readonly code: 'friction-on-wave'; readonly plates: readonly [string, string] }
  | { readonly code: 'holds-on-at-speed'; readonly rpm: number; readonly most: number }
  | { readonly code: 'does-not-apply' };

export function packFindings(pack: ClutchPack): PackFinding[] {
  const { stack, clearance } = pack;
  const findings: PackFinding[] = [];
  const frictions = stack.filter((p) => p.kind === 'friction');
  if (frictions.length === 0) findings.push({ code: 'no-frictions' });
  for (let k = 0; k + 1 < stack.length; k++) {
    const [a, b] = [stack[k]!, stack[k + 1]!];
    if (a.kind === b.kind) findings.push({ code: 'same-beside-same', plates: [a.id, b.id] });
    // A wave touches a lining in places only, which burn: a flat steel goes between.
    const waved = (p: Plate, beside: Plate) => (p.wave ?? 0) > 0 && beside.kind === 'friction';
    if (waved(a, b) || waved(b, a))
      findings.push({ code: 'friction-on-wave', plates: [a.id, b.id] });
  }
  if (stack[0]?.kind === 'friction') findings.push({ code: 'friction-at-piston' });
  if (stack.at(-1)?.kind === 'friction') findings.push({ code: 'friction-at-ring' });
  const [room, reads] = [packClearance(pack), gaugeReading(pack)];
  if (room < 0) findings.push({ code: 'does-not-fit', over: -room });
  else if (reads < clearance[0] - HAIR)
    findings.push({ code: 'clearance-small', clearance: reads });
  else if (reads > clearance[1] + HAIR)
    findings.push({ code: 'clearance-large', clearance: reads });
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
  const upTo = letsGoUpTo(pack);
  if (pack.rotation && upTo !== null && upTo < pack.rotation.mostRpm)
    findings.push({ code: 'holds-on-at-speed', rpm: upTo, most: pack.rotation.mostRpm });
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
