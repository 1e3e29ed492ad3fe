import type { GearSetSetup } from '../geartrain';
import type { Misconception } from './misconceptions';
import type { Answer, Confidence } from './question';

/**
 * The record of one student's way through a lesson, version 1. Each answer keeps the gear set it was given
 * on, so that it can be graded again from the model at any time; units come from the lesson.
 */
export interface Attempt {
  format: 'fair-sprocket/attempt';
  version: 1;
  id: string;
  /** The name the student typed. */
  student: string;
  lesson: { id: string; title: string; hash: string };
  /** ISO 8601 with offset Z; given by the caller, since core has no clock. */
  startedAt: string;
  finishedAt?: string;
  answers: AttemptAnswer[];
}

export interface AttemptAnswer {
  question: string;
  /** 0 for the first try, then one more for each new set of teeth. */
  round: number;
  /** The gear set it was asked about; left out for a question about a unit that the lesson carries. */
  setup?: GearSetSetup;
  answer: Answer;
  confidence: Confidence;
  at: string;
  /** 0 to 1, as graded when it was committed. */
  score: number;
  misconception?: Misconception;
}

/** The first try is the prediction that counts; later rounds are practice. */
export const firstTries = (attempt: Attempt): AttemptAnswer[] =>
  attempt.answers.filter((a) => a.round === 0);

/** Share of the first tries that were right, counting parts; `null` when nothing was answered. */
export function attemptScore(attempt: Attempt, questions: number): number | null {
  if (questions === 0) return null;
  return firstTries(attempt).reduce((sum, a) => sum + a.score, 0) / questions;
}
