import type { Family } from '../../family';
import { within } from '../../questionParts';
import type { OwnTypes } from './types';

export const judge: Family<OwnTypes>['judge'] = {
  'own-choice': ({ key, answer }) => ({
    parts: [{ part: 'choice', right: key.right.includes(answer.choice) }],
  }),
  'own-number': ({ question, key, answer }) => ({
    parts: [
      {
        part: 'value',
        right: within(question.tolerance, key.value, answer.value),
      },
    ],
  }),
  // Step by step, as the orders of launches and adjustments are: each before the next.
  'own-order': ({ question, answer }) => ({
    parts: question.steps.slice(1).map((step, k) => ({
      part: 'step' as const,
      right: answer.order.indexOf(k) < answer.order.indexOf(k + 1),
      of: [question.steps[k]!, step] as const,
    })),
  }),
};
