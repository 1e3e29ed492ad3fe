import { readdirSync } from 'node:fs';
import { demoFile } from '../../tests/demoFile';
import type { Answer, Attempt, AttemptAnswer, Lesson } from '../index';

/** Lessons of the demo world, and records of them as a student would hand them in. */
export const lessons = readdirSync('demo/lessons').map((file) =>
  demoFile<Lesson>(`lessons/${file.replace('.json', '')}`),
);
/** The class's records. */
export const demoAttempts = (): Attempt[] =>
  readdirSync('demo/attempts').map((file) =>
    demoFile<Attempt>(`attempts/${file.replace('.json', '')}`),
  );
export const entry = (question: string, answer: Answer, more: Partial<AttemptAnswer> = {}) => ({
  question,
  round: 0,
  answer,
  confidence: 'certain' as const,
  at: '2030-01-01T08:10:00Z',
  score: 1,
  ...more,
});
export const record = (
  lesson: Lesson,
  answers: AttemptAnswer[],
  more: Partial<Attempt> = {},
): Attempt => ({
  format: 'fair-sprocket/attempt',
  version: 1,
  id: 'r1',
  student: 'Wend Halyard',
  lesson: { id: lesson.id, title: lesson.title, hash: '0'.repeat(64) },
  startedAt: '2030-01-01T08:00:00Z',
  answers,
  ...more,
});
