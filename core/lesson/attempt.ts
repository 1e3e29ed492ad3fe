import { stringify } from 'safe-stable-stringify';
import type { GearSetSetup } from '../geartrain';
import type { Answer, Confidence } from './question';

/**
 * The record of one student's way through a lesson, version 1. Each answer keeps the gear set it was given
 * on, for one who reads the file; grading draws it again from the student's seed.
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
  /** Answers that this program can't read: kept as they came, never counted. */
  setAside?: UnreadAnswer[];
  seal?: Seal;
}

export interface UnreadAnswer {
  /** Its place among all answers, these included. */
  at: number;
  /** The answer as JSON. */
  raw: string;
}

/** What shows that a record was not changed since, and where it comes from (`seal.ts`). */
export interface Seal {
  /** Public key of the device, 32 bytes in hexadecimal. */
  key: string;
  /** One link for each answer, in order: SHA-256 in hexadecimal. */
  links: string[];
  /** Over the last link and the end of the record, 64 bytes in hexadecimal. */
  signature: string;
}

export interface AttemptAnswer {
  question: string;
  /** 0 for the first try, then one more for each new set of teeth. */
  round: number;
  /** The gear set it was asked about; left out for a question about a unit that the lesson carries. */
  setup?: GearSetSetup;
  /** What was drawn for this student, where a question varies (`posed.ts`). */
  drawn?: string;
  answer: Answer;
  confidence: Confidence;
  /** Why, in the student's own words, where the lesson asks for them; never graded. */
  words?: string;
  at: string;
  /** 0 to 1, as graded when it was committed. */
  score: number;
  misconception?: string;
}

/**
 * One record from two tabs: what is stored stays, since its answers may have been revealed; what only `own` holds comes
 * after it.
 */
export function mergedAttempt(stored: Attempt, own: Attempt): Attempt {
  const given = new Set(stored.answers.map((a) => `${a.question} ${a.round}`));
  const more = own.answers.filter((a) => !given.has(`${a.question} ${a.round}`));
  const finishedAt = stored.finishedAt ?? own.finishedAt;
  return {
    ...stored,
    answers: [...stored.answers, ...more],
    ...(finishedAt === undefined ? {} : { finishedAt }),
  };
}

/** How a record stands to another of the same id. */
export type Continuation = 'same' | 'newer' | 'older' | 'other';

/** newer: `there`, and what was answered after it · older: `there` has more · other: they differ in what both hold */
export function continuationOf(record: Attempt, there: Attempt): Continuation {
  const head = ({ student, lesson, startedAt }: Attempt) => stringify([student, lesson, startedAt]);
  const [own, known] = [record, there].map((a) => a.answers.map((x) => stringify(x)));
  const shared = Math.min(own!.length, known!.length);
  const alike = own!.slice(0, shared).every((x, k) => x === known![k]);
  if (!alike || head(record) !== head(there)) return 'other';
  if (own!.length !== known!.length) return own!.length > known!.length ? 'newer' : 'older';
  if (record.finishedAt !== there.finishedAt)
    return there.finishedAt === undefined
      ? 'newer'
      : record.finishedAt === undefined
        ? 'older'
        : 'other';
  return stringify(record) === stringify(there) ? 'same' : 'other';
}

/** The first try is the prediction that counts; later rounds are practice. */
export const firstTries = (attempt: Attempt): AttemptAnswer[] =>
  attempt.answers.filter((a) => a.round === 0);

/** Share of the first tries that were right, counting parts; `null` when nothing was answered. */
export function attemptScore(attempt: Attempt, questions: number): number | null {
  if (questions === 0) return null;
  return firstTries(attempt).reduce((sum, a) => sum + a.score, 0) / questions;
}
