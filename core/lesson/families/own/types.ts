import type { NamedAlike } from '../../family';
import type { OwnClaim } from './claims';
import type { OwnKey, OwnKeyFault } from './key';
import type { OwnAnswer, OwnQuestion } from './kinds';
import type { OwnSlip } from './slips';

export type OwnPart = 'choice' | 'value' | 'step';

export interface OwnTypes {
  question: OwnQuestion;
  answer: OwnAnswer;
  /** The part in the hand: no model is asked. */
  subject: { readonly kind: 'own' };
  keys: NamedAlike<OwnKey>;
  fault: OwnKeyFault;
  part: OwnPart;
  slip: OwnSlip;
  claim: OwnClaim;
}
