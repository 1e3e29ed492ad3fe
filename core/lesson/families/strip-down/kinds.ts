import type { Decision, Job, JobWork, MeasureId, OrderRule, Reason } from '../../../assembly';
import type { Draw, FaultKind } from '../../../faults';

/**
 * Questions about a job that the lesson carries: what must come off first, which way round a part sits, whether it goes back,
 * what a scale says, and the whole of it. Nothing here is an answer: every key is computed from the job's model.
 */
interface Base {
  prompt: string;
  /** Id of a job that the lesson carries. */
  job: string;
  vary?: boolean;
}

/** Everything of these that may leave now. */
export interface FreeNowQuestion extends Base {
  kind: 'free-now';
  /** Parts that are off already. */
  off: string[];
  /** Parts to choose from. */
  offered: string[];
}

/** In what order these come off, all others being off. */
export interface StripOrderQuestion extends Base {
  kind: 'strip-order';
  parts: string[];
}

/** Why one must leave before the other. */
export interface WhyFirstQuestion extends Base {
  kind: 'why-first';
  first: string;
  part: string;
}

/** In what row these lie along the axis, from the front. */
export interface LayOutQuestion extends Base {
  kind: 'lay-out';
  parts: string[];
}

/** How a part goes in, and what the wrong way would be on the road. */
export interface WayRoundQuestion extends Base {
  kind: 'way-round';
  part: string;
}

/** What is to be done with a part, and why. */
export interface VerdictQuestion extends Base {
  kind: 'verdict';
  part: string;
}

/** What an instrument shows, and whether that is within its limits. */
export interface ReadGaugeQuestion extends Base {
  kind: 'read-gauge';
  part: string;
  measure: MeasureId;
}

/** Which size of a selective part goes in. */
export interface ChooseSizeQuestion extends Base {
  kind: 'choose-size';
  part: string;
}

/** Above which chance of coming back a new one is worth it. */
export interface WorthItQuestion extends Base {
  kind: 'worth-it';
  part: string;
}

/** The whole job on the bench. */
export interface WholeJobQuestion extends Base {
  kind: 'whole-job';
  /** Other damage in the same machine. */
  draw?: Draw;
}

export type StripQuestion =
  | FreeNowQuestion
  | StripOrderQuestion
  | WhyFirstQuestion
  | LayOutQuestion
  | WayRoundQuestion
  | VerdictQuestion
  | ReadGaugeQuestion
  | ChooseSizeQuestion
  | WorthItQuestion
  | WholeJobQuestion;

/** What a wrong way becomes: a fault of the machine, or nothing that the desk computes. */
export type Becomes = FaultKind | 'nothing';
export type Side = 'inside' | 'outside';

export type StripAnswer =
  | { kind: 'free-now'; parts: string[] }
  | { kind: 'strip-order'; order: string[] }
  | { kind: 'why-first'; rule: OrderRule }
  | { kind: 'lay-out'; order: string[] }
  | { kind: 'way-round'; way: 'right' | 'wrong'; becomes: Becomes }
  | { kind: 'verdict'; decision: Decision; reason: Reason }
  /** mm or Ω. */
  | { kind: 'read-gauge'; value: number; side: Side }
  /** mm. */
  | { kind: 'choose-size'; size: number }
  /** Per cent. */
  | { kind: 'worth-it'; value: number }
  | { kind: 'whole-job'; work: JobWork };

export interface StripSubject {
  readonly job: Job;
}
