import { gradeClutch, type ClutchPart } from './clutchGrade';
import { clutchKey, type ClutchQuestionFault } from './clutchKey';
import { isClutchQuestion, isPackQuestion, type ClutchAnswer } from './clutchQuestion';
import { gradeConverter, type ConverterPart } from './converterGrade';
import { converterKey, type ConverterQuestionFault } from './converterKey';
import { isConverterQuestion, type ConverterAnswer } from './converterQuestion';
import { faultAnswerKey, type FaultQuestionFault } from './faultAnswerKey';
import { gradeFault, type FaultPart } from './faultGrade';
import { isCaseQuestion, isFaultQuestion, type FaultAnswer } from './faultQuestion';
import { answerFits } from './answerFits';
import { answerKey, type QuestionFault } from './answerKey';
import { grade, type SetPart } from './grade';
import type { Misconception } from './misconceptions';
import { isSetQuestion, type Answer, type Question, type SetAnswer } from './question';
import { gradeUnit, type UnitPart } from './unitGrade';
import { unitKey, type UnitQuestionFault } from './unitKey';
import type { AnyKey, Subject } from './subject';
import { isUnitQuestion, type UnitAnswer } from './unitQuestion';

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

/** What a question lacks when its lesson does not carry it. */
export function missingFault(question: Question): AnyFault {
  if (isConverterQuestion(question)) return 'converter-missing';
  if (isClutchQuestion(question))
    return isPackQuestion(question) ? 'pack-missing' : 'clutch-missing';
  return isCaseQuestion(question) ? 'case-missing' : 'unit-missing';
}

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
