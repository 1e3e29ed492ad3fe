import type { PartKind } from './parts';

/** What is measured on a part, with what, and in which state: the words of `measureTable.ts`. Lengths mm, resistance Ω. */

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
  'tips-front',
  'tips-rear',
  'engagement-front',
  'engagement-rear',
  'shaft-float',
  'gear-play',
  'fork-gap',
  'ring-bore',
] as const;
export type MeasureId = (typeof MEASURE_IDS)[number];

/** Limits that an instructor has set. */
export type OwnLimits = Partial<Record<MeasureId, { least?: number; most?: number }>>;

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
