import type { TFunction } from 'i18next';
import { MEASURES, type Job, type MeasureId, type Way } from '../../core/assembly';
import { formatNumber, type Numbers } from '../shared/numbers';

/** Measures, windows and money in words. */
const isLength = (measure: MeasureId): boolean => MEASURES[measure].instrument !== 'ohmmeter';

const digitsOf = (measure: MeasureId, numbers: Numbers): number => {
  if (!isLength(measure)) return 1;
  const { readsTo } = MEASURES[measure];
  const si = readsTo >= 0.1 ? 1 : readsTo >= 0.01 ? 2 : 3;
  return numbers.system === 'si' ? si : 4;
};

export const measureUnit = (numbers: Numbers, measure: MeasureId): string =>
  isLength(measure) ? numbers.unit('length') : 'Ω';

/** What was read, in what is stored: mm, or Ω. */
export const toMeasure = (numbers: Numbers, measure: MeasureId, shown: number): number =>
  isLength(measure) ? numbers.fromDisplay(shown, 'length') : shown;

export function measureText(numbers: Numbers, measure: MeasureId, value: number): string {
  const shown = isLength(measure) ? numbers.toDisplay(value, 'length') : value;
  return `${formatNumber(shown, digitsOf(measure, numbers))} ${measureUnit(numbers, measure)}`;
}

interface Limits {
  readonly least: number | null;
  readonly most: number | null;
}

/** "Wanted: 0.10 mm to 0.80 mm.", as the job has it. */
export function windowText(
  t: TFunction,
  numbers: Numbers,
  measure: MeasureId,
  { least, most }: Limits,
): string {
  const text = (v: number) => measureText(numbers, measure, v);
  if (least !== null && most !== null)
    return t('strip.wanted', { least: text(least), most: text(most) });
  if (least !== null) return t('strip.wantedLeast', { least: text(least) });
  return most === null ? '' : t('strip.wantedMost', { most: text(most) });
}

/** Money of the shop: a number of its own units, whatever they are called. */
export const moneyText = (t: TFunction, amount: number): string =>
  t('strip.money', { amount: formatNumber(amount, 0) });

/** A thickness in the row of a selective part. */
export const sizeText = (numbers: Numbers, size: number): string =>
  numbers.fixed(size, 'length', { si: 2, 'inch-pound': 4 });

export const machineOf = ({ unit, clutch }: Job): string => (unit ?? clutch)?.name ?? '';

/** How a reading is typed in: in the reader's lengths, or in ohms. */
export const typedIn = (measure: MeasureId) =>
  isLength(measure) ? { quantity: 'length' as const } : { unit: 'Ω' };

/** One way of several, as a shop calls it. */
export const wayText = (t: TFunction, way: Way): string => t(`strip.ways.${way}`);
