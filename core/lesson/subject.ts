import type { GearSetSetup, Unit } from '../geartrain';
import type { AnswerKey } from './answerKey';
import { caseOf, clutchRigOf, rigOf } from './carried';
import type { ClutchKey } from './clutchKey';
import { isClutchQuestion, type ClutchRig } from './clutchQuestion';
import type { ConverterKey } from './converterKey';
import { isConverterQuestion, type ConverterRig } from './converterQuestion';
import type { FaultAnswerKey } from './faultAnswerKey';
import { isCaseQuestion, isFaultQuestion, type FaultSubject } from './faultQuestion';
import type { Lesson } from './lesson';
import { isSetQuestion, type Question } from './question';
import type { UnitKey } from './unitKey';
import { isUnitQuestion, unitOf } from './unitQuestion';
import { setupForStudent, type VariantSeed } from './variant';

/** What a question is about, for one student: a gear set of their own, or models that the lesson carries. */
export type Subject =
  | { readonly kind: 'set'; readonly setup: GearSetSetup }
  | { readonly kind: 'unit'; readonly unit: Unit }
  | { readonly kind: 'converter'; readonly rig: ConverterRig }
  | { readonly kind: 'clutch'; readonly rig: ClutchRig }
  | { readonly kind: 'fault'; readonly subject: FaultSubject };

/** The right answer to a question of any family, computed from its subject. */
export type AnyKey = AnswerKey | UnitKey | ConverterKey | ClutchKey | FaultAnswerKey;

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
