import type { TFunction } from 'i18next';
import {
  isClutchQuestion,
  isSetQuestion,
  isUnitQuestion,
  type Misconception,
  type Question,
  type Subject,
} from '../../core/lesson';
import { clutchReason } from './clutchWords';
import { converterReason } from './converterWords';
import { faultReason } from './faultQuestionWords';
import { reasonFor, type Reason } from './reasonWords';
import { unitReason } from './unitWords';

/** Why an answer was wrong, whatever the question is about. @throws Error when the subject does not fit the question */
export function reasonOf(
  t: TFunction,
  misconception: Misconception,
  question: Question,
  subject: Subject,
): Reason {
  switch (subject.kind) {
    case 'set':
      if (isSetQuestion(question)) return reasonFor(t, misconception, subject.setup);
      break;
    case 'unit':
      if (isUnitQuestion(question)) return unitReason(t, misconception, question, subject.unit);
      break;
    case 'converter':
      return converterReason(t, misconception, subject.rig);
    case 'clutch':
      if (isClutchQuestion(question)) return clutchReason(t, misconception, question, subject.rig);
      break;
    case 'fault':
      return faultReason(t, misconception);
  }
  throw new Error(`reasonOf: a question of kind "${question.kind}" is not about a ${subject.kind}`);
}
