import type { NamedAlike, Of } from '../../family';
import type { ClutchClaim } from './claims';
import type { ClutchSlip } from './slips';
import type { ClutchKey, ClutchKeyFault } from './key';
import type { ClutchAnswer, ClutchQuestion, ClutchRig } from './kinds';

/** Parts of an answer about a clutch. */
export type ClutchPart =
  | 'play'
  | 'centre'
  | 'gap'
  | 'holds'
  | 'value'
  | 'gear'
  | 'order-works'
  | 'check-last'
  | 'test'
  | 'runs'
  | 'started'
  | 'stays'
  | 'cool'
  | 'thickness'
  | 'limit';

/** Two kinds of question ask two things. */
type ClutchKeys = Omit<NamedAlike<ClutchKey>, 'will-it-hold' | 'upgrade-limit'> & {
  readonly 'will-it-hold': Of<ClutchKey, 'will-it-hold' | 'slips-first'>;
  readonly 'upgrade-limit': Of<ClutchKey, 'upgrade-limit' | 'carried'>;
};

export interface ClutchTypes {
  question: ClutchQuestion;
  answer: ClutchAnswer;
  subject: { readonly kind: 'clutch'; readonly rig: ClutchRig };
  keys: ClutchKeys;
  fault: ClutchKeyFault;
  part: ClutchPart;
  slip: ClutchSlip;
  claim: ClutchClaim;
}
