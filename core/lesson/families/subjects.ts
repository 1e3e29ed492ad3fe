import type { FamilySubject } from '../family';
import type { Lesson } from '../lesson';
import { familyOf, type FamilyName, type Question } from '../question';
import type { VariantSeed } from '../seed';
import { CLUTCH_SUBJECT } from './clutch/subject';
import { CONVERTER_SUBJECT } from './converter/subject';
import type { AnyFault, AnyTypes, Subject, TypesOf } from './families';
import { FAULT_SUBJECT } from './fault/subject';
import { GEAR_SET_SUBJECT } from './gear-set/subject';
import { OWN_SUBJECT } from './own/subject';
import { UNIT_SUBJECT } from './unit/subject';

/** What the questions of every family are about. */
const SUBJECTS: { readonly [F in FamilyName]: FamilySubject<TypesOf[F]> } = {
  'gear-set': GEAR_SET_SUBJECT,
  unit: UNIT_SUBJECT,
  converter: CONVERTER_SUBJECT,
  clutch: CLUTCH_SUBJECT,
  fault: FAULT_SUBJECT,
  own: OWN_SUBJECT,
};

const subjectsOf = (question: Question) =>
  SUBJECTS[familyOf(question)] as unknown as FamilySubject<AnyTypes>;

/**
 * @param seed of the student who is asked; `null`: as the question itself stands
 * @returns `null` when the lesson does not carry what the question is about
 */
export const subjectFor = (
  lesson: Lesson,
  question: Question,
  seed: VariantSeed | null,
): Subject | null => subjectsOf(question).subject(lesson, question, seed);

/** The smaller question that a round asks in the place of this one; `null` where it asks itself. */
export const stepFor = (question: Question, scores: readonly number[]): Question | null =>
  subjectsOf(question).step?.(question, scores) ?? null;

/** What a question lacks when its lesson does not carry it. */
export const missingFault = (question: Question): AnyFault =>
  subjectsOf(question).missing(question);
