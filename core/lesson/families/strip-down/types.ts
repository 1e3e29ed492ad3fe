import type { NamedAlike } from '../../family';
import type { StripClaim } from './claims';
import type { StripKey, StripKeyFault } from './key';
import type { StripAnswer, StripQuestion, StripSubject } from './kinds';
import type { StripSlip } from './slips';

/** Parts of an answer about a job; `of` names the two parts of a step. */
export type StripPart =
  | 'none-stuck'
  | 'none-missed'
  | 'step'
  | 'why'
  | 'way'
  | 'becomes'
  | 'decision'
  | 'reason'
  | 'value'
  | 'side'
  | 'size'
  | 'before'
  | 'off'
  | 'inspect'
  | 'order'
  | 'together';

export interface StripTypes {
  question: StripQuestion;
  answer: StripAnswer;
  subject: { readonly kind: 'strip-down'; readonly subject: StripSubject };
  keys: NamedAlike<StripKey>;
  fault: StripKeyFault;
  part: StripPart;
  slip: StripSlip;
  claim: StripClaim;
}
