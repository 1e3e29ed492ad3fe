import type { Unit } from '../geartrain';
import { portTargets, type Fault } from './applyFault';
import { signatureOf, type SymptomRow } from './symptoms';

/**
 * What can be asked of a unit, with its price: a road test of one range, an air check of one element, a one-way clutch
 * turned by hand, a link looked at. The reading follows from the fault. Minutes are those of a usual shop (common
 * practice, no source).
 */
export type CheckKind = 'road' | 'air' | 'hand' | 'look';

export interface Check {
  /** `road D2`, `air C1`, `hand F1`, `look P1.sun`. */
  readonly id: string;
  readonly kind: CheckKind;
  /** Range, element, or link. */
  readonly target: string;
  readonly minutes: number;
  readonly lift: boolean;
  readonly removal: boolean;
}

const MINUTES: Readonly<Record<CheckKind, number>> = { road: 4, air: 25, hand: 300, look: 320 };

const check = (kind: CheckKind, target: string): Check => ({
  id: `${kind} ${target}`,
  kind,
  target,
  minutes: MINUTES[kind],
  lift: kind !== 'road',
  removal: kind === 'hand' || kind === 'look',
});

/** Every check of this unit, cheapest first. */
export const checksOf = (unit: Unit): Check[] => [
  ...unit.ranges.map((r) => check('road', r.id)),
  ...unit.elements
    .filter((e) => e.kind !== 'one-way' && e.kind !== 'dog')
    .map((e) => check('air', e.id)),
  ...unit.elements.filter((e) => e.kind === 'one-way').map((e) => check('hand', e.id)),
  ...portTargets(unit).map((t) => check('look', t)),
];

/** What a check reads with these faults in the unit; rows are those of the symptom table. */
export function readingOf({ kind, target }: Check, row: SymptomRow): string {
  if (kind === 'road') {
    const cell = row.cells.find((c) => c.range === target);
    return cell ? signatureOf({ faults: [], cells: [cell] }) : 'unknown';
  }
  const own = row.faults.filter((f) => f.target === target).map((f: Fault) => f.kind);
  if (kind === 'air')
    return own.includes('will-not-apply')
      ? 'does-not-apply'
      : own.includes('stuck-on')
        ? 'does-not-release'
        : 'works';
  if (kind === 'hand')
    return own.includes('will-not-hold')
      ? 'turns-both-ways'
      : own.includes('seized')
        ? 'locked'
        : own.includes('reversed')
          ? 'wrong-way-round'
          : 'holds-one-way';
  return own.includes('broken') ? 'stripped' : 'whole';
}
