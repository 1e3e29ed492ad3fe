import type { PartKind } from './parts';

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
export const STATES = [
  'dry',
  'wet',
  'pressed',
  'free',
  'left-out',
  'cold',
  'warm',
  'worked',
  'as-found',
] as const;
export type MeasureState = (typeof STATES)[number];

/** What a state does to a reading that is taken in it. */
export const STATE_WHYS = [
  'oil-adds',
  'oil-fills',
  'play-taken-up',
  'cushion-flat',
  'cushion-stands',
  'cushion-out',
  'spring-squeezed',
  'disc-stands',
  'fingers-stick',
  'ring-stands-off',
  'coil-warm',
] as const;
export type StateWhy = (typeof STATE_WHYS)[number];

/** A state, what it adds to the reading, and why; `null` for one that nobody takes for another. */
type StateRow = readonly [MeasureState, number, StateWhy | null];

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
  'ring-gap',
  'tips-left',
  'tips-right',
  'engagement-left',
  'engagement-right',
  'shaft-float',
] as const;
export type MeasureId = (typeof MEASURE_IDS)[number];

export interface MeasureSpec {
  readonly on: PartKind;
  /** Only on the part of this id; all of the kind where left out. */
  readonly part?: string;
  /** Only of a part that has something at this side. */
  readonly side?: 0 | 1;
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
  readonly states: readonly StateRow[];
  /** Sound values and limits are for one friction plate: they go by how many there are. */
  readonly each?: true;
  /** Sound values and limits are told against the part's own thickness when it was new. */
  readonly fromSize?: true;
  /** What it is taken for beside a verdict: it chooses the selective part. */
  readonly sets?: true;
}

/** A film of oil is measured with a thickness, and fills some of a gap. */
const DRY: MeasureSpec['states'] = [
  ['dry', 0, null],
  ['wet', 0.04, 'oil-adds'],
];
const DRY_GAP: MeasureSpec['states'] = [
  ['dry', 0, null],
  ['wet', -0.015, 'oil-fills'],
];

/** Of each side of a sleeve: how far its tips are worn flat, and how far it goes over its gear's teeth. */
const tipsAt = (side: 0 | 1): MeasureSpec => ({
  on: 'sleeve',
  side,
  instrument: 'caliper',
  sound: [0.05, 0.18],
  most: 0.5,
  scatter: 0.03,
  readsTo: 0.1,
  states: [['dry', 0, null]],
});
const engagementAt = (side: 0 | 1): MeasureSpec => ({
  on: 'sleeve',
  side,
  instrument: 'caliper',
  sound: [5.2, 6],
  least: 4.8,
  scatter: 0.04,
  readsTo: 0.1,
  states: [['dry', 0, null]],
});

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
      ['free', 0, null],
      ['pressed', -0.25, 'play-taken-up'],
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
      ['free', 0, null],
      ['pressed', -0.2, 'play-taken-up'],
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
      ['pressed', 0, 'cushion-flat'],
      ['free', -0.2, 'cushion-stands'],
      ['left-out', 1.2, 'cushion-out'],
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
      ['free', 0, null],
      ['pressed', -6, 'spring-squeezed'],
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
    sound: [-0.04, 0],
    least: -0.1,
    fromSize: true,
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
      ['cold', 0, null],
      ['warm', 2.6, 'coil-warm'],
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
      ['pressed', 0, null],
      ['free', 0.8, 'disc-stands'],
    ],
  },
  'rivet-depth': {
    on: 'disc',
    instrument: 'caliper',
    sound: [1, 1.4],
    least: 0.3,
    scatter: 0.03,
    readsTo: 0.1,
    states: [['dry', 0, null]],
  },
  'disc-run-out': {
    on: 'disc',
    instrument: 'dial-gauge',
    sound: [0.2, 0.45],
    most: 0.7,
    scatter: 0.02,
    readsTo: 0.01,
    states: [['free', 0, null]],
  },
  'flywheel-flat': {
    on: 'flywheel',
    instrument: 'straightedge',
    sound: [0.01, 0.04],
    most: 0.1,
    scatter: 0.006,
    readsTo: 0.01,
    states: [['dry', 0, null]],
  },
  fingers: {
    on: 'clutch-cover',
    instrument: 'dial-gauge',
    sound: [0.1, 0.3],
    most: 0.5,
    scatter: 0.02,
    readsTo: 0.01,
    states: [
      ['worked', 0, null],
      ['as-found', 0.2, 'fingers-stick'],
    ],
  },
  'ring-gap': {
    on: 'blocker-rings',
    instrument: 'feeler',
    sound: [0.85, 1.2],
    least: 0.5,
    scatter: 0.02,
    readsTo: 0.05,
    states: [
      ['pressed', 0, null],
      ['free', 0.25, 'ring-stands-off'],
    ],
  },
  'tips-left': tipsAt(0),
  'tips-right': tipsAt(1),
  'engagement-left': engagementAt(0),
  'engagement-right': engagementAt(1),
  'shaft-float': {
    on: 'shaft-bearing',
    instrument: 'dial-gauge',
    sound: [0.08, 0.16],
    least: 0.05,
    most: 0.2,
    scatter: 0.01,
    readsTo: 0.01,
    states: DRY_GAP,
    sets: true,
  },
};
