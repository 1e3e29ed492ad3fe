import type { CaseFault, DeskEntry, Draw, DriveSymptom, FaultCase, Remedy } from '../../../faults';
import type { Unit } from '../../../geartrain';

/**
 * Questions about faults: of a unit that the lesson carries, or of a case for the Fault desk. Nothing here is an answer
 * but the hidden cause itself: what it looks like, and how well it was found, are computed.
 */

/** Given a fault, predict its row of the symptom table: what each range does. */
export interface SymptomRowQuestion {
  kind: 'symptom-row';
  prompt: string;
  /** Id of a unit that the lesson carries. */
  unit: string;
  fault: CaseFault;
  /** Ranges that are asked for. */
  ranges: string[];
  /** Every student gets a fault of their own; the instructor's wording then gives way to the program's. */
  vary?: boolean;
}

/** Given what each range does, name the element that has failed. */
export interface WhichElementQuestion {
  kind: 'which-element';
  prompt: string;
  unit: string;
  /** Of an element. */
  fault: CaseFault;
  vary?: boolean;
}

/** Given a complaint and some readings, choose the check that says most for its minutes. */
export interface WhichTestQuestion {
  kind: 'which-test';
  prompt: string;
  /** Id of a case that the lesson carries. */
  case: string;
  /** Checks that have been made already. */
  done: string[];
  /** Checks to choose from. */
  offered: string[];
  /** Every student gets more checks to choose from, in an order of their own. */
  vary?: boolean;
}

/** A whole case at the Fault desk. */
export interface DiagnoseQuestion {
  kind: 'diagnose';
  prompt: string;
  case: string;
  /** Every student gets a fault of their own in the machine of that case. */
  vary?: boolean;
  /** Another fault for that machine, drawn by its seed. */
  draw?: Draw;
}

export type FaultQuestion =
  | SymptomRowQuestion
  | WhichElementQuestion
  | WhichTestQuestion
  | DiagnoseQuestion;
/** Questions that weigh a whole case: their keys take a second, so they are worked out once, in a worker. */
export type CaseQuestion = WhichTestQuestion | DiagnoseQuestion;

export const isCaseQuestion = <Q extends { kind: string }>(
  question: Q,
): question is Q & CaseQuestion => question.kind === 'which-test' || question.kind === 'diagnose';

export interface SaidCell {
  range: string;
  drive: DriveSymptom;
}

export type FaultAnswer =
  | { kind: 'symptom-row'; cells: SaidCell[] }
  | { kind: 'which-element'; element: string }
  | { kind: 'which-test'; check: string }
  | { kind: 'diagnose'; entries: DeskEntry[]; cause: string; remedy: Remedy };

/** What a question about faults is about; what it does not name is `null`. */
export interface FaultSubject {
  readonly unit: Unit | null;
  readonly faultCase: FaultCase | null;
}
