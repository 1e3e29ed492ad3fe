import type { Unit } from '../../../geartrain';
import type { HydraulicPlan, PlanFault } from '../../../hydraulics';
import type { Tolerance } from '../../questionParts';

/**
 * Questions about oil: of a plan and the unit that it feeds, both carried by the lesson. Nothing here is an answer: pressures,
 * spools and speeds are computed from the plan.
 */
interface OilQuestionBase {
  prompt: string;
  /** Ids of a plan and of its unit. */
  hydraulics: string;
  unit: string;
  /** Every student gets numbers of their own; the instructor's wording then gives way to the program's. */
  vary?: boolean;
}

/** Driven from a standstill up to this speed of the output, rev/min. */
interface Driven {
  lever: string;
  throttle: number;
  outputRpm: number;
}

/** Click what the oil goes through from the pump to a piston. */
export interface TraceOilQuestion extends OilQuestionBase, Driven {
  kind: 'trace-oil';
  element: string;
}

/** Say of each shift valve where it stands. */
export interface SpoolPlacesQuestion extends OilQuestionBase, Driven {
  kind: 'spool-places';
}

/** At which output speeds does this pair of gears change, up and down? */
export interface ShiftSpeedQuestion extends OilQuestionBase {
  kind: 'shift-speed';
  /** The lower gear, 1 for the first. */
  gear: number;
  throttle: number;
  /** What is wrong; `null`: nothing. */
  fault: PlanFault | null;
  tolerance: Tolerance;
}

/** What a fault does to the moment of every upshift. */
export interface OilFaultRowQuestion extends OilQuestionBase {
  kind: 'oil-fault-row';
  throttle: number;
  fault: PlanFault;
}

/** The foot goes to the floor at this speed in this gear: which gear comes, and how fast does the engine turn then? */
export interface KickDownQuestion extends OilQuestionBase {
  kind: 'kick-down';
  gear: number;
  throttle: number;
  outputRpm: number;
  tolerance: Tolerance;
}

export type OilQuestion =
  | TraceOilQuestion
  | SpoolPlacesQuestion
  | ShiftSpeedQuestion
  | OilFaultRowQuestion
  | KickDownQuestion;

/** What becomes of the moment of an upshift. */
export const SHIFT_MOMENTS = ['same', 'early', 'late', 'never'] as const;
export type ShiftMoment = (typeof SHIFT_MOMENTS)[number];

export type OilAnswer =
  /** Ids of parts. */
  | { kind: 'trace-oil'; parts: string[] }
  /** Valves that stand up; all others stand down. */
  | { kind: 'spool-places'; up: string[] }
  /** rev/min of the output. */
  | { kind: 'shift-speed'; up: number; down: number }
  /** One for each upshift. */
  | { kind: 'oil-fault-row'; row: ShiftMoment[] }
  | { kind: 'kick-down'; gear: number; engineRpm: number };

/** What a question about oil is about. */
export interface OilRig {
  readonly unit: Unit;
  readonly plan: HydraulicPlan;
}
