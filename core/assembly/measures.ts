import type { Random } from '../numerics';
import {
  MEASURE_IDS,
  type MeasureId,
  type MeasureState,
  type OwnLimits,
  type StateWhy,
} from './measureSpec';
import { MEASURES } from './measureTable';
import type { Part } from './parts';
import { limitsOf, type School } from './schools';

/** What can be measured on a part. */
export const measuresOf = ({ id, kind, sides }: Pick<Part, 'id' | 'kind' | 'sides'>): MeasureId[] =>
  MEASURE_IDS.filter((m) => {
    const { on, part = id, side } = MEASURES[m];
    return on === kind && part === id && (side === undefined || Boolean(sides?.[side]));
  });

/** From least to most, with an instructor's own in the place of the usual. */
export interface Window {
  readonly least: number | null;
  readonly most: number | null;
}
/** Friction plates of a pack: as many steels; the end plate may be counted with them. */
export const frictionsIn = ({ kind, count }: Pick<Part, 'kind' | 'count'>): number =>
  kind === 'pack' ? Math.max(1, Math.floor(count / 2)) : 1;

type Sized = Pick<Part, 'kind' | 'count' | 'size'>;

/** What a measure of a part is told against, mm. */
const newOf = (measure: MeasureId, { size = 0 }: Sized): number =>
  MEASURES[measure].fromSize ? size : 0;

/** The window that a part is judged by. */
export function windowOf(measure: MeasureId, part: Sized, own: OwnLimits = {}): Window {
  const spec = MEASURES[measure];
  // The usual ones are for each plate; an instructor's are for the part as it is.
  const times = spec.each ? frictionsIn(part) : 1;
  const usual = (end: 'least' | 'most') =>
    spec[end] === undefined ? null : newOf(measure, part) + times * spec[end];
  return {
    least: own[measure]?.least ?? usual('least'),
    most: own[measure]?.most ?? usual('most'),
  };
}

/** How a shop has a part while it measures: of a pack, by its own way with the cushion plate. */
export const stateAsked = (
  measure: MeasureId,
  { cushion }: { readonly cushion: MeasureState },
): MeasureState => (MEASURES[measure].each ? cushion : MEASURES[measure].states[0]![0]);

/** What that state adds to a reading: limits are told for it, and sizes go by what is left without it. */
export const offsetOf = (measure: MeasureId, state: MeasureState): number =>
  MEASURES[measure].states.find(([s]) => s === state)?.[1] ?? 0;

/** Why a reading in this state is off, where the shop asks for another; `null` where it does not. */
export const whyOff = (
  measure: MeasureId,
  state: MeasureState,
  school: { readonly cushion: MeasureState },
): StateWhy | null =>
  state === stateAsked(measure, school)
    ? null
    : (MEASURES[measure].states.find(([s]) => s === state)?.[2] ?? null);

/** The window as it stands on the shop's sheet: for the state in which it measures. */
export function windowAsMeasured(
  measure: MeasureId,
  part: Sized,
  shop: { readonly school: School; readonly limits: OwnLimits },
): Window {
  const { least, most } = windowOf(measure, part, limitsOf(shop));
  const by = offsetOf(measure, stateAsked(measure, shop.school));
  return {
    least: least === null ? null : Math.max(0, least + by),
    most: most === null ? null : Math.max(0, most + by),
  };
}

/** What a sound part of this kind would read, from its seed. */
export function soundValue(measure: MeasureId, part: Sized, random: Random): number {
  const { each } = MEASURES[measure];
  return (
    (each ? frictionsIn(part) : 1) * valueWithin(measure, part, MEASURES[measure].sound, random)
  );
}

/** A value of a part between two that a table tells. */
export function valueWithin(
  measure: MeasureId,
  part: Sized,
  [low, high]: readonly [number, number],
  random: Random,
): number {
  return newOf(measure, part) + low + random.next() * (high - low);
}

/** A number with mean 0 and standard deviation 1: four of the even distribution, near enough to the normal one. */
export const scattered = (random: Random): number =>
  (random.next() + random.next() + random.next() + random.next() - 2) * Math.sqrt(3);

/** A few readings, each to be drawn anew, and what is in the way of the right one. */
export function readingOf(
  measure: MeasureId,
  value: number,
  state: MeasureState,
  random: Random,
): number {
  const { scatter, readsTo } = MEASURES[measure];
  const offset = offsetOf(measure, state);
  const read = Math.max(0, value + offset + scatter * scattered(random));
  return Math.round(read / readsTo) * readsTo;
}

/** Where a value stands against its window: in doubt within two standard deviations of a limit. */
export type Standing = 'inside' | 'in-doubt' | 'outside';
export const DOUBT = 2;

export function standingOf(value: number, measure: MeasureId, window: Window): Standing {
  const band = DOUBT * MEASURES[measure].scatter;
  const over = Math.max(
    window.least === null ? -Infinity : window.least - value,
    window.most === null ? -Infinity : value - window.most,
  );
  if (over > band) return 'outside';
  return over >= -band ? 'in-doubt' : 'inside';
}

/** Mean of some readings, and how far they lie from each other. */
export function spreadOf(readings: readonly number[]): { mean: number; spread: number } {
  const mean = readings.reduce((a, b) => a + b, 0) / Math.max(1, readings.length);
  const spread = readings.length > 0 ? Math.max(...readings) - Math.min(...readings) : 0;
  return { mean, spread };
}
