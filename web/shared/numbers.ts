import type { TFunction } from 'i18next';
import { createContext, useContext, useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import {
  convertFromDisplay,
  convertToDisplay,
  displayUnit,
  type Quantity,
  type UnitSystem,
} from '../../core/quantities';

/** The unit system in force; the shell provides it from the settings. */
export const UnitSystemContext = createContext<UnitSystem>('si');

const MINUS = '\u2212';
/** Narrow, and no line ends in it. */
const THIN_SPACE = '\u202f';

/** A number for reading: true minus, thin spaces between thousands, never "−0". */
export function formatNumber(value: number, digits: number): string {
  const fixed = Math.abs(value).toFixed(digits);
  const [whole = '0', part] = fixed.split('.');
  const grouped = whole.length > 3 ? whole.replace(/\B(?=(\d{3})+$)/g, THIN_SPACE) : whole;
  const sign = value < 0 && Number(fixed) !== 0 ? MINUS : '';
  return `${sign}${grouped}${part ? `.${part}` : ''}`;
}

/** Digits that survive the way through another unit, or through a percentage. */
export const tidy = (value: number): number => Number(value.toPrecision(9));

const MOST_DECIMALS = 6;

/** A number with the decimals it was typed with, and none that it was not. */
export function formatAsTyped(value: number): string {
  let digits = 0;
  while (digits < MOST_DECIMALS && Number(value.toFixed(digits)) !== value) digits += 1;
  return formatNumber(value, digits);
}

/** Significant digits of a limit; the inch knows a millimetre's as 0.03937. */
const LIMIT_DIGITS = 4;

/**
 * A limit in words, so that what is said can also be typed.
 * @param inward how it is rounded: `Math.ceil` for the least, `Math.floor` for the most
 */
export function formatLimit(limit: number, inward: (x: number) => number): string {
  if (Number.isInteger(limit)) return formatNumber(limit, 0);
  const unit = 10 ** (Math.floor(Math.log10(Math.abs(limit))) + 1 - LIMIT_DIGITS);
  return formatAsTyped(tidy(inward(tidy(limit / unit)) * unit));
}

/** Digits that mean something: three significant ones, whole from 100 up. */
export function meaningfulDigits(value: number): number {
  const size = Math.abs(value);
  return size >= 99.95 ? 0 : size >= 9.995 ? 1 : 2;
}

/** "33 1/3 → 33.3", "1200 → 1 200"; trailing zeros are dropped where the number is whole. */
export function formatReading(value: number): string {
  if (Math.abs(value - Math.round(value)) < 1e-9) return formatNumber(value, 0);
  return formatNumber(value, meaningfulDigits(value));
}

/** Digits after the point, the same in each system or each its own. */
export type Places = number | Readonly<Record<UnitSystem, number>>;

export const placesIn = (system: UnitSystem, places: Places): number =>
  typeof places === 'number' ? places : places[system];

/** As a caliper is read: hundredths of a millimetre, thousandths of an inch. */
export const CALIPER: Places = { si: 2, 'inch-pound': 3 };

export interface Numbers {
  readonly system: UnitSystem;
  /** Number and unit, from the stored unit (rev/min, N·m, kW, mm). */
  quantity(value: number, quantity: Quantity): string;
  /** Number alone. */
  value(value: number, quantity: Quantity): string;
  unit(quantity: Quantity): string;
  /** Number and unit with so many digits after the point, however large it is. */
  fixed(value: number, quantity: Quantity, places: Places): string;
  /** What an axis, a column or a field is headed with: "Torque, N·m". */
  headed(what: string, quantity: Quantity): string;
  toDisplay(value: number, quantity: Quantity): number;
  fromDisplay(value: number, quantity: Quantity): number;
}

export function numbersIn(system: UnitSystem, t: TFunction): Numbers {
  const unit = (quantity: Quantity) => t(`units.${displayUnit(quantity, system)}`);
  const value = (v: number, quantity: Quantity) =>
    formatReading(convertToDisplay(v, quantity, system));
  return {
    system,
    unit,
    value,
    quantity: (v, quantity) => `${value(v, quantity)} ${unit(quantity)}`,
    fixed: (v, quantity, places) =>
      `${formatNumber(convertToDisplay(v, quantity, system), placesIn(system, places))} ${unit(quantity)}`,
    headed: (what, quantity) => `${what}, ${unit(quantity)}`,
    toDisplay: (v, quantity) => convertToDisplay(v, quantity, system),
    fromDisplay: (v, quantity) => convertFromDisplay(v, quantity, system),
  };
}

export function useNumbers(): Numbers {
  const system = useContext(UnitSystemContext);
  const { t } = useTranslation();
  return useMemo(() => numbersIn(system, t), [system, t]);
}

/** "3.33" for a ratio, with as many digits as it needs and no more than two. */
export const formatRatio = (ratio: number): string => formatNumber(ratio, 2);

/** Percent for a share, as the sliders say it. */
export const formatShare = (share: number): string => `${formatNumber(100 * share, 0)} %`;

/** A gap or a thickness, m, as a caliper is read. */
export const gapText = (numbers: Numbers, metres: number): string =>
  numbers.fixed(1000 * metres, 'length', CALIPER);
