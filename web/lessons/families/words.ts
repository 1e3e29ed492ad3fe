import type { TFunction } from 'i18next';
import {
  familyOf,
  missingFault,
  type AnyClaim,
  type Answer,
  type FamilyName,
  type Question,
  type Subject,
  type Why,
  type Misconception,
} from '../../../core/lesson';
import type { Numbers } from '../../shared/numbers';
import { plain, type Reason, type Worded } from '../worded';
import { keyLabel, reasonText } from './reasonText';
import { CLUTCH_WORDS } from './clutch/words';
import { CONVERTER_WORDS } from './converter/words';
import type { FamilyWords } from './familyWords';
import { FAULT_WORDS } from './fault/words';
import { GEARBOX_WORDS } from './gearbox/words';
import { GEAR_SET_WORDS } from './gear-set/words';
import { OIL_WORDS } from './oil/words';
import { OWN_WORDS } from './own/words';
import { STRIP_WORDS } from './strip-down/words';
import { UNIT_WORDS } from './unit/words';

/** Any question with what it is about, put into words. */
const WORDS: { readonly [F in FamilyName]: FamilyWords<F> } = {
  'gear-set': GEAR_SET_WORDS,
  unit: UNIT_WORDS,
  converter: CONVERTER_WORDS,
  clutch: CLUTCH_WORDS,
  fault: FAULT_WORDS,
  gearbox: GEARBOX_WORDS,
  oil: OIL_WORDS,
  'strip-down': STRIP_WORDS,
  own: OWN_WORDS,
};

/** The row of a question's family; question, subject, key and answer must be of that family. */
const wordsOf = (question: Question) =>
  WORDS[familyOf(question)] as unknown as FamilyWords<FamilyName>;

/** What is asked. Without what it is about a question has only the instructor's words. */
export const promptFor = (
  t: TFunction,
  numbers: Numbers,
  question: Question,
  subject: Subject | null,
): string =>
  subject
    ? wordsOf(question).prompt(t, numbers, question, subject)
    : question.prompt || t(`questionKinds.${question.kind}`);

export const answerFor = (
  t: TFunction,
  numbers: Numbers,
  question: Question,
  subject: Subject | null,
  answer: Answer,
): Worded =>
  subject
    ? wordsOf(question).answer(t, numbers, question, subject, answer)
    : plain(t(`questionFaults.${missingFault(question)}`));

/** The model's answer; `null` where the question can't be asked as it stands. */
export const rightFor = (
  t: TFunction,
  numbers: Numbers,
  question: Question,
  subject: Subject | null,
): Worded | null => subject && wordsOf(question).key(t, numbers, question, subject);

export const shortFor = (
  t: TFunction,
  numbers: Numbers,
  question: Question,
  subject: Subject | null,
  answer: Answer,
  score: number,
): string =>
  subject ? wordsOf(question).short(t, numbers, question, subject, answer, score) : '?';

/** What was drawn for a question and its prompt does not name. */
export const drawnFor = (t: TFunction, question: Question, subject: Subject): string =>
  wordsOf(question).drawn?.(t, subject) ?? '';

/** What the right answer to a question is headed by. */
export const keyLabelFor = (question: Question) => keyLabel(wordsOf(question));

/** Why an answer is right or wrong, in facts of its own question. */
export const whyFor = (
  t: TFunction,
  numbers: Numbers,
  why: Why<Misconception, AnyClaim>,
  question: Question,
  subject: Subject,
): Reason => reasonText(wordsOf(question), t, numbers, why, question, subject);
