import { allOf, type Family } from '../../family';
import { numberGuess, orderGuess } from '../../guessing';
import { judge } from './grade';
import { ownKey } from './key';
import { reasons } from './reasons';
import type { OwnTypes } from './types';

export const OWN_FAMILY: Family<OwnTypes> = {
  key: (question) => ownKey(question),
  judge,
  reasons,
  // What the instructor asks about is the part in the hand.
  vary: { 'own-choice': null, 'own-number': null, 'own-order': null },
  guess: {
    'own-choice': ({ question, key }) => key.right.length / question.options.length,
    'own-number': ({ question, key }) => numberGuess(key.value, question.tolerance),
    'own-order': ({ key }) => orderGuess(key.order.length),
  },
  dear: [],
  fits: {
    'own-choice': ({ question, answer }) =>
      Number.isInteger(answer.choice) &&
      answer.choice >= 0 &&
      answer.choice < question.options.length,
    'own-number': ({ answer }) => Number.isFinite(answer.value),
    'own-order': ({ question, answer }) =>
      allOf(
        answer.order.map(String),
        question.steps.map((_s, k) => String(k)),
      ),
  },
};
