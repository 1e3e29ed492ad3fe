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

export interface ClutchTypes {
  question: ClutchQuestion;
  answer: ClutchAnswer;
  subject: { readonly kind: 'clutch'; readonly rig: ClutchRig };
  key: ClutchKey;
  fault: ClutchKeyFault;
  part: ClutchPart;
  slip: ClutchSlip;
  claim: ClutchClaim;
}
