import type { Random } from '../numerics';
import type { Part, PartKind } from './parts';

/**
 * What is measured on a part, with what, and in which state: every number here is a usual one of its kind of part, an
 * editable default (from memory); the maker's manual outranks each. Lengths mm, resistance Ω.
 */

export const INSTRUMENTS = [
  'dial-gauge',
  'micrometer',
  'feeler',
  'straightedge',
  'caliper',
  'bore-gauge',
  'ohmmeter',
] as const;
export type Instrument = (typeof INSTRUMENTS)[number];

/** How a part is while it is measured. */
export const STATES = ['dry', 'wet', 'pressed', 'free', 'left-out', 'cold', 'warm'] as const;
export type MeasureState = (typeof STATES)[number];

export const MEASURE_IDS = [
  'end-play-in',
  'end-play-out',
  'pack-clearance',
  'lining',
  'steel-flat',
  'spring-length',
  'pump-side',
  'pump-tips',
  'bush',
  'pinion-play',
  'washer',
  'solenoid',
  'disc-thickness',
  'rivet-depth',
  'disc-run-out',
  'flywheel-flat',
  'fingers',
] as const;
export type MeasureId = (typeof MEASURE_IDS)[number];

export interface MeasureSpec {
  readonly on: PartKind;
  /** Only on the part of this id; all of the kind where left out. */
  readonly part?: string;
  readonly instrument: Instrument;
  /** What a sound part reads. */
  readonly sound: readonly [number, number];
  /** What it may read at least and at most. */
  readonly least?: number;
  readonly most?: number;
  /** Standard deviation of one reading, and what the instrument reads to. */
  readonly scatter: number;
  readonly readsTo: number;
  /** The states that can be chosen, with what each adds to the reading; the first is the right one. */
  readonly states: readonly (readonly [MeasureState, number])[];
  /** Sound values and limits are for one friction plate: they go by how many there are. */
  readonly each?: true;
  /** What it is taken for beside a verdict: it chooses the selective part. */
  readonly sets?: true;
}

/** A film of oil is measured with a thickness, and fills some of a gap. */
const DRY: MeasureSpec['states'] = [
  ['dry', 0],
  ['wet', 0.04],
];
const DRY_GAP: MeasureSpec['states'] = [
  ['dry', 0],
  ['wet', -0.015],
];

export const MEASURES: Readonly<Record<MeasureId, MeasureSpec>> = {
  'end-play-in': {
    on: 'shaft',
    part: 'input-shaft',
    instrument: 'dial-gauge',
    sound: [0.3, 0.6],
    least: 0.1,
    most: 0.8,
    scatter: 0.02,
    readsTo: 0.01,
    // Lifted and let go; pressed down it shows nothing of the play.
    states: [
      ['free', 0],
      ['pressed', -0.25],
    ],
    sets: true,
  },
  'end-play-out': {
    on: 'output-shaft',
    part: 'output-shaft',
    instrument: 'dial-gauge',
    sound: [0.25, 0.55],
    least: 0.1,
    most: 0.8,
    scatter: 0.02,
    readsTo: 0.01,
    states: [
      ['free', 0],
      ['pressed', -0.2],
    ],
  },
  'pack-clearance': {
    on: 'pack',
    instrument: 'feeler',
    sound: [0.2, 0.28],
    least: 0.15,
    most: 0.35,
    scatter: 0.02,
    readsTo: 0.05,
    // The cushion plate pressed flat; free it takes up some of the gap, left out it gives some.
    states: [
      ['pressed', 0],
      ['free', -0.2],
      ['left-out', 1.2],
    ],
    each: true,
    sets: true,
  },
  lining: {
    on: 'pack',
    instrument: 'micrometer',
    sound: [1.9, 2],
    least: 1.8,
    scatter: 0.008,
    readsTo: 0.01,
    states: DRY,
  },
  'steel-flat': {
    on: 'pack',
    instrument: 'straightedge',
    sound: [0.02, 0.05],
    most: 0.1,
    scatter: 0.008,
    readsTo: 0.01,
    states: DRY_GAP,
  },
  'spring-length': {
    on: 'spring',
    instrument: 'caliper',
    sound: [29.6, 30.1],
    least: 29.1,
    scatter: 0.08,
    readsTo: 0.1,
    states: [
      ['free', 0],
      ['pressed', -6],
    ],
  },
  'pump-side': {
    on: 'pump',
    instrument: 'feeler',
    sound: [0.025, 0.045],
    least: 0.02,
    most: 0.06,
    scatter: 0.004,
    readsTo: 0.005,
    states: DRY_GAP,
  },
  'pump-tips': {
    on: 'pump',
    instrument: 'feeler',
    sound: [0.08, 0.14],
    least: 0.05,
    most: 0.2,
    scatter: 0.008,
    readsTo: 0.01,
    states: DRY_GAP,
  },
  bush: {
    on: 'extension',
    instrument: 'bore-gauge',
    sound: [0.04, 0.075],
    least: 0.03,
    most: 0.1,
    scatter: 0.005,
    readsTo: 0.005,
    states: DRY_GAP,
  },
  'pinion-play': {
    on: 'pinions',
    instrument: 'feeler',
    sound: [0.25, 0.5],
    least: 0.2,
    most: 0.6,
    scatter: 0.02,
    readsTo: 0.05,
    states: DRY_GAP,
  },
  washer: {
    on: 'thrust-washer',
    instrument: 'micrometer',
    sound: [1.96, 2],
    least: 1.9,
    scatter: 0.006,
    readsTo: 0.01,
    states: DRY,
  },
  solenoid: {
    on: 'fitting',
    part: 'solenoid-plug',
    instrument: 'ohmmeter',
    sound: [12.4, 13.6],
    least: 11.7,
    most: 14.3,
    scatter: 0.08,
    readsTo: 0.1,
    states: [
      ['cold', 0],
      ['warm', 2.6],
    ],
  },
  'disc-thickness': {
    on: 'disc',
    instrument: 'caliper',
    sound: [8, 8.4],
    least: 7,
    scatter: 0.04,
    readsTo: 0.1,
    states: [
      ['pressed', 0],
      ['free', 0.8],
    ],
  },
  'rivet-depth': {
    on: 'disc',
    instrument: 'caliper',
    sound: [1, 1.4],
    least: 0.3,
    scatter: 0.03,
    readsTo: 0.1,
    states: [['dry', 0]],
  },
  'disc-run-out': {
    on: 'disc',
    instrument: 'dial-gauge',
    sound: [0.2, 0.45],
    most: 0.7,
    scatter: 0.02,
    readsTo: 0.01,
    states: [['free', 0]],
  },
  'flywheel-flat': {
    on: 'flywheel',
    instrument: 'straightedge',
    sound: [0.01, 0.04],
    most: 0.1,
    scatter: 0.006,
    readsTo: 0.01,
    states: [['dry', 0]],
  },
  fingers: {
    on: 'clutch-cover',
    instrument: 'dial-gauge',
    sound: [0.1, 0.3],
    most: 0.5,
    scatter: 0.02,
    readsTo: 0.01,
    // Worked up and down first, or they still stand as they were.
    states: [
      ['free', 0],
      ['pressed', 0.2],
    ],
  },
};

/** What can be measured on a part. */
export const measuresOf = ({ id, kind }: Pick<Part, 'id' | 'kind'>): MeasureId[] =>
  MEASURE_IDS.filter(
    (m) => MEASURES[m].on === kind && (MEASURES[m].part === undefined || MEASURES[m].part === id),
  );

/** From least to most, with an instructor's own in the place of the usual. */
export interface Window {
  readonly least: number | null;
  readonly most: number | null;
}
/** Limits that an instructor has set. */
export type OwnLimits = Partial<Record<MeasureId, { least?: number; most?: number }>>;

/** Friction plates of a pack: as many steels, and the end plate. */
export const frictionsIn = ({ kind, count }: Pick<Part, 'kind' | 'count'>): number =>
  kind === 'pack' ? Math.max(1, (count - 1) / 2) : 1;

/** The window that a part is judged by. */
export function windowOf(
  measure: MeasureId,
  part: Pick<Part, 'kind' | 'count'>,
  own: OwnLimits = {},
): Window {
  const spec = MEASURES[measure];
  const times = spec.each ? frictionsIn(part) : 1;
  const { least = spec.least, most = spec.most } = own[measure] ?? {};
  return {
    least: least === undefined ? null : least * (own[measure]?.least === undefined ? times : 1),
    most: most === undefined ? null : most * (own[measure]?.most === undefined ? times : 1),
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

/** The window as it stands on the shop's sheet: for the state in which it measures. */
export function windowAsMeasured(
  measure: MeasureId,
  part: Pick<Part, 'kind' | 'count'>,
  shop: { readonly school: { readonly cushion: MeasureState }; readonly limits: OwnLimits },
): Window {
  const { least, most } = windowOf(measure, part, shop.limits);
  const by = offsetOf(measure, stateAsked(measure, shop.school));
  return {
    least: least === null ? null : Math.max(0, least + by),
    most: most === null ? null : Math.max(0, most + by),
  };
}

/** What a sound part of this kind would read, from its seed. */
export function soundValue(
  measure: MeasureId,
  part: Pick<Part, 'kind' | 'count'>,
  random: Random,
): number {
  const { sound, each } = MEASURES[measure];
  const times = each ? frictionsIn(part) : 1;
  return times * (sound[0] + random.next() * (sound[1] - sound[0]));
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
