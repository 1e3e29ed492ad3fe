import type { GearSetSetup, Unit } from '../geartrain';
import type { AttemptAnswer } from './attempt';
import { rigOf } from './carried';
import { gradeConverter, type ConverterPart } from './converterGrade';
import type { ConverterQuestionFault } from './converterKey';
import { isConverterQuestion, type ConverterRig } from './converterQuestion';
import type { QuestionFault } from './answerKey';
import { grade, type SetPart } from './grade';
import type { Lesson } from './lesson';
import type { Misconception } from './misconceptions';
import { isSetQuestion, type Answer, type Question } from './question';
import { gradeUnit, type UnitPart } from './unitGrade';
import type { UnitQuestionFault } from './unitKey';
import { isUnitQuestion, unitOf } from './unitQuestion';
import { setupForStudent, type VariantSeed } from './variant';

/** What a question is about, for one student: a gear set of their own, or models that the lesson carries. */
export type Subject =
  | { readonly kind: 'set'; readonly setup: GearSetSetup }
  | { readonly kind: 'unit'; readonly unit: Unit }
  | { readonly kind: 'converter'; readonly rig: ConverterRig };

export type AnyFault = QuestionFault | UnitQuestionFault | ConverterQuestionFault;
export type GradedPart = SetPart | UnitPart | ConverterPart;

export interface Assessment {
  /** 0 to 1; parts count alike. */
  readonly score: number;
  readonly parts: readonly { readonly part: GradedPart; readonly right: boolean }[];
  readonly misconception: Misconception | null;
}

export type AssessResult =
  | { readonly ok: true; readonly grade: Assessment }
  | { readonly ok: false; readonly fault: AnyFault };

/** @returns `null` when the lesson does not carry what the question is about */
export const subjectFor = (
  lesson: Lesson,
  question: Question,
  seed: VariantSeed,
): Subject | null =>
  isSetQuestion(question)
    ? { kind: 'set', setup: setupForStudent(question, seed) }
    : carriedSubject(lesson, question);

/** What a recorded answer was about. */
export const subjectOf = (
  lesson: Lesson,
  question: Question,
  answer: Pick<AttemptAnswer, 'setup'> | null,
): Subject | null =>
  isSetQuestion(question)
    ? { kind: 'set', setup: answer?.setup ?? question.setup }
    : carriedSubject(lesson, question);

function carriedSubject(lesson: Lesson, question: Question): Subject | null {
  if (isConverterQuestion(question)) {
    const rig = rigOf(lesson, question);
    return rig && { kind: 'converter', rig };
  }
  const unit = isUnitQuestion(question) ? unitOf(lesson, question) : undefined;
  return unit ? { kind: 'unit', unit } : null;
}

/** @throws Error when the answer or the subject does not fit the question */
export function assess(question: Question, subject: Subject | null, answer: Answer): AssessResult {
  if (!subject)
    return {
      ok: false,
      fault: isConverterQuestion(question) ? 'converter-missing' : 'unit-missing',
    };
  if (isUnitQuestion(question) && subject.kind === 'unit')
    return gradeUnit(question, subject.unit, answer as Parameters<typeof gradeUnit>[2]);
  if (isConverterQuestion(question) && subject.kind === 'converter')
    return gradeConverter(question, subject.rig, answer as Parameters<typeof gradeConverter>[2]);
  if (isSetQuestion(question) && subject.kind === 'set')
    return grade(question, subject.setup, answer as Parameters<typeof grade>[2]);
  throw new Error(`assess: a question of kind "${question.kind}" is not about a ${subject.kind}`);
}
