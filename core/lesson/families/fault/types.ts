import type { NamedAlike } from '../../family';
import type { FaultClaim } from './claims';
import type { FaultSlip } from './slips';
import type { FaultKey, FaultKeyFault } from './key';
import type { FaultAnswer, FaultQuestion, FaultSubject } from './kinds';

/** Parts of an answer about faults; `of` names the range of a cell. */
export type FaultPart =
  | 'cell'
  | 'element'
  | 'test'
  | 'cause'
  | 'remedy'
  | 'cost'
  | 'support'
  | 'safety';

export interface FaultTypes {
  question: FaultQuestion;
  answer: FaultAnswer;
  subject: { readonly kind: 'fault'; readonly subject: FaultSubject };
  keys: NamedAlike<FaultKey>;
  fault: FaultKeyFault;
  part: FaultPart;
  slip: FaultSlip;
  claim: FaultClaim;
}
