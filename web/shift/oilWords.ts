import type { TFunction } from 'i18next';
import type { HydraulicPart, HydraulicPlan } from '../../core/hydraulics';
import { formatShare } from '../shared/numbers';

/** Passages that have a name of their own in every plan that is made here. */
const NAMED = ['line', 'throttle', 'governor', 'kick', 'release', 'inside', 'signal'] as const;
type NamedLine = (typeof NAMED)[number];
const isNamed = (id: string): id is NamedLine => (NAMED as readonly string[]).includes(id);

export function lineName(t: TFunction, plan: HydraulicPlan, id: string): string {
  const own = plan.lines.find((l) => l.id === id)?.name;
  return own || (isNamed(id) ? t(`oil.lines.${id}`) : id);
}

/** What a part is called: by its own name, else by its kind and what it belongs to. */
export function partName(t: TFunction, part: HydraulicPart, plan: HydraulicPlan): string {
  if (part.name) return part.name;
  const kind = t(`oil.kinds.${part.kind}`);
  if (part.kind === 'restriction')
    return part.id === 'cooler' || part.id === 'lubrication' ? t(`oil.holes.${part.id}`) : kind;
  const of = belongsTo(part, plan);
  return of ? t('oil.partOf', { of, kind }) : kind;
}

/** The element or the pair of gears that a part works for; empty where it works for all. */
export function belongsTo(part: HydraulicPart, plan: HydraulicPlan): string {
  switch (part.kind) {
    case 'shift-valve':
      return `${part.gear}–${part.gear + 1}`;
    case 'piston':
      return part.element;
    case 'accumulator':
    case 'pressure-switch':
      return pistonAt(plan, part.line);
    case 'feed':
    case 'solenoid':
    case 'shuttle':
      return pistonAt(plan, part.to);
    case 'pump':
    case 'regulator':
    case 'relief':
    case 'manual-valve':
    case 'throttle-valve':
    case 'governor':
    case 'kick-down-valve':
    case 'control':
    case 'restriction':
    case 'lock-up-valve':
    case 'lock-up-clutch':
      return '';
  }
}

/** The element behind a passage, past feeds, balls and solenoids. */
function pistonAt(plan: HydraulicPlan, line: string): string {
  let at = line;
  for (let k = 0; k < plan.parts.length; k++) {
    const here = at;
    const piston = plan.parts.find((p) => p.kind === 'piston' && p.line === here);
    if (piston?.kind === 'piston') return piston.element;
    const next = plan.parts.find((p) =>
      p.kind === 'feed' || p.kind === 'solenoid'
        ? p.from === here
        : p.kind === 'shuttle' && (p.first === here || p.second === here),
    );
    if (!next || !('to' in next)) return '';
    at = next.to;
  }
  return '';
}

/** Where a cable's adjuster is set. @param slack share of the pedal's travel; below zero it is taken up */
export function cableText(t: TFunction, slack: number): string {
  if (Math.abs(slack) < 0.005) return t('oil.settings.cableRight');
  return t(slack > 0 ? 'oil.settings.cableSlack' : 'oil.settings.cableShort', {
    share: formatShare(Math.abs(slack)),
  });
}
