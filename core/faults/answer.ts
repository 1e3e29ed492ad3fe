import type { Check } from './checks';
import { CHECK_SPECS } from './checks';

/** What a check reads: a word, and a figure in SI where the check gives one. */
export interface Answer {
  readonly word: string;
  readonly figure?: number;
}

export interface Reading {
  readonly check: Check;
  readonly answer: Answer;
}

/** How far a figure may lie off and still be the same reading. */
export function tolerance({ kind }: Check, figure: number): number {
  const { share, least } = CHECK_SPECS[kind].reads;
  return Math.max(share * Math.abs(figure), least);
}

/** How many tolerances the two lie apart; `Infinity` where the words differ. */
export function apart(check: Check, given: Answer, expected: Answer): number {
  if (given.word !== expected.word) return Infinity;
  if (given.figure === undefined || expected.figure === undefined) return 0;
  if (given.figure === expected.figure) return 0;
  return Math.abs(given.figure - expected.figure) / tolerance(check, expected.figure);
}

/** What kind of reading it is: its word, or for a bare figure whether it lies low, high or as it should. */
export function readingClass(check: Check, answer: Answer, sound: Answer): string {
  const { figure } = answer;
  if (answer.word !== 'reads' || figure === undefined || sound.figure === undefined)
    return answer.word;
  if (apart(check, answer, sound) <= 1) return 'normal';
  return figure < sound.figure ? 'low' : 'high';
}

/** What a student who knows the trade may call by the name of the other: an engine that runs away between two gears. */
const BY_THE_SAME_NAME: Readonly<Record<string, string>> = { 'slips-in-new-gear': 'flares' };

/** Whether the reading is of the kind that was expected. */
export const borneOutBy = (expected: string, read: string): boolean =>
  expected === read || expected === BY_THE_SAME_NAME[read];

/** The same reading, as closely as it can be read. */
export const agrees = (check: Check, given: Answer, expected: Answer): boolean =>
  apart(check, given, expected) <= 1;

/** Chance that a reading is taken wrongly (memory). */
export const READING_ERROR = 0.01;

/** Chance of this reading where the other is expected: best when they are alike, never nought. */
export function likelihood(
  check: Check,
  given: Answer,
  expected: Answer,
  error = READING_ERROR,
): number {
  const off = apart(check, given, expected);
  return off <= 1 ? Math.max(error, (1 - error) * Math.exp(-0.5 * off * off)) : error;
}
