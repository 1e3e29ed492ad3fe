import type { FamilySubject, Round } from '../family';
import type { Lesson } from '../lesson';
import { familyOf, type Answer, type FamilyName, type Question } from '../question';
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

/** So many wrong commits of one question, and the next round asks the step that is missing by itself. */
const WRONG_BEFORE = 2;

/**
 * The smaller question that a round asks in the place of this one. It counts neither way, and leads back.
 * @param before the rounds before it, in their order
 * @returns `null` where the question itself is asked
 */
export function stepFor(
  lesson: Lesson,
  question: Question,
  before: readonly Round<Answer>[],
): Question | null {
  const { smaller, subject } = subjectsOf(question);
  const about = smaller && subject(lesson, question, null);
  if (!smaller || !about) return null;
  let wrong = 0;
  let next: Question | null = null;
  for (const round of before) {
    if (next) {
      if (wrong === WRONG_BEFORE) wrong = 0;
      next = null;
      continue;
    }
    wrong = round.score < 1 ? wrong + 1 : 0;
    if (wrong === WRONG_BEFORE) next = smaller.twice(question, about, round);
    else next = wrong > 0 ? (smaller.once?.(question, round) ?? null) : null;
    // Where there is no step to ask, two wrong ones are forgotten all the same.
    if (wrong === WRONG_BEFORE && !next) wrong = 0;
  }
  return next;
}

/** What a question lacks when its lesson does not carry it. */
export const missingFault = (question: Question): AnyFault =>
  subjectsOf(question).missing(question);
