import type { FamilySubject } from '../family';
import type { Lesson } from '../lesson';
import { familyOf, type FamilyName, type Question } from '../question';
import { CLUTCH_SUBJECT } from './clutch/subject';
import { CONVERTER_SUBJECT } from './converter/subject';
import type { AnyFault, AnyTypes, Subject, TypesOf } from './families';
import { FAULT_SUBJECT } from './fault/subject';
import { GEARBOX_SUBJECT } from './gearbox/subject';
import { GEAR_SET_SUBJECT } from './gear-set/subject';
import { OIL_SUBJECT } from './oil/subject';
import { OWN_SUBJECT } from './own/subject';
import { STRIP_SUBJECT } from './strip-down/subject';
import { UNIT_SUBJECT } from './unit/subject';

/** What the questions of every family are about. */
const SUBJECTS: { readonly [F in FamilyName]: FamilySubject<TypesOf[F]> } = {
  'gear-set': GEAR_SET_SUBJECT,
  unit: UNIT_SUBJECT,
  converter: CONVERTER_SUBJECT,
  clutch: CLUTCH_SUBJECT,
  fault: FAULT_SUBJECT,
  gearbox: GEARBOX_SUBJECT,
  oil: OIL_SUBJECT,
  'strip-down': STRIP_SUBJECT,
  own: OWN_SUBJECT,
};

const subjectsOf = (question: Question) =>
  SUBJECTS[familyOf(question)] as unknown as FamilySubject<AnyTypes>;

/** What a question is about; `null` when the lesson does not carry it. */
export const subjectFor = (lesson: Lesson, question: Question): Subject | null =>
  subjectsOf(question).subject(lesson, question);

/** What a question lacks when its lesson does not carry it. */
export const missingFault = (question: Question): AnyFault =>
  subjectsOf(question).missing(question);
