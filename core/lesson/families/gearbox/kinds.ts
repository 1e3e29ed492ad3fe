import type { Engine } from '../../../converter';
import type { Unit } from '../../../geartrain';
import type { Ramps, WornPart } from '../../../shift';
import type { Vehicle } from '../../../vehicle';

/**
 * Questions about gearboxes with sleeves, and about dual clutches, of units that the lesson carries. Nothing here is an answer:
 * what is worn is hidden, and everything that follows from it is computed.
 */
interface GearboxQuestionBase {
  prompt: string;
  /** Id of a unit that the lesson carries. */
  unit: string;
  /** Every student gets numbers of their own; the instructor's wording then gives way to the program's. */
  vary?: boolean;
}

/** From what the driver tells of every gear to the side of a sleeve, and what is worn of it. */
export interface WhichSideQuestion extends GearboxQuestionBase {
  kind: 'which-side';
  part: WornPart;
  /** Side of a sleeve; only read when it is not the clutch. */
  side: string;
  /** mm of flat, mm of gap, share of the engagement left, or N·m that the clutch drags. */
  value: number;
}

/** Two gears are in at once: does it bind, and why. */
export interface TwoGearsQuestion extends GearboxQuestionBase {
  kind: 'two-gears';
  /** Sides of two sleeves. */
  sides: [string, string];
  /** Clutches that are closed. */
  clutches: string[];
}

/** Which gear should wait along a drive. */
export interface SetWaitingQuestion extends GearboxQuestionBase {
  kind: 'set-waiting';
  vehicle: string;
  /** m/s at `SPEED_MARKS`. */
  speeds: number[];
}

/** Draw both clutches' ramps across a gear change. */
export interface DrawCrossingQuestion extends GearboxQuestionBase {
  kind: 'draw-crossing';
  vehicle: string;
  engine: string;
  /** Ranges: the gear that lets go, and the next one up. */
  from: string;
  to: string;
  /** What is allowed: share of the output torque, rev/min. */
  dip: number;
  flare: number;
}

export type GearboxQuestion =
  | WhichSideQuestion
  | TwoGearsQuestion
  | SetWaitingQuestion
  | DrawCrossingQuestion;

/** Why two gears bind, or do not. */
export const BIND_REASONS = ['one-shaft', 'both-clutches', 'open-clutch'] as const;
export type BindReason = (typeof BIND_REASONS)[number];

export type GearboxAnswer =
  /** Without a side where it is the clutch. */
  | { kind: 'which-side'; part: WornPart; side?: string }
  | { kind: 'two-gears'; binds: boolean; why: BindReason }
  /** Ranges, one for each of `WAITING_MARKS`. */
  | { kind: 'set-waiting'; gears: string[] }
  | { kind: 'draw-crossing'; ramps: Ramps };

/** What a question about gearboxes is about; what it does not name is `null`. */
export interface GearboxRig {
  readonly unit: Unit;
  readonly vehicle: Vehicle | null;
  readonly engine: Engine | null;
}
