import type { Converter, Engine, StatorFault } from '../../../converter';
import type { Unit } from '../../../geartrain';
import type { Vehicle } from '../../../vehicle';
import type { Tolerance } from '../../questionParts';

/**
 * Questions about a converter with an engine before it. The lesson carries both, and for a launch a vehicle and a
 * unit too. Nothing here is an answer: keys are computed from the models when they are asked for.
 */
interface ConverterQuestionBase {
  /** The instructor's own wording; empty: the program words it. */
  prompt: string;
  /** Ids of what the lesson carries; empty while nothing is chosen. */
  converter: string;
  engine: string;
  /** Every student gets numbers of their own; the instructor's wording then gives way to the program's. */
  vary?: boolean;
}

/** How the bench is run. */
export interface ConverterSetting {
  /** 0 to 1. */
  throttle: number;
  turbineRpm: number;
  lockUp: boolean;
}

/** What can be read on the bench: × , rev/min, N·m, share, kW. */
export const MEASURES = [
  'torque-ratio',
  'engine-speed',
  'turbine-torque',
  'efficiency',
  'heat',
] as const;
export type Measure = (typeof MEASURES)[number];

/** Operate throttle, brake and lock-up until a reading has the wanted value; the reading is hidden till then. */
export interface OperateQuestion extends ConverterQuestionBase {
  kind: 'operate';
  measure: Measure;
  target: number;
  tolerance: Tolerance;
  /** Where the bench stands when the question opens. */
  start: ConverterSetting;
}

export const MATCH_ASKS = [
  'stall-speed',
  'engine-speed',
  'turbine-torque',
  'coupling-ratio',
  'heat',
] as const;
export type MatchAsk = (typeof MATCH_ASKS)[number];

/** Read a number off the curves of engine and converter. */
export interface ReadMatchQuestion extends ConverterQuestionBase {
  kind: 'read-match';
  ask: MatchAsk;
  throttle: number;
  turbineRpm: number;
  tolerance: Tolerance;
}

export const SKETCHED = ['torque-ratio', 'efficiency', 'capacity'] as const;
export type Sketched = (typeof SKETCHED)[number];

/** Draw the curve over the speed ratio. */
export interface SketchQuestion extends ConverterQuestionBase {
  kind: 'sketch-curve';
  curve: Sketched;
  /** Share of the curve's height that ends, and the area between, may be off. */
  tolerance: number;
}

/** What is changed before a number is asked again. */
export type StallChange =
  | { kind: 'engine'; share: number }
  | { kind: 'altitude'; metres: number }
  | { kind: 'size'; factor: number }
  | { kind: 'stator'; fault: StatorFault };

/**
 * What is asked again after the change: stall speed (rev/min), top speed on the level (m/s), or time to a road speed
 * (s); all at full throttle, without lock-up.
 */
export const CHANGED = ['stall-speed', 'top-speed', 'launch-time'] as const;
export type Changed = (typeof CHANGED)[number];

/** What a number does after a change, and what it is then. */
export interface PredictChangeQuestion extends ConverterQuestionBase {
  kind: 'predict-change';
  of: Changed;
  change: StallChange;
  tolerance: Tolerance;
  /** Only a top speed and a launch need a vehicle and a unit. */
  vehicle: string;
  unit: string;
}

/** Put the events of a launch in order. */
export interface LaunchOrderQuestion extends ConverterQuestionBase {
  kind: 'launch-order';
  vehicle: string;
  unit: string;
  throttle: number;
  /** Rise over run. */
  grade: number;
}

export type ConverterQuestion =
  | OperateQuestion
  | ReadMatchQuestion
  | SketchQuestion
  | PredictChangeQuestion
  | LaunchOrderQuestion;

export const WAYS = ['up', 'down', 'same'] as const;
export type Way = (typeof WAYS)[number];

export type ConverterAnswer =
  | ({ kind: 'operate' } & ConverterSetting)
  | { kind: 'read-match'; value: number }
  /** A value at each of `SKETCH_AT`. */
  | { kind: 'sketch-curve'; values: number[] }
  | { kind: 'predict-change'; way: Way; value: number }
  | { kind: 'launch-order'; order: string[] };

/** Speed ratios at which a sketched curve is taken hold of. */
export const SKETCH_AT: readonly number[] = [0, 0.2, 0.4, 0.6, 0.8, 0.9, 1];

/** What a converter question is about; vehicle and unit only where it asks of a launch. */
export interface ConverterRig {
  readonly converter: Converter;
  readonly engine: Engine;
  readonly vehicle: Vehicle | null;
  readonly unit: Unit | null;
}
