import { stringify } from 'safe-stable-stringify';
import type { Attempt, AttemptAnswer } from './attempt';
import { graderOf, posedFor } from './assess';
import type { Assessment } from './grading';
import type { PosedQuestion } from './posed';
import { questionsOf, type AskedQuestion, type Lesson } from './lesson';
import type { Misconception } from './misconceptions';
import type { Confidence, Question } from './question';
import type { Subject } from './families/families';

/**
 * The class book of one lesson: who predicted what, and what the class gets wrong. Everything is graded from the
 * lesson, the question and the student's seed alone: what a record says of its score or of its gear set counts nothing.
 */
export interface ClassBook {
  readonly questions: readonly AskedQuestion[];
  readonly rows: readonly ClassRow[];
  readonly columns: readonly QuestionTally[];
}

export interface ClassRow {
  readonly attempt: Attempt;
  /** First tries in the order of `questions`; `null` where nothing was answered. */
  readonly cells: readonly (ClassCell | null)[];
  readonly total: number;
  /** Ids of the other records of this student in this lesson. */
  readonly twins: readonly string[];
  /** Its answers go into the figures of the class. */
  readonly counts: boolean;
}

/**
 * Why an answer is not counted. misfit: the question can't have been answered so · other-setup: it is about another gear
 * set than this student was given · other-question: it was asked with numbers that are not drawn for this student · ungraded: the question can't be asked as the lesson stands
 */
export type SetAside = 'misfit' | 'other-setup' | 'other-question' | 'ungraded';

export interface ClassCell {
  readonly answer: AttemptAnswer;
  /** As it was when this student was asked. */
  readonly question: Question;
  /** What this student was asked about. */
  readonly subject: Subject | null;
  /** Graded from the model now; `null` where the answer is set aside. */
  readonly score: number | null;
  readonly setAside: SetAside | null;
  /** The ways of thinking that give this answer: none, one, or two between which nothing decides. */
  readonly why: Assessment['why'] | null;
  /** The file states another score than the model gives. */
  readonly differs: boolean;
  /** Later rounds with other teeth. */
  readonly practice: number;
}

export interface QuestionTally {
  readonly answered: number;
  readonly meanScore: number | null;
  /** Most frequent first; of two ways of thinking that explain an answer each counts half. */
  readonly misconceptions: readonly {
    readonly code: Misconception;
    readonly count: number;
    readonly students: readonly string[];
  }[];
}

export interface ConfidenceTally {
  readonly confidence: Confidence;
  readonly answered: number;
  readonly right: number;
}

export interface BookOptions {
  /**
   * Ids of records that count where a student has several; without a choice the first begun counts, since a second record
   * has seen the answers.
   */
  readonly chosen?: readonly string[];
  /** Earlier versions of the lesson, by their hash: an attempt is graded from the one it was begun with. */
  readonly versions?: Readonly<Record<string, Lesson>>;
}

export type BookMaker = (
  lesson: Lesson,
  attempts: readonly Attempt[],
  options?: BookOptions,
) => ClassBook;

export const classBook: BookMaker = (lesson, attempts, options) =>
  bookKeeper()(lesson, attempts, options);

/**
 * Makes class books one after the other, and keeps the key of every question and the grade of every answer: a book that
 * differs by one record costs that record.
 */
export function bookKeeper(): BookMaker {
  const kept: Kept = new Map();
  return (lesson, attempts, options) => bookOf(kept, lesson, attempts, options);
}

/** Graders by question and what it is about, as text. */
type Kept = Map<string, ReturnType<typeof graderOf>>;
/** Past so many questions the keeper starts afresh. */
const MOST_KEPT = 2000;

function bookOf(
  kept: Kept,
  lesson: Lesson,
  attempts: readonly Attempt[],
  { chosen = [], versions = {} }: BookOptions = {},
): ClassBook {
  const questions = questionsOf(lesson);
  const homes = new Map<Lesson, Map<string, Answered>>();
  const own = attempts.filter((a) => a.lesson.id === lesson.id);
  const rows = own.map((attempt): ClassRow => {
    const home = versions[attempt.lesson.hash] ?? lesson;
    const asked = homes.get(home) ?? answeredOf(kept, home);
    homes.set(home, asked);
    const cells = questions.map((q) => cellOf(attempt, q.id, asked.get(q.id)));
    const total = cells.reduce((sum, c) => sum + (c?.score ?? 0), 0);
    const all = own.filter((a) => sameStudent(a.student, attempt.student));
    return {
      attempt,
      cells,
      total: questions.length === 0 ? 0 : total / questions.length,
      twins: all.filter((a) => a !== attempt).map((a) => a.id),
      counts: countingOf(all, chosen) === attempt,
    };
  });
  const counting = rows.filter((r) => r.counts);
  const columns = questions.map((_q, k) => tally(counting, k));
  return { questions, rows, columns };
}

export const sameStudent = (a: string, b: string): boolean =>
  a.trim().toLowerCase() === b.trim().toLowerCase();

const countingOf = (records: readonly Attempt[], chosen: readonly string[]): Attempt | undefined =>
  records.find((a) => chosen.includes(a.id)) ??
  records.reduce<Attempt | undefined>(
    (first, a) => (first && first.startedAt <= a.startedAt ? first : a),
    undefined,
  );

interface Asked extends PosedQuestion {
  readonly grader: ReturnType<typeof graderOf>;
}

/** A question of a lesson, and how a student got it. */
type Answered = (student: string) => Asked;

const answeredOf = (kept: Kept, lesson: Lesson): Map<string, Answered> =>
  new Map(questionsOf(lesson).map((q) => [q.id, gradersOf(kept, lesson, q)]));

/** The key of a question is computed once for the class, and only when somebody answered it; once for each that varies. */
function gradersOf(kept: Kept, lesson: Lesson, { id, question }: AskedQuestion): Answered {
  const known = new Map<string, Asked>();
  return (student) => {
    const seed = { student, lessonId: lesson.id, questionId: id, round: 0 };
    const posed = posedFor(lesson, question, seed);
    const about = posed.question === question ? '' : JSON.stringify(posed.question);
    const asked = known.get(about) ?? {
      ...posed,
      grader: keptGrader(kept, posed.question, posed.subject),
    };
    known.set(about, asked);
    return asked;
  };
}

function keptGrader(kept: Kept, question: Question, subject: Subject | null) {
  const key = JSON.stringify([question, subject]);
  if (kept.size > MOST_KEPT) kept.clear();
  const grader = kept.get(key) ?? gradingOnce(graderOf(question, subject));
  kept.set(key, grader);
  return grader;
}

/** The same answer is the same grade. */
function gradingOnce(grader: ReturnType<typeof graderOf>): ReturnType<typeof graderOf> {
  if (!grader.ok) return grader;
  const grades = new Map<string, Assessment>();
  return {
    ...grader,
    grade(answer) {
      const key = JSON.stringify(answer);
      const grade = grades.get(key) ?? grader.grade(answer);
      grades.set(key, grade);
      return grade;
    },
  };
}

function cellOf(attempt: Attempt, id: string, about: Answered | undefined): ClassCell | null {
  const tries = attempt.answers.filter((a) => a.question === id);
  const answer = tries.find((a) => a.round === 0);
  if (!answer || !about) return null;
  const { question, subject, drawn, grader } = about(attempt.student);
  const cell = { answer, question, subject, practice: tries.length - 1 };
  const aside = (setAside: SetAside): ClassCell => ({
    ...cell,
    score: null,
    setAside,
    why: null,
    differs: false,
  });
  if (answer.answer.kind !== question.kind) return aside('misfit');
  if (!grader.ok) return aside('ungraded');
  if (subject?.kind === 'gear-set' && !sameSetup(answer, subject)) return aside('other-setup');
  if (answer.drawn !== undefined && answer.drawn !== drawn) return aside('other-question');
  if (!grader.fits(answer.answer)) return aside('misfit');
  const { score, why } = grader.grade(answer.answer);
  const differs = Math.abs(score - answer.score) > 1e-6;
  return { ...cell, score, setAside: null, why, differs };
}

/** Key order does not count: a file may have been written by something else. */
const sameSetup = (
  { setup }: AttemptAnswer,
  subject: Extract<Subject, { kind: 'gear-set' }>,
): boolean => setup === undefined || stringify(setup) === stringify(subject.setup);

function tally(rows: readonly ClassRow[], k: number): QuestionTally {
  const given = rows.flatMap(({ attempt, cells }) => {
    const cell = cells[k];
    return cell && cell.score !== null ? [{ student: attempt.student, cell }] : [];
  });
  const made = new Map<Misconception, { count: number; students: string[] }>();
  for (const { student, cell } of given)
    for (const { slip } of cell.why?.named ?? []) {
      const entry = made.get(slip) ?? { count: 0, students: [] };
      entry.count += 1 / cell.why!.named.length;
      entry.students.push(student);
      made.set(slip, entry);
    }
  return {
    answered: given.length,
    meanScore:
      given.length === 0
        ? null
        : given.reduce((s, { cell }) => s + (cell.score ?? 0), 0) / given.length,
    misconceptions: [...made]
      .map(([code, entry]) => ({ code, ...entry }))
      .sort((x, y) => y.count - x.count),
  };
}

/** Are those who are certain also right? First tries only. */
export function confidenceTally(book: ClassBook): ConfidenceTally[] {
  const cells = book.rows
    .filter((r) => r.counts)
    .flatMap((r) => r.cells)
    .filter((c) => c !== null && c.score !== null)
    .map((c) => c!);
  return (['guess', 'fairly-sure', 'certain'] as const).map((confidence) => {
    const own = cells.filter((c) => c.answer.confidence === confidence);
    return { confidence, answered: own.length, right: own.filter((c) => c.score === 1).length };
  });
}
