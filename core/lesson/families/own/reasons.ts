import type { Asked, Reasons } from '../../family';
import { arithmeticSlips } from '../../numberClaims';
import { within } from '../../questionParts';
import { ownClaimHolds, type OwnClaim } from './claims';
import type { OwnQuestion } from './kinds';
import type { OwnTypes } from './types';

const told = ({ question }: { question: OwnQuestion }): OwnClaim[] => [
  { claim: 'own-reason', reason: question.reason },
];

type Number = Omit<Asked<OwnTypes, 'own-number'>, 'answer'>;

const numberThoughts = ({ question }: Number) =>
  arithmeticSlips(question.value, question.tolerance).map(
    ({ slip, value, gives, weight, claims }) => ({
      slip,
      weight,
      answer: { kind: 'own-number' as const, value },
      ...(gives ? { gives: (a: { value: number }) => gives(a.value) } : {}),
      claims: (a: { value: number }): OwnClaim[] => [...claims(a.value), ...told({ question })],
    }),
  );

export const reasons: Reasons<OwnTypes> = {
  // What a student thinks of a part that the program does not know can't be told.
  thoughts: {
    'own-choice': () => [],
    'own-number': numberThoughts,
    'own-order': () => [],
  },
  same: {
    'own-choice': ({ answer }, other) => answer.choice === other.choice,
    'own-number': ({ question, answer }, other) =>
      within(question.tolerance, other.value, answer.value),
    'own-order': ({ answer }, other) => answer.order.join() === other.order.join(),
  },
  facts: { 'own-choice': told, 'own-number': told, 'own-order': told },
  holds: (claim, { question }) => ownClaimHolds(claim, question),
};
