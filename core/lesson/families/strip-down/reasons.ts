import type { Reasons } from '../../family';
import { stripClaimHolds } from './claims';
import { benchThoughts, benchFacts } from './benchReasons';
import { orderFacts, orderThoughts } from './orderReasons';
import { wholeJobFacts, wholeJobThoughts } from './jobReasons';
import type { StripTypes } from './types';

export const reasons: Reasons<StripTypes> = {
  thoughts: { ...orderThoughts, ...benchThoughts, 'whole-job': wholeJobThoughts },
  facts: { ...orderFacts, ...benchFacts, 'whole-job': wholeJobFacts },
  holds: (claim, { question, subject }) => stripClaimHolds(claim, question, subject.subject),
};
