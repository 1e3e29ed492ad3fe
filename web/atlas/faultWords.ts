import type { TFunction } from 'i18next';
import type { Check, Fault, SymptomCell } from '../../core/faults';
import type { Unit } from '../../core/geartrain';
import { formatRatio } from '../shared/numbers';
import { rangeName } from '../shared/unitNames';

/** "C1, Ahead clutch" or "P1, sun". */
export function targetName(t: TFunction, unit: Unit, target: string): string {
  const element = unit.elements.find((e) => e.id === target);
  if (element) return element.name === '' ? target : `${target}, ${element.name}`;
  const [set, port] = target.split('.');
  return `${set}, ${t(`atlas.ports.${port}`)}`;
}

export const faultText = (t: TFunction, unit: Unit, faults: readonly Fault[]): string =>
  faults
    .map((f) => t(`atlas.faults.${f.kind}`, { part: targetName(t, unit, f.target) }))
    .join(' + ');

/** What is met in a range: "neutral", "wrong ratio 2.46", "right, no engine braking". */
export function cellText(t: TFunction, { drive, ratio, coast }: SymptomCell): string {
  const main =
    drive === 'wrong-ratio' || drive === 'moves' || drive === 'wrong-way'
      ? t(`atlas.drive.${drive}`, { ratio: formatRatio(ratio ?? 0) })
      : t(`atlas.drive.${drive}`);
  return coast === 'right' || drive !== 'right' ? main : t(`atlas.coast.${coast}`);
}

export function checkText(t: TFunction, unit: Unit, { kind, target, minutes }: Check): string {
  const what = kind === 'road' ? rangeName(unit, target) : targetName(t, unit, target);
  return t(`atlas.checks.${kind}`, { what, minutes });
}
