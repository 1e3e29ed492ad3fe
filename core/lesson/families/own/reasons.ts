import type { Asked, Reasons } from '../../family';
import { NumberThoughts } from '../../numberClaims';
import { ownClaimHolds, type OwnClaim } from './claims';
import type { OwnAnswer, OwnQuestion } from './kinds';
import type { OwnSlip } from './slips';
import type { OwnTypes } from './types';

type NumberAnswer = Extract<OwnAnswer, { kind: 'own-number' }>;

const told = ({ question }: { question: OwnQuestion }): OwnClaim[] => [
  { claim: 'own-reason', reason: question.reason },
];

const numberThoughts = ({ question }: Omit<Asked<OwnTypes, 'own-number'>, 'answer'>) =>
  new NumberThoughts<NumberAnswer, OwnSlip, OwnClaim>({
    right: question.value,
    tolerance: question.tolerance,
    answer: (value) => ({ kind: 'own-number', value }),
    valueOf: (a) => a.value,
    facts: told({ question }),
  }).withArithmetic();

export const reasons: Reasons<OwnTypes> = {
  // What a student thinks of a part that the program does not know can't be told.
  thoughts: {
    'own-choice': () => [],
    'own-number': numberThoughts,
    'own-order': () => [],
  },
  facts: { 'own-choice': told, 'own-number': told, 'own-order': told },
  holds: (claim, { question }) => ownClaimHolds(claim, question),
};
