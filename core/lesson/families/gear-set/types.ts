import type { NamedAlike } from '../../family';
import type { SetClaim } from './claims';
import type { SetSlip } from './slips';
import type { GearSetSetup } from '../../../geartrain';
import type { SetKey, SetKeyFault } from './key';
import type { SetAnswer, SetQuestion } from './kinds';

/** How an answer about one gear set compares with the model's, part by part. */
export type SetPart = 'value' | 'direction' | 'choice' | 'drives' | 'driven' | 'held';

export interface GearSetTypes {
  question: SetQuestion;
  answer: SetAnswer;
  /** The student's own set. */
  subject: { readonly kind: 'gear-set'; readonly setup: GearSetSetup };
  keys: NamedAlike<SetKey>;
  fault: SetKeyFault;
  part: SetPart;
  slip: SetSlip;
  claim: SetClaim;
}
