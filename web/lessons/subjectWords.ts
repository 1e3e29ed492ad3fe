import type { TFunction } from 'i18next';
import {
  answerKey,
  isClutchQuestion,
  isConverterQuestion,
  isFaultQuestion,
  isSetQuestion,
  isUnitQuestion,
  missingFault,
  type Answer,
  type ClutchAnswer,
  type ConverterAnswer,
  type FaultAnswer,
  type Misconception,
  type Question,
  type SetAnswer,
  type Subject,
  type UnitAnswer,
} from '../../core/lesson';
import type { Numbers } from '../shared/numbers';
import {
  clutchAnswerText,
  clutchKeyText,
  clutchPrompt,
  clutchReason,
  clutchShort,
} from './clutchWords';
import {
  converterAnswerText,
  converterKeyText,
  converterPrompt,
  converterReason,
  converterShort,
} from './converterWords';
import {
  faultAnswerText,
  faultKeyText,
  faultPrompt,
  faultReason,
  faultShort,
} from './faultQuestionWords';
import { answerText, keyText, promptOf, shortAnswer, type Worded } from './questionWords';
import { reasonFor, type Reason } from './reasonWords';
import { unitAnswerText, unitKeyText, unitPrompt, unitReason, unitShort } from './unitWords';

/** Any question with what it is about, put into words. */

/** What is asked. Without what it is about a question has only the instructor's words. */
export function promptFor(
  t: TFunction,
  numbers: Numbers,
  question: Question,
  subject: Subject | null,
): string {
  if (isSetQuestion(question))
    return promptOf(t, numbers, question, subject?.kind === 'set' ? subject.setup : question.setup);
  if (isUnitQuestion(question) && subject?.kind === 'unit')
    return unitPrompt(t, question, subject.unit);
  if (isConverterQuestion(question) && subject?.kind === 'converter')
    return converterPrompt(t, numbers, question, subject.rig);
  if (isClutchQuestion(question) && subject?.kind === 'clutch')
    return clutchPrompt(t, numbers, question, subject.rig);
  if (isFaultQuestion(question) && subject?.kind === 'fault')
    return faultPrompt(t, question, subject.subject);
  return question.prompt || t(`questionKinds.${question.kind}`);
}

export function answerFor(
  t: TFunction,
  numbers: Numbers,
  question: Question,
  subject: Subject | null,
  answer: Answer,
): Worded {
  if (isSetQuestion(question)) return answerText(t, numbers, question, answer as SetAnswer);
  if (isConverterQuestion(question))
    return converterAnswerText(t, numbers, question, answer as ConverterAnswer);
  if (isClutchQuestion(question) && subject?.kind === 'clutch')
    return clutchAnswerText(t, numbers, subject.rig, answer as ClutchAnswer);
  if (isFaultQuestion(question) && subject?.kind === 'fault')
    return faultAnswerText(t, subject.subject, answer as FaultAnswer);
  if (!isUnitQuestion(question) || subject?.kind !== 'unit')
    return { main: t(`questionFaults.${missingFault(question)}`), detail: '' };
  return unitAnswerText(t, question, subject.unit, answer as UnitAnswer);
}

/** The model's answer; `null` where the question can't be asked as it stands. */
export function rightFor(
  t: TFunction,
  numbers: Numbers,
  question: Question,
  subject: Subject | null,
): Worded | null {
  if (isConverterQuestion(question))
    return subject?.kind === 'converter'
      ? converterKeyText(t, numbers, question, subject.rig)
      : null;
  if (isClutchQuestion(question))
    return subject?.kind === 'clutch' ? clutchKeyText(t, numbers, question, subject.rig) : null;
  if (isUnitQuestion(question))
    return subject?.kind === 'unit' ? unitKeyText(t, question, subject.unit) : null;
  if (isFaultQuestion(question))
    return subject?.kind === 'fault' ? faultKeyText(t, question, subject.subject) : null;
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
  if (isSetQuestion(question)) return shortAnswer(t, numbers, question, answer as SetAnswer);
  if (isConverterQuestion(question))
    return converterShort(t, numbers, question, answer as ConverterAnswer, score);
  if (isClutchQuestion(question) && subject?.kind === 'clutch')
    return clutchShort(t, numbers, subject.rig, answer as ClutchAnswer, score);
  if (isFaultQuestion(question) && subject?.kind === 'fault')
    return faultShort(t, subject.subject, answer as FaultAnswer, score);
  if (!isUnitQuestion(question) || subject?.kind !== 'unit') return '?';
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
  if (subject?.kind === 'converter') return converterReason(t, misconception, subject.rig);
  if (subject?.kind === 'clutch' && isClutchQuestion(question))
    return clutchReason(t, misconception, question, subject.rig);
  if (subject?.kind === 'fault') return faultReason(t, misconception);
  return subject?.kind === 'set' ? reasonFor(t, misconception, subject.setup) : null;
}
