import type { GearSetSetup, Unit } from '../geartrain';
import type { AttemptAnswer } from './attempt';
import { caseOf, clutchRigOf, rigOf } from './carried';
import { gradeClutch, type ClutchPart } from './clutchGrade';
import type { ClutchQuestionFault } from './clutchKey';
import { isClutchQuestion, isPackQuestion, type ClutchRig } from './clutchQuestion';
import { gradeConverter, type ConverterPart } from './converterGrade';
import type { ConverterQuestionFault } from './converterKey';
import { isConverterQuestion, type ConverterRig } from './converterQuestion';
import type { FaultQuestionFault } from './faultAnswerKey';
import { gradeFault, type FaultPart } from './faultGrade';
import { isCaseQuestion, isFaultQuestion, type FaultSubject } from './faultQuestion';
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
  | { readonly kind: 'converter'; readonly rig: ConverterRig }
  | { readonly kind: 'clutch'; readonly rig: ClutchRig }
  | { readonly kind: 'fault'; readonly subject: FaultSubject };

export type AnyFault =
  | QuestionFault
  | UnitQuestionFault
  | ConverterQuestionFault
  | ClutchQuestionFault
  | FaultQuestionFault;
export type GradedPart = SetPart | UnitPart | ConverterPart | ClutchPart | FaultPart;

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
  if (isClutchQuestion(question)) {
    const rig = clutchRigOf(lesson, question);
    return rig && { kind: 'clutch', rig };
  }
  if (isCaseQuestion(question)) {
    const faultCase = caseOf(lesson, question);
    return faultCase && { kind: 'fault', subject: { unit: null, faultCase } };
  }
  if (isFaultQuestion(question)) {
    const unit = unitOf(lesson, question) ?? null;
    return unit && { kind: 'fault', subject: { unit, faultCase: null } };
  }
  const unit = isUnitQuestion(question) ? unitOf(lesson, question) : undefined;
  return unit ? { kind: 'unit', unit } : null;
}

/** What a question lacks when its lesson does not carry it. */
export function missingFault(question: Question): AnyFault {
  if (isConverterQuestion(question)) return 'converter-missing';
  if (isClutchQuestion(question))
    return isPackQuestion(question) ? 'pack-missing' : 'clutch-missing';
  return isCaseQuestion(question) ? 'case-missing' : 'unit-missing';
}

/** @throws Error when the answer or the subject does not fit the question */
export function assess(question: Question, subject: Subject | null, answer: Answer): AssessResult {
  if (!subject) return { ok: false, fault: missingFault(question) };
  if (isUnitQuestion(question) && subject.kind === 'unit')
    return gradeUnit(question, subject.unit, answer as Parameters<typeof gradeUnit>[2]);
  if (isConverterQuestion(question) && subject.kind === 'converter')
    return gradeConverter(question, subject.rig, answer as Parameters<typeof gradeConverter>[2]);
  if (isClutchQuestion(question) && subject.kind === 'clutch')
    return gradeClutch(question, subject.rig, answer as Parameters<typeof gradeClutch>[2]);
  if (isFaultQuestion(question) && subject.kind === 'fault')
    return gradeFault(question, subject.subject, answer as Parameters<typeof gradeFault>[2]);
  if (isSetQuestion(question) && subject.kind === 'set')
    return grade(question, subject.setup, answer as Parameters<typeof grade>[2]);
  throw new Error(`assess: a question of kind "${question.kind}" is not about a ${subject.kind}`);
}
