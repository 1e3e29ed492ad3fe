import { readFileSync } from 'node:fs';
import i18next, { type TFunction } from 'i18next';
import { openFile, openValue } from '../core/formats';
import {
  classBook,
  graderOf,
  questionsOf,
  posedFor,
  type Answer,
  type Attempt,
  type Lesson,
  type Misconception,
  type Question,
  type Subject,
} from '../core/lesson';
import { numbersIn } from '../web/shared/numbers';
import { whyFor } from '../web/lessons/families/words';
import type { Say } from './say';

const USAGE = 'Usage: npm run -s grade -- LESSON [--attempt FILE]… [--answers FILE]';

interface Asked {
  lesson: string;
  attempts: string[];
  answers: string | null;
}

function readArgs(args: readonly string[]): Asked | null {
  const asked: Asked = { lesson: '', attempts: [], answers: null };
  for (let k = 0; k < args.length; k++) {
    const word = args[k]!;
    if (word === '--attempt' || word === '--answers') {
      const file = args[++k];
      if (file === undefined || (word === '--answers' && asked.answers !== null)) return null;
      if (word === '--attempt') asked.attempts.push(file);
      else asked.answers = file;
    } else if (word.startsWith('-') || asked.lesson !== '') return null;
    else asked.lesson = word;
  }
  return asked.lesson === '' ? null : asked;
}

/** A line of the result: one question, as one student answered it. */
interface Graded {
  readonly id: string;
  readonly kind: string;
  /** Id of the record; left out where answers came by themselves. */
  readonly attempt?: string;
  /** What is right, computed from the model; `null` where the question can't be asked. */
  readonly key: unknown;
  readonly answer: Answer | null;
  /** 0 to 1; `null` where nothing is graded. */
  readonly score: number | null;
  readonly right: boolean | null;
  readonly reasons: readonly { readonly code: Misconception; readonly text: string }[];
}

function line(
  t: TFunction,
  id: string,
  question: Question,
  subject: Subject | null,
  answer: Answer | null,
  attempt?: string,
): Graded {
  const grader = graderOf(question, subject);
  const grade = grader.ok && answer && grader.fits(answer) ? grader.grade(answer) : null;
  return {
    id,
    kind: question.kind,
    ...(attempt === undefined ? {} : { attempt }),
    key: grader.ok ? grader.key : null,
    answer,
    score: grade?.score ?? null,
    right: grade ? grade.score === 1 : null,
    reasons:
      grade && subject
        ? grade.why.named.map((n) => ({
            code: n.slip,
            text: whyFor(
              t,
              numbersIn('si', t),
              { named: [n], fitting: 1, facts: [] },
              question,
              subject,
            ).facts.join(' '),
          }))
        : [],
  };
}

function ofAnswers(t: TFunction, lesson: Lesson, answers: Readonly<Record<string, Answer>>) {
  return questionsOf(lesson).map(({ id, question }) => {
    const seed = { student: '', lessonId: lesson.id, questionId: id, round: 0 };
    const answer = answers[id] ?? null;
    const posed = posedFor(lesson, question, seed);
    return line(t, id, posed.question, posed.subject, answer);
  });
}

function ofAttempt(t: TFunction, lesson: Lesson, attempt: Attempt) {
  const { cells } = classBook(lesson, [attempt]).rows[0]!;
  return questionsOf(lesson).map(({ id, question }, k) => {
    const cell = cells[k];
    const seed = { student: attempt.student, lessonId: lesson.id, questionId: id, round: 0 };
    const posed = cell ?? posedFor(lesson, question, seed);
    const counted = cell && cell.setAside === null ? cell.answer.answer : null;
    return line(t, id, posed.question, posed.subject, counted, attempt.id);
  });
}

const words = (): TFunction => {
  const read = (file: string) =>
    JSON.parse(
      readFileSync(new URL(`../web/app/words/${file}.json`, import.meta.url), 'utf8'),
    ) as object;
  const instance = i18next.createInstance();
  void instance.init({
    lng: 'en',
    initAsync: false,
    resources: { en: { translation: { ...read('en'), ...read('start.en') } } },
    interpolation: { escapeValue: false },
  });
  return instance.t;
};

/**
 * `npm run -s grade -- LESSON [--attempt FILE]… [--answers FILE]`: grades by the door that player and class book use, and
 * writes a JSON array: one entry for each question, for each record and for the answers (`{ questionId: answer }`); without
 * either, the right answers alone. Returns 1 when a file can't be read or is of another kind, 2 when the call is not one.
 */
export function grade(args: readonly string[], say: Say): number {
  const asked = readArgs(args);
  if (!asked) {
    say.wrong(USAGE);
    return 2;
  }
  try {
    const lesson = lessonIn(asked.lesson);
    const t = words();
    const graded = asked.attempts.flatMap((file) => ofAttempt(t, lesson, attemptIn(file)));
    if (asked.answers !== null || asked.attempts.length === 0)
      graded.push(
        ...ofAnswers(t, lesson, asked.answers === null ? {} : answersIn(asked.answers, lesson)),
      );
    say.line(JSON.stringify(graded, plain, 2));
    return 0;
  } catch (error) {
    say.wrong(error instanceof Error ? error.message : String(error));
    return 1;
  }
}

/** Exact numbers are whole numbers of any size: they are written as numbers. */
const plain = (_key: string, value: unknown): unknown =>
  typeof value === 'bigint' ? Number(value) : value;

const bytesOf = (file: string): Uint8Array => {
  try {
    return new Uint8Array(readFileSync(file));
  } catch (error) {
    throw new Error(`${file}: can't be read`, { cause: error });
  }
};

function lessonIn(file: string): Lesson {
  const opened = openFile(bytesOf(file));
  if (!opened.ok) throw new Error(`${file}: ${opened.failure.cause}`);
  if (opened.file.kind !== 'lesson') throw new Error(`${file}: expected a lesson`);
  return opened.file.pack.lesson;
}

function attemptIn(file: string): Attempt {
  const opened = openFile(bytesOf(file));
  if (!opened.ok) throw new Error(`${file}: ${opened.failure.cause}`);
  if (opened.file.kind !== 'document' || opened.file.format !== 'fair-sprocket/attempt')
    throw new Error(`${file}: expected a record of an attempt`);
  return opened.file.document as Attempt;
}

/** Read as a record's answers are: one that no question can have is left out. */
function answersIn(file: string, lesson: Lesson): Record<string, Answer> {
  const text = new TextDecoder().decode(bytesOf(file));
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    throw new Error(`${file}: expected JSON`);
  }
  if (typeof value !== 'object' || value === null || Array.isArray(value))
    throw new Error(`${file}: expected { questionId: answer }`);
  const at = '2000-01-01T00:00:00Z';
  const record = {
    format: 'fair-sprocket/attempt',
    version: 1,
    id: 'answers',
    student: 'answers',
    lesson: { id: lesson.id, title: lesson.title, hash: '0'.repeat(64) },
    startedAt: at,
    answers: Object.entries(value).map(([question, answer]: [string, unknown]) => ({
      question,
      round: 0,
      answer,
      confidence: 'certain',
      at,
      score: 0,
    })),
  };
  const opened = openValue(record, 'fair-sprocket/attempt');
  if (!opened.ok) throw new Error(`${file}: ${opened.failure.cause}`);
  return Object.fromEntries(opened.document.answers.map((a) => [a.question, a.answer]));
}
