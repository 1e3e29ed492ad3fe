import type { Unit } from '../../../geartrain';
import type {
  BodySetting,
  BoltJob,
  HydraulicPlan,
  PlanFault,
  ShiftMoment,
} from '../../../hydraulics';
import type { Vehicle } from '../../../vehicle';
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

/** What a shift has to keep within: most jerk in m/s³, most flare in rev/min, least pull as a share, most heat in K. */
export interface ShiftLimits {
  jerk: number;
  flare: number;
  dip: number;
  kelvin: number;
}

/** An upshift of a vehicle from this gear, 1 for the first, that has to keep within something. */
export interface LimitedShift extends ShiftLimits {
  vehicle: string;
  gear: number;
  throttle: number;
}

/** Set cable, orifices and accumulator so that a shift keeps within what is asked. */
export interface SetShiftQuestion extends OilQuestionBase, LimitedShift {
  kind: 'set-shift';
  /** As it is found. */
  found: ShiftSetting;
}

/** Draw how hard what comes and what goes is to press over time, so that the shift keeps within what is asked. */
export interface DrawPressuresQuestion extends OilQuestionBase, LimitedShift {
  kind: 'draw-pressures';
}

/** Where a gauge is read: at an element, with the valves standing as in a gear of a lever place, 1 for the first. */
export interface OilGauge {
  lever: string;
  gear: number;
  element: string;
}

/** Two gauges and one shift: which ball of the plate is not in its place? */
export interface WhichBallQuestion extends OilQuestionBase {
  kind: 'which-ball';
  throttle: number;
  /** The one that is gone; only its readings are shown. */
  ball: string;
  gauges: [OilGauge, OilGauge];
  /** The lower gear of the shift. */
  gear: number;
}

/** In which order a valve body's bolts are turned, so that none bends and it comes away, or goes on, as it should. */
export interface BoltOrderQuestion extends OilQuestionBase {
  kind: 'bolt-order';
  job: BoltJob;
  body: BodySetting;
}

/** N of a spring, m of its way and threads that a question may have. */
export const BODY_LIMITS = { spring: [20, 600], travel: [0.002, 0.02] } as const;
export const THIN_THREADS = ['M5', 'M6'] as const;

/** rad up to which a body counts as level (memory: further, an accumulator's piston jams in its bore). */
export const LEVEL = (3 * Math.PI) / 180;
/** Share by which a clamp may be off its own (memory: half of what a torque wrench scatters by anyway). */
export const EVEN = 0.15;

/** What is set of a shift: slack of the cable as a share of its travel, the rest over what it was made as. */
export interface ShiftSetting {
  slack: number;
  /** Way in of what comes, its accumulator's spring, way out of what goes. */
  feed: number;
  spring: number;
  out: number;
}
export const SHIFT_SETTINGS = ['slack', 'feed', 'spring', 'out'] as const;
export const SETTING_LIMITS: Readonly<Record<keyof ShiftSetting, readonly [number, number]>> = {
  slack: [-0.5, 0.5],
  feed: [0.2, 4],
  spring: [0.3, 2],
  out: [0.2, 4],
};
export const AS_MADE: ShiftSetting = { slack: 0, feed: 1, spring: 1, out: 1 };

/** s at which pressures are drawn; between two they run straight, and after the last they stay. */
export const DRAWN_EVERY = 0.1;
export const DRAWN_AT: readonly number[] = Array.from({ length: 9 }, (_v, k) => k * DRAWN_EVERY);

/** Pa at each of those; `going` is empty where a shift lets go of nothing that oil presses on. */
export interface DrawnPressures {
  coming: number[];
  going: number[];
}

export type OilQuestion =
  | SetShiftQuestion
  | DrawPressuresQuestion
  | TraceOilQuestion
  | SpoolPlacesQuestion
  | ShiftSpeedQuestion
  | OilFaultRowQuestion
  | WhichBallQuestion
  | BoltOrderQuestion
  | KickDownQuestion;

export type OilAnswer =
  /** Ids of parts. */
  | { kind: 'trace-oil'; parts: string[] }
  /** Valves that stand up; all others stand down. */
  | { kind: 'spool-places'; up: string[] }
  /** rev/min of the output. */
  | { kind: 'shift-speed'; up: number; down: number }
  /** One for each upshift. */
  | { kind: 'oil-fault-row'; row: ShiftMoment[] }
  /** Id of a ball. */
  | { kind: 'which-ball'; ball: string }
  /** Ids of all bolts, and whether those of one size that follow one another go a turn each in turn. */
  | { kind: 'bolt-order'; order: string[]; inTurns: boolean }
  | { kind: 'kick-down'; gear: number; engineRpm: number }
  | { kind: 'set-shift'; setting: ShiftSetting }
  | ({ kind: 'draw-pressures' } & DrawnPressures);

/** What a question about oil is about. */
export interface OilRig {
  readonly unit: Unit;
  readonly plan: HydraulicPlan;
  /** Of a question in which it rolls. */
  readonly vehicle: Vehicle | null;
}
