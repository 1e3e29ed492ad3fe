import type { GearSetSetup, Unit } from '../geartrain';
import { caseOf, clutchRigOf, rigOf } from './carried';
import { gradeClutch, type ClutchPart } from './clutchGrade';
import { clutchKey, type ClutchKey, type ClutchQuestionFault } from './clutchKey';
import {
  isClutchQuestion,
  isPackQuestion,
  type ClutchAnswer,
  type ClutchRig,
} from './clutchQuestion';
import { gradeConverter, type ConverterPart } from './converterGrade';
import { converterKey, type ConverterKey, type ConverterQuestionFault } from './converterKey';
import { isConverterQuestion, type ConverterAnswer, type ConverterRig } from './converterQuestion';
import { faultAnswerKey, type FaultAnswerKey, type FaultQuestionFault } from './faultAnswerKey';
import { gradeFault, type FaultPart } from './faultGrade';
import {
  isCaseQuestion,
  isFaultQuestion,
  type FaultAnswer,
  type FaultSubject,
} from './faultQuestion';
import { answerFits } from './answerFits';
import { answerKey, type AnswerKey, type QuestionFault } from './answerKey';
import { grade, type SetPart } from './grade';
import type { Lesson } from './lesson';
import type { Misconception } from './misconceptions';
import { isSetQuestion, type Answer, type Question, type SetAnswer } from './question';
import { gradeUnit, type UnitPart } from './unitGrade';
import { unitKey, type UnitKey, type UnitQuestionFault } from './unitKey';
import { isUnitQuestion, unitOf, type UnitAnswer } from './unitQuestion';
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

export type AnyKey = AnswerKey | UnitKey | ConverterKey | ClutchKey | FaultAnswerKey;

export type Grader =
  | {
      readonly ok: true;
      readonly key: AnyKey;
      /** The question can have been answered so (`answerFits.ts`). */
      readonly fits: (answer: Answer) => boolean;
      readonly grade: (answer: Answer) => AssessResult;
    }
  | { readonly ok: false; readonly fault: AnyFault };

/**
 * Grades answers to one question; its key is computed once, however many answers there are.
 * @throws Error when the subject does not fit the question; the grader throws when the answer is of another kind
 */
export function graderOf(question: Question, subject: Subject | null): Grader {
  if (!subject) return { ok: false, fault: missingFault(question) };
  const grader = <K extends AnyKey>(
    result: KeyFound<K>,
    judge: (answer: Answer) => AssessResult,
  ): Grader =>
    result.ok
      ? {
          ok: true,
          key: result.key,
          fits: (answer) => answerFits(question, subject, answer, result.key),
          grade: judge,
        }
      : result;
  if (isUnitQuestion(question) && subject.kind === 'unit') {
    const { unit } = subject;
    const key = unitKey(question, unit);
    return grader(key, (answer) => gradeUnit(question, unit, answer as UnitAnswer, key));
  }
  if (isConverterQuestion(question) && subject.kind === 'converter') {
    const { rig } = subject;
    const key = converterKey(question, rig);
    return grader(key, (answer) => gradeConverter(question, rig, answer as ConverterAnswer, key));
  }
  if (isClutchQuestion(question) && subject.kind === 'clutch') {
    const { rig } = subject;
    const key = clutchKey(question, rig);
    return grader(key, (answer) => gradeClutch(question, rig, answer as ClutchAnswer, key));
  }
  if (isFaultQuestion(question) && subject.kind === 'fault') {
    const about = subject.subject;
    const key = faultAnswerKey(question, about);
    return grader(key, (answer) => gradeFault(question, about, answer as FaultAnswer, key));
  }
  if (isSetQuestion(question) && subject.kind === 'set') {
    const { setup } = subject;
    return grader(answerKey(question, setup), (answer) =>
      grade(question, setup, answer as SetAnswer),
    );
  }
  throw new Error(`graderOf: a question of kind "${question.kind}" is not about a ${subject.kind}`);
}

type KeyFound<K> =
  { readonly ok: true; readonly key: K } | { readonly ok: false; readonly fault: AnyFault };

/** @throws Error when the answer or the subject does not fit the question */
export function assess(question: Question, subject: Subject | null, answer: Answer): AssessResult {
  const grader = graderOf(question, subject);
  return grader.ok ? grader.grade(answer) : grader;
}
