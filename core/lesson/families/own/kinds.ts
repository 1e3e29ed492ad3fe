import type { Tolerance } from '../../questionParts';

/**
 * An instructor's own questions, about the part in the hand: what is right, and why, is theirs and stands in the question.
 * It is the only stored key there is; every screen says whose it is.
 */
interface OwnQuestionBase {
  prompt: string;
  /** Why it is so, in the instructor's words; empty: nothing is said. */
  reason: string;
}

export interface OwnChoiceQuestion extends OwnQuestionBase {
  kind: 'own-choice';
  options: string[];
  /** Places of the right ones, from 0. */
  right: number[];
}

export interface OwnNumberQuestion extends OwnQuestionBase {
  kind: 'own-number';
  value: number;
  /** As it is written behind the number. */
  unit: string;
  tolerance: Tolerance;
}

export interface OwnOrderQuestion extends OwnQuestionBase {
  kind: 'own-order';
  /** In the right order. */
  steps: string[];
}

export type OwnQuestion = OwnChoiceQuestion | OwnNumberQuestion | OwnOrderQuestion;

export type OwnAnswer =
  | { kind: 'own-choice'; choice: number }
  | { kind: 'own-number'; value: number }
  /** Places of the steps as the question has them. */
  | { kind: 'own-order'; order: number[] };

/** Options or steps that a question may have. */
export const OWN_PARTS = { least: 2, most: 12 } as const;
