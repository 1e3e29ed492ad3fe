import type { Load, Outcome, Unit } from '../../../geartrain';
import type { Direction, Tolerance } from '../../questionParts';

/**
 * Questions about a whole unit. The lesson carries the unit (`lesson.units`); a question names it and the
 * range it is about. Nothing here is an answer: keys are computed from the unit when they are asked for.
 */
interface UnitQuestionBase {
  /** The instructor's own wording; empty: the program words it. */
  prompt: string;
  /** Id of a unit that the lesson carries. */
  unit: string;
  /** Every student gets rows of their own; the instructor's wording then gives way to the program's. */
  vary?: boolean;
}

/** Fill in the elements of some rows; cells named here are given. */
export interface FillChartQuestion extends UnitQuestionBase {
  kind: 'fill-chart';
  ranges: string[];
  /** `RANGE ELEMENT` of every cell that is shown. */
  given: string[];
}

/** Click the members from input to output in the order in which the power goes. */
export interface TracePathQuestion extends UnitQuestionBase {
  kind: 'trace-path';
  range: string;
}

/** What a set of applied elements does: its outcome, and its ratio where it drives. */
export interface RowOutcomeQuestion extends UnitQuestionBase {
  kind: 'row-outcome';
  apply: string[];
  load: Load;
  tolerance: Tolerance;
}

/** Which elements hold the reaction in a range. */
export interface ReactionQuestion extends UnitQuestionBase {
  kind: 'reaction';
  range: string;
}

/** Does the engine brake in a range, and if not, which one-way clutch lets go. */
export interface CoastQuestion extends UnitQuestionBase {
  kind: 'drive-or-coast';
  range: string;
}

export type UnitQuestion =
  | FillChartQuestion
  | TracePathQuestion
  | RowOutcomeQuestion
  | ReactionQuestion
  | CoastQuestion;

export type UnitAnswer =
  /** `RANGE ELEMENT` of every cell that is on, given ones included. */
  | { kind: 'fill-chart'; on: string[] }
  | { kind: 'trace-path'; members: string[] }
  | { kind: 'row-outcome'; outcome: Outcome; ratio?: number; direction?: Direction }
  | { kind: 'reaction'; elements: string[] }
  /** `letsGo`: the one-way clutch that runs over on coast; left out where the engine brakes. */
  | { kind: 'drive-or-coast'; braking: boolean; letsGo?: string };

/** The unit a question is about, as the lesson carries it. */
export const unitOf = (lesson: { units?: Unit[] }, question: { unit: string }): Unit | undefined =>
  lesson.units?.find((u) => u.id === question.unit);

export const cellKey = (range: string, element: string): string => `${range} ${element}`;

/** What a range applies according to the cells that are on. */
export const applyOf = (unit: Unit, range: string, on: readonly string[]): string[] =>
  unit.elements
    .filter((e) => e.kind !== 'one-way' && on.includes(cellKey(range, e.id)))
    .map((e) => e.id);
