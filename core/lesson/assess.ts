import type { GearSetSetup, Unit } from '../geartrain';
import type { AttemptAnswer } from './attempt';
import type { QuestionFault } from './answerKey';
import { grade, type SetPart } from './grade';
import type { Lesson } from './lesson';
import type { Misconception } from './misconceptions';
import type { Answer, Question } from './question';
import { gradeUnit, type UnitPart } from './unitGrade';
import type { UnitQuestionFault } from './unitKey';
import { isUnitQuestion, unitOf } from './unitQuestion';
import { setupForStudent, type VariantSeed } from './variant';

/** What a question is about, for one student: a gear set of their own, or a unit that the lesson carries. */
export type Subject =
  | { readonly kind: 'set'; readonly setup: GearSetSetup }
  | { readonly kind: 'unit'; readonly unit: Unit };

export type AnyFault = QuestionFault | UnitQuestionFault;
export type GradedPart = SetPart | UnitPart;

export interface Assessment {
  /** 0 to 1; parts count alike. */
  readonly score: number;
  readonly parts: readonly { readonly part: GradedPart; readonly right: boolean }[];
  readonly misconception: Misconception | null;
}

export type AssessResult =
  | { readonly ok: true; readonly grade: Assessment }
  | { readonly ok: false; readonly fault: AnyFault };

/** @returns `null` when the lesson does not carry the unit */
export function subjectFor(lesson: Lesson, question: Question, seed: VariantSeed): Subject | null {
  if (!isUnitQuestion(question)) return { kind: 'set', setup: setupForStudent(question, seed) };
  const unit = unitOf(lesson, question);
  return unit ? { kind: 'unit', unit } : null;
}

/** What a recorded answer was about. */
export function subjectOf(
  lesson: Lesson,
  question: Question,
  answer: Pick<AttemptAnswer, 'setup'> | null,
): Subject | null {
  if (!isUnitQuestion(question)) return { kind: 'set', setup: answer?.setup ?? question.setup };
  const unit = unitOf(lesson, question);
  return unit ? { kind: 'unit', unit } : null;
}

/** @throws Error when the answer or the subject does not fit the question */
export function assess(question: Question, subject: Subject | null, answer: Answer): AssessResult {
  if (!subject) return { ok: false, fault: 'unit-missing' };
  if (isUnitQuestion(question) && subject.kind === 'unit')
    return gradeUnit(question, subject.unit, answer as Parameters<typeof gradeUnit>[2]);
  if (!isUnitQuestion(question) && subject.kind === 'set')
    return grade(question, subject.setup, answer as Parameters<typeof grade>[2]);
  throw new Error(`assess: a question of kind "${question.kind}" is not about a ${subject.kind}`);
}
