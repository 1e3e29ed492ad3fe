import type {
  BearingId,
  Clutch,
  ClutchPack,
  Duty,
  Measured,
  Upgrade,
  UpgradeLimit,
} from '../../../clutch';
import type { Engine } from '../../../converter';
import type { Unit } from '../../../geartrain';
import type { Vehicle } from '../../../vehicle';
import type { Tolerance } from '../../questionParts';

/**
 * Questions about dry clutches and wet packs. The lesson carries what they are about. Nothing here is an answer: keys
 * are computed from the models when they are asked for.
 */
interface ClutchQuestionBase {
  /** The instructor's own wording; empty: the program words it. */
  prompt: string;
  /** Id of the clutch that the lesson carries; empty while none is chosen. */
  clutch: string;
  /** Every student gets numbers of their own; the instructor's wording then gives way to the program's. */
  vary?: boolean;
}

interface Driven {
  engine: string;
  vehicle: string;
  unit: string;
}

/** Set the free play: the linkage is out, and is put right with fork rod and turnbuckle. */
export interface SetFreePlayQuestion extends ClutchQuestionBase {
  kind: 'set-free-play';
  /** m lost by the disc. */
  wear: number;
}

export const HOLD_ASKS = ['holds', 'slips-first'] as const;
export type HoldAsk = (typeof HOLD_ASKS)[number];

/** Does it hold in this gear; or in which gear does it slip first as it wears. */
export interface WillItHoldQuestion extends ClutchQuestionBase, Driven {
  kind: 'will-it-hold';
  ask: HoldAsk;
  range: string;
  /** 0 to 1, and rise over run. */
  throttle: number;
  grade: number;
  /** m lost by the disc, share of the facing with oil on it. */
  wear: number;
  oil: number;
  tolerance: Tolerance;
}

/** Put the adjustments in an order that leaves everything in its window. */
export interface AdjustOrderQuestion extends ClutchQuestionBase {
  kind: 'adjust-order';
  /** m that the disc has lost; none where left out. */
  wear?: number;
}

/** Which test tells two bearings apart. */
export interface NoiseTestQuestion extends ClutchQuestionBase {
  kind: 'noise-test';
  engine: string;
  first: BearingId;
  second: BearingId;
}

/** Draw what the feet do, to start on a hill with no more than so much heat. */
export interface DrawStartQuestion extends ClutchQuestionBase, Driven {
  kind: 'draw-start';
  range: string;
  grade: number;
  /** s until which the brake is held. */
  brakeUntil: number;
  /** J in the clutch at most. */
  heat: number;
}

interface PackQuestionBase {
  prompt: string;
  /** Id of the pack that the lesson carries. */
  pack: string;
  vary?: boolean;
}

/** Choose the selective part that brings the clearance into its window. */
export interface ChooseSelectiveQuestion extends PackQuestionBase {
  kind: 'choose-selective';
  /** m of the part that is in when the question opens. */
  fitted: number;
  /** How the clearance is measured; left out, as the pack's maker does. */
  measured?: Measured;
}

export const UPGRADE_ASKS = ['limit', 'carried'] as const;
export type UpgradeAsk = (typeof UPGRADE_ASKS)[number];

/** What gives first after an upgrade; or what a pack that does not slip carries after it. */
export interface UpgradeLimitQuestion extends PackQuestionBase {
  kind: 'upgrade-limit';
  ask: UpgradeAsk;
  upgrade: Upgrade;
  duty: Duty;
  /** N·m that pass through the pack; only read when `ask` is `carried`. */
  load: number;
  tolerance: Tolerance;
}

export type ClutchQuestion =
  | SetFreePlayQuestion
  | WillItHoldQuestion
  | AdjustOrderQuestion
  | NoiseTestQuestion
  | DrawStartQuestion
  | ChooseSelectiveQuestion
  | UpgradeLimitQuestion;

export const isPackQuestion = <Q extends { kind: string }>(
  question: Q,
): question is Q & (ChooseSelectiveQuestion | UpgradeLimitQuestion) =>
  question.kind === 'choose-selective' || question.kind === 'upgrade-limit';

export type ClutchAnswer =
  /** m at the fork's end, m of pedal travel. */
  | { kind: 'set-free-play'; forkRod: number; turnbuckle: number }
  /** N·m, and whether it holds; or the range that slips first. */
  | { kind: 'will-it-hold'; holds?: boolean; value?: number; range?: string }
  | { kind: 'adjust-order'; order: string[] }
  | { kind: 'noise-test'; test: string }
  /** Shares at `FEET_AT`. */
  | { kind: 'draw-start'; pedal: number[]; throttle: number[] }
  /** m. */
  | { kind: 'choose-selective'; thickness: number }
  | { kind: 'upgrade-limit'; limit?: UpgradeLimit; value?: number };

/** What a clutch question is about; what it does not name is `null`. */
export interface ClutchRig {
  readonly clutch: Clutch | null;
  readonly pack: ClutchPack | null;
  readonly engine: Engine | null;
  readonly vehicle: Vehicle | null;
  readonly unit: Unit | null;
}
