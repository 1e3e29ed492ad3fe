import { familyNamed, type AnyFault, type AnyKey, type Subject } from './families/families';
import { missingFault } from './families/subjects';
import type { KeyResult } from './family';
import { graderIn, type Assessment, type GraderResult } from './grading';
import type { Lesson } from './lesson';
import { posedIn, type PosedQuestion } from './posed';
import { familyOf, type Answer, type Question } from './question';
import type { VariantSeed } from './seed';

/** The one door to what a question is about, to its key and to its grading, whatever its family: it loads them all. */

export type AssessResult =
  | { readonly ok: true; readonly grade: Assessment }
  | { readonly ok: false; readonly fault: AnyFault };

/** @throws Error when the subject does not fit the question */
export function keyFor(question: Question, subject: Subject): KeyResult<AnyKey, AnyFault> {
  const name = familyOf(question);
  if (subject.kind !== name)
    throw new Error(`keyFor: a question of kind "${question.kind}" is not about a ${subject.kind}`);
  return familyNamed(name).key(question, subject);
}

/**
 * Grades answers to one question; its key is computed once, however many answers there are.
 * @param known the question's key where it is known already: that of a run or of a case takes long
 * @throws Error when the subject does not fit the question
 */
export function graderOf(
  question: Question,
  subject: Subject | null,
  known?: KeyResult<AnyKey, AnyFault>,
): GraderResult {
  if (!subject) return { ok: false, fault: missingFault(question) };
  const result = known ?? keyFor(question, subject);
  return graderIn(familyNamed(familyOf(question)), question, subject, result);
}

/** The question as this student gets it. @param seed `null`: as it stands */
export const posedFor = (
  lesson: Lesson,
  question: Question,
  seed: VariantSeed | null,
): PosedQuestion => posedIn(familyNamed(familyOf(question)), lesson, question, seed);

/** The question as this student gets it at first. */
export const firstPosed = (
  lesson: Lesson,
  { id, question }: { readonly id: string; readonly question: Question },
  student: string,
): PosedQuestion =>
  posedFor(lesson, question, { student, lessonId: lesson.id, questionId: id, round: 0 });

/** @throws Error when the answer or the subject does not fit the question */
export function assess(question: Question, subject: Subject | null, answer: Answer): AssessResult {
  const grader = graderOf(question, subject);
  return grader.ok ? { ok: true, grade: grader.grade(answer) } : grader;
}
