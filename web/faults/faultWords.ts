import type { TFunction } from 'i18next';
import {
  FAULT_SPECS,
  isPart,
  levelsOf,
  priceAlone,
  severityOf,
  type Answer,
  type Check,
  type CheckKind,
  type Fault,
  type LaidCase,
  type SymptomCell,
} from '../../core/faults';
import type { Unit } from '../../core/geartrain';
import { formatNumber, formatRatio, formatShare, gapText, type Numbers } from '../shared/numbers';
import { memberName, rangeName } from '../shared/unitNames';

/** Faults, checks and readings put into words. */

/** What a case in which another fault is drawn is called: its own name would tell of the old one. */
export const drawnName = (
  t: TFunction,
  { unit, vehicle, clutch }: Pick<LaidCase, 'unit' | 'vehicle' | 'clutch'>,
): string =>
  t('desk.drawnName', { name: (unit ?? vehicle ?? clutch)?.name ?? t('faults.parts.coupling') });

/** "C1, Forward clutch", "P1, sun", "Layshaft", "oil pump"; the id alone of what this unit does not have. */
export function targetName(t: TFunction, unit: Unit | null, target: string): string {
  const element = unit?.elements.find((e) => e.id === target);
  if (element) return element.name === '' ? target : `${target}, ${element.name}`;
  if (unit?.gearsets.some((g) => g.id === target)) return t('faults.set', { set: target });
  if (unit?.members.some((m) => m.id === target)) return memberName(unit, target);
  const [set, port] = target.split('.');
  if (port) return `${set}, ${t(`faults.ports.${port}`)}`;
  return isPart(target) ? t(`faults.parts.${target}`) : target;
}

/** What an element, a set or a link is called on a chart; the whole name of anything else. */
export function shortTarget(t: TFunction, unit: Unit | null, target: string): string {
  const [set] = target.split('.');
  const charted =
    unit?.elements.some((e) => e.id === target) || unit?.gearsets.some((g) => g.id === set);
  return charted ? target : targetName(t, unit, target);
}

/** How far a fault has gone: "60 %", "6 mm", "1.5 l"; empty for a kind without levels. */
export function severityText(t: TFunction, numbers: Numbers, fault: Fault): string {
  const { unit, levels } = FAULT_SPECS[fault.kind];
  if (!unit || !levels) return '';
  const value = severityOf(fault);
  switch (unit) {
    case 'share-left':
      return t('faults.severity.share-left', { share: formatShare(value) });
    case 'share-lost':
      return t('faults.severity.share-lost', { share: formatShare(value) });
    case 'millimetres':
      return t('faults.severity.millimetres', {
        length: numbers.fixed(value, 'length', { si: 1, 'inch-pound': 3 }),
      });
    case 'litres':
      return t('faults.severity.litres', { volume: numbers.fixed(value, 'volume', 1) });
    case 'times': {
      const level = levelsOf(fault).findIndex((l) => l.severity === value);
      return t(`faults.severity.level.${String(level < 0 ? 1 : level)}`);
    }
  }
}

export const kindText = (t: TFunction, kind: Fault['kind']): string => t(`faults.kinds.${kind}`);

export const faultText = (t: TFunction, unit: Unit | null, faults: readonly Fault[]): string =>
  faults
    .map((f) =>
      t('faults.oneFault', { part: targetName(t, unit, f.target), what: kindText(t, f.kind) }),
    )
    .join(' + ');

/** The fault of a key, `TARGET=KIND`, without how far it has gone. */
export const faultsOfKey = (key: string): Fault[] =>
  key === ''
    ? []
    : key.split(' + ').map((one) => {
        const at = one.lastIndexOf('=');
        return { target: one.slice(0, at), kind: one.slice(at + 1) as Fault['kind'] };
      });

/** What is met in a range: "neutral", "wrong ratio 2.46", "right, no engine braking". */
export function cellText(t: TFunction, cell: SymptomCell): string {
  const { drive, ratio, above, coast, heard, goesIn } = cell;
  if (drive === 'right') {
    if (goesIn !== 'clean') return t(`faults.words.${goesIn}`);
    if (heard !== 'quiet') return t(`faults.words.${heard}`);
    return t(coast === 'right' ? 'faults.words.right' : `faults.words.${coast}-coast`);
  }
  const values = { ratio: formatRatio(ratio ?? 0), share: formatShare(above ?? 0) };
  return t(`faults.drive.${drive}`, values);
}

/** Checks of one range, of one part, or of the whole: what each is about. */
const OF_RANGE: readonly CheckKind[] = [
  'road',
  'coast',
  'listen',
  'delay',
  'stall',
  'gear-in',
  'matched',
  'standing',
];

/** A range that should not drive is tried standing. */
const atRest = ({ kind, needs }: Check): boolean => kind === 'road' && needs.place === 'floor';

export function checkName(t: TFunction, unit: Unit | null, check: Check): string {
  const { kind, target } = check;
  if (unit && atRest(check)) return t('faults.checks.rest', { what: rangeName(unit, target) });
  if (unit && OF_RANGE.includes(kind))
    return t(`faults.checks.${kind}`, { what: rangeName(unit, target) });
  if (unit && kind === 'shift') {
    const [from, to] = target.split('>').map((id) => rangeName(unit, id));
    return t('faults.checks.shift', { what: `${from} → ${to}` });
  }
  if (kind === 'pressure')
    return t('faults.checks.pressure', { what: t(`faults.gauge.${target}`) });
  if (kind === 'noise') return t('faults.checks.noise', { what: t(`clutch.noise.${target}`) });
  return t(`faults.checks.${kind}`, { what: target === '' ? '' : targetName(t, unit, target) });
}

/** psi that a shop's air check is made with (30 to 50; common practice, no source), kPa. */
const AIR_KPA = [207, 345] as const;

/** How a check is made. */
export const howText = (t: TFunction, numbers: Numbers, check: Check): string =>
  atRest(check)
    ? t('faults.how.rest')
    : t(`faults.how.${check.kind}`, {
        low: numbers.quantity(AIR_KPA[0], 'pressure'),
        high: numbers.quantity(AIR_KPA[1], 'pressure'),
      });

/** "63 min, on stands": with the way there from where a machine arrives. */
export function priceText(t: TFunction, check: Check): string {
  const values = { minutes: priceAlone(check) };
  if (!check.removal && !check.lift) return t('faults.price', values);
  const where = check.removal ? 'out' : 'lift';
  return t(`faults.priceAt.${where}`, values);
}

/** With its price: "Air check of C1 (60 min, on the lift)". */
export const checkText = (t: TFunction, unit: Unit | null, check: Check): string =>
  `${checkName(t, unit, check)} (${priceText(t, check)})`;

/** A figure as its instrument shows it; `null` where the check gives none. */
export function figureText(
  t: TFunction,
  numbers: Numbers,
  { kind }: Pick<Check, 'kind'>,
  { figure }: Answer,
): string | null {
  if (figure === undefined) return null;
  return FIGURES[kind]?.(figure, t, numbers) ?? formatNumber(figure, 2);
}

/** Figures that an instrument does not show as a plain number. */
const FIGURES: Readonly<
  Partial<Record<Check['kind'], (figure: number, t: TFunction, numbers: Numbers) => string>>
> = {
  pressure: pressureText,
  tap: pressureText,
  stall: (rpm, _t, numbers) => numbers.quantity(Math.round(rpm / 10) * 10, 'speed'),
  delay: (seconds, t) => t('faults.seconds', { value: formatNumber(seconds, 2) }),
  'top-speed': (speed, _t, numbers) => numbers.quantity(speed, 'road-speed'),
  'hot-run': (celsius, _t, numbers) => numbers.quantity(Math.round(celsius), 'temperature'),
  play: (metres, _t, numbers) => gapText(numbers, metres),
  gap: (metres, _t, numbers) => gapText(numbers, metres),
  stack: (metres, _t, numbers) => gapText(numbers, metres),
  flange: (torque, _t, numbers) => numbers.quantity(Math.round(torque), 'torque'),
  coil: (ohm, t) => t('faults.ohm', { value: formatNumber(ohm, 1) }),
  road: (ratio, t) =>
    ratio < 1 && ratio > 0
      ? t('faults.aboveShare', { share: formatShare(ratio) })
      : formatRatio(ratio),
};

function pressureText(pascal: number, _t: TFunction, numbers: Numbers): string {
  return numbers.quantity(Math.round(pascal / 1e4) * 10, 'pressure');
}

/** Word of a reading, or of the kind of reading that was expected. */
export const wordText = (t: TFunction, word: string): string => t(`faults.words.${word}`);

/** The whole reading: word and figure. */
export function readingText(t: TFunction, numbers: Numbers, check: Check, answer: Answer): string {
  const figure = figureText(t, numbers, check, answer);
  if (figure === null) return wordText(t, answer.word);
  return answer.word === 'reads' ? figure : `${wordText(t, answer.word)}, ${figure}`;
}
