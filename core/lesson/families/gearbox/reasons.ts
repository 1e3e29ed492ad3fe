import type { Reasons } from '../../family';
import { gearboxClaimHolds } from './claims';
import { crossingFacts, crossingThoughts, waitingFacts, waitingThoughts } from './driveReasons';
import { sideFacts, sideThoughts, twoFacts, twoThoughts } from './sideReasons';
import type { GearboxTypes } from './types';

export const reasons: Reasons<GearboxTypes> = {
  thoughts: {
    'which-side': sideThoughts,
    'two-gears': twoThoughts,
    'set-waiting': waitingThoughts,
    'draw-crossing': crossingThoughts,
  },
  facts: {
    'which-side': sideFacts,
    'two-gears': ({ question, subject: { rig } }) =>
      twoFacts(question.sides, question.clutches, rig),
    'set-waiting': waitingFacts,
    'draw-crossing': crossingFacts,
  },
  holds: (claim, { question, subject }) => gearboxClaimHolds(claim, question, subject.rig),
};
