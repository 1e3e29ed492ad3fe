import type { TFunction } from 'i18next';
import {
  answerKey,
  isUnitQuestion,
  type Answer,
  type Misconception,
  type Question,
  type SetAnswer,
  type Subject,
  type UnitAnswer,
} from '../../core/lesson';
import type { Numbers } from '../shared/numbers';
import { answerText, keyText, promptOf, shortAnswer, type Worded } from './questionWords';
import { reasonFor, type Reason } from './reasonWords';
import { unitAnswerText, unitKeyText, unitPrompt, unitReason, unitShort } from './unitWords';

/** Any question with what it is about, put into words. */

/** What is asked. Without its unit a question has only the instructor's words. */
export function promptFor(
  t: TFunction,
  numbers: Numbers,
  question: Question,
  subject: Subject | null,
): string {
  if (isUnitQuestion(question))
    return subject?.kind === 'unit'
      ? unitPrompt(t, question, subject.unit)
      : question.prompt || t(`questionKinds.${question.kind}`);
  return promptOf(t, numbers, question, subject?.kind === 'set' ? subject.setup : question.setup);
}

export function answerFor(
  t: TFunction,
  numbers: Numbers,
  question: Question,
  subject: Subject | null,
  answer: Answer,
): Worded {
  if (!isUnitQuestion(question)) return answerText(t, numbers, question, answer as SetAnswer);
  if (subject?.kind !== 'unit') return { main: t('questionFaults.unit-missing'), detail: '' };
  return unitAnswerText(t, question, subject.unit, answer as UnitAnswer);
}

/** The model's answer; `null` where the question can't be asked as it stands. */
export function rightFor(
  t: TFunction,
  numbers: Numbers,
  question: Question,
  subject: Subject | null,
): Worded | null {
  if (isUnitQuestion(question))
    return subject?.kind === 'unit' ? unitKeyText(t, question, subject.unit) : null;
  const key = answerKey(question, subject?.kind === 'set' ? subject.setup : question.setup);
  return key.ok ? keyText(t, numbers, question, key.key) : null;
}

export function shortFor(
  t: TFunction,
  numbers: Numbers,
  question: Question,
  subject: Subject | null,
  answer: Answer,
  score: number,
): string {
  if (!isUnitQuestion(question)) return shortAnswer(t, numbers, question, answer as SetAnswer);
  if (subject?.kind !== 'unit') return '?';
  return unitShort(t, question, subject.unit, answer as UnitAnswer, score);
}

export function whyFor(
  t: TFunction,
  misconception: Misconception | null,
  question: Question,
  subject: Subject | null,
): Reason | null {
  if (subject?.kind === 'unit' && isUnitQuestion(question))
    return unitReason(t, misconception, question, subject.unit);
  return subject?.kind === 'set' ? reasonFor(t, misconception, subject.setup) : null;
}
