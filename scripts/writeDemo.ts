import { mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { lessonHash, openText } from '../core/formats';
import type { GearSetSetup } from '../core/geartrain';
import {
  isOf,
  assess,
  setKey,
  questionsOf,
  posedFor,
  type Answer,
  type Attempt,
  type AttemptAnswer,
  type Lesson,
  type Question,
} from '../core/lesson';
import { DEMO_CLASS, type DemoAnswer, type DemoAttempt } from './demoClass';
import { FAULT_CLASS } from './faultClass';

/** `npm run demo`: grades the made-up class with the model and writes demo/attempts/. */
const lessons = new Map(
  readdirSync('demo/lessons').map((file) => {
    const opened = openText(readFileSync(`demo/lessons/${file}`, 'utf8'), 'fair-sprocket/lesson');
    if (!opened.ok) throw new Error(`${file}: ${JSON.stringify(opened.failure)}`);
    return [opened.document.id, opened.document];
  }),
);

function answersOf(
  lesson: Lesson,
  student: string,
  given: DemoAnswer,
  at: string,
): AttemptAnswer[] {
  const asked = questionsOf(lesson).find((q) => q.id === given.question);
  if (!asked) throw new Error(`${lesson.id}: expected question ${given.question}`);
  return Array.from({ length: 1 + (given.practice ?? 0) }, (_, round) => {
    const seed = { student, lessonId: lesson.id, questionId: asked.id, round };
    const { question, subject } = posedFor(lesson, asked.question, seed);
    let answer: Answer = given.answer;
    const open = answer.kind === 'number' && Number.isNaN(answer.value);
    if ((round > 0 || open) && answer.kind === 'number' && subject?.kind === 'gear-set')
      answer = rightNumber(question, subject.setup, answer);
    const result = assess(question, subject, answer);
    if (!result.ok) throw new Error(`${lesson.id} ${asked.id}: ${result.fault}`);
    const { score, why } = result.grade;
    const [slip, other] = why.named;
    return {
      question: asked.id,
      round,
      ...(subject?.kind === 'gear-set' ? { setup: subject.setup } : {}),
      answer,
      confidence: given.confidence,
      ...(round === 0 && given.words ? { words: given.words } : {}),
      at,
      score,
      ...(slip && !other ? { misconception: slip.slip } : {}),
    };
  });
}

/** The model's own number, in the form of the given answer. */
function rightNumber(
  question: Question,
  setup: GearSetSetup,
  answer: Answer & { kind: 'number' },
): Answer {
  if (!isOf('gear-set', question)) throw new Error('only a gear set has tooth counts to vary');
  const key = setKey(question, setup);
  if (!key.ok || key.key.kind !== 'number') throw new Error(`${question.kind}: no number`);
  return {
    ...answer,
    value: Number(key.key.value.toFixed(3)),
    ...(answer.direction ? { direction: key.key.direction } : {}),
  };
}

function attemptOf(demo: DemoAttempt, index: number): Attempt {
  const lesson = lessons.get(demo.lesson)!;
  const start = Date.parse(demo.startedAt);
  const minute = (k: number) => new Date(start + k * 60_000).toISOString();
  return {
    format: 'fair-sprocket/attempt',
    version: 1,
    id: `demo-${index + 1}`,
    student: demo.student,
    lesson: { id: lesson.id, title: lesson.title, hash: lessonHash(lesson) },
    startedAt: minute(0),
    ...(demo.finished ? { finishedAt: minute(3 * demo.answers.length + 1) } : {}),
    answers: demo.answers.flatMap((a, k) => answersOf(lesson, demo.student, a, minute(3 * k + 2))),
  };
}

mkdirSync('demo/attempts', { recursive: true });
[...DEMO_CLASS, ...FAULT_CLASS]
  .map(attemptOf)
  .forEach((attempt) =>
    writeFileSync(`demo/attempts/${attempt.id}.json`, `${JSON.stringify(attempt, null, 2)}\n`),
  );
