import type { Attempt, AttemptAnswer } from './attempt';
import { assess, subjectOf, type AssessResult } from './assess';
import { clutchGrader } from './clutchGrade';
import { isClutchQuestion, type ClutchAnswer } from './clutchQuestion';
import { converterGrader } from './converterGrade';
import { isConverterQuestion, type ConverterAnswer } from './converterQuestion';
import { isCaseQuestion } from './faultQuestion';
import { questionsOf, type AskedQuestion, type Lesson } from './lesson';
import type { Misconception } from './misconceptions';
import type { Confidence } from './question';

/** The class book of one lesson: who predicted what, and what the class gets wrong. */
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
}

export interface ClassCell {
  readonly answer: AttemptAnswer;
  /** Graded again from the model now. */
  readonly score: number;
  readonly misconception: Misconception | null;
  /** The file states another score than the model gives. */
  readonly differs: boolean;
  /** Later rounds with other teeth. */
  readonly practice: number;
}

export interface QuestionTally {
  readonly answered: number;
  readonly meanScore: number | null;
  /** Most frequent first. */
  readonly misconceptions: readonly { readonly code: Misconception; readonly count: number }[];
}

export interface ConfidenceTally {
  readonly confidence: Confidence;
  readonly answered: number;
  readonly right: number;
}

export function classBook(lesson: Lesson, attempts: readonly Attempt[]): ClassBook {
  const questions = questionsOf(lesson);
  const graders = questions.map((asked) => graderOf(lesson, asked));
  const rows = attempts
    .filter((a) => a.lesson.id === lesson.id)
    .map((attempt) => {
      const cells = questions.map((q, k) => cellOf(attempt, q, graders[k]!));
      const total = cells.reduce((sum, c) => sum + (c?.score ?? 0), 0);
      return { attempt, cells, total: questions.length === 0 ? 0 : total / questions.length };
    });
  const columns = questions.map((_q, k) => tally(rows.map((r) => r.cells[k] ?? null)));
  return { questions, rows, columns };
}

/** `null`: the score stands as it was committed. */
type Grader = (answer: AttemptAnswer) => AssessResult | null;

/**
 * The key of a converter or a clutch may take a whole launch: it is computed once for the class. A whole case is weighed
 * where it was committed; its score stands.
 */
function graderOf(lesson: Lesson, { question }: AskedQuestion): Grader {
  if (isCaseQuestion(question)) return () => null;
  const subject = subjectOf(lesson, question, null);
  if (isConverterQuestion(question) && subject?.kind === 'converter') {
    const grader = converterGrader(question, subject.rig);
    return ({ answer }) =>
      grader.ok ? { ok: true, grade: grader.grade(answer as ConverterAnswer) } : grader;
  }
  if (isClutchQuestion(question) && subject?.kind === 'clutch') {
    const grader = clutchGrader(question, subject.rig);
    return ({ answer }) =>
      grader.ok ? { ok: true, grade: grader.grade(answer as ClutchAnswer) } : grader;
  }
  return (answer) => assess(question, subjectOf(lesson, question, answer), answer.answer);
}

function cellOf(attempt: Attempt, asked: AskedQuestion, grader: Grader): ClassCell | null {
  const tries = attempt.answers.filter((a) => a.question === asked.id);
  const answer = tries.find((a) => a.round === 0);
  if (!answer) return null;
  const practice = tries.length - 1;
  const graded = answer.answer.kind === asked.question.kind ? grader(answer) : null;
  if (!graded?.ok)
    return {
      answer,
      score: answer.score,
      misconception: answer.misconception ?? null,
      differs: false,
      practice,
    };
  const { score, misconception } = graded.grade;
  return { answer, score, misconception, differs: Math.abs(score - answer.score) > 1e-6, practice };
}

function tally(cells: readonly (ClassCell | null)[]): QuestionTally {
  const given = cells.filter((c) => c !== null);
  const counts = new Map<Misconception, number>();
  for (const { misconception } of given)
    if (misconception) counts.set(misconception, (counts.get(misconception) ?? 0) + 1);
  const misconceptions = [...counts]
    .map(([code, count]) => ({ code, count }))
    .sort((a, b) => b.count - a.count);
  const sum = given.reduce((s, c) => s + c.score, 0);
  return {
    answered: given.length,
    meanScore: given.length === 0 ? null : sum / given.length,
    misconceptions,
  };
}

/** Are those who are certain also right? First tries only. */
export function confidenceTally(book: ClassBook): ConfidenceTally[] {
  const cells = book.rows.flatMap((r) => r.cells).filter((c) => c !== null);
  return (['guess', 'fairly-sure', 'certain'] as const).map((confidence) => {
    const own = cells.filter((c) => c.answer.confidence === confidence);
    return { confidence, answered: own.length, right: own.filter((c) => c.score === 1).length };
  });
}
