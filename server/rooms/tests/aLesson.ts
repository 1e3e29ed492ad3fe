import type { AttemptAnswer, Lesson } from '../../../core/lesson';
import { demoFile } from '../../../core/tests/demoFile';

/** A lesson that a room is opened on, a question of it, and an answer to that. */
export const lesson = demoFile<Lesson>('lessons/hold-one-drive-one');
export const question = lesson.steps
  .flatMap((s) => s.blocks)
  .find((b) => b.kind === 'question')!.id;
export const entry = (value: number, of = question): AttemptAnswer => ({
  question: of,
  round: 0,
  answer: { kind: 'number', value, direction: 'same' },
  confidence: 'certain',
  at: '2030-01-01T08:00:00.000Z',
  score: 0,
});
