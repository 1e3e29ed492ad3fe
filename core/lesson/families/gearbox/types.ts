import type { NamedAlike } from '../../family';
import type { GearboxClaim } from './claims';
import type { GearboxKey, GearboxKeyFault } from './key';
import type { GearboxAnswer, GearboxQuestion, GearboxRig } from './kinds';
import type { GearboxSlip } from './slips';

/** Parts of an answer about a gearbox; `of` names the gears of a change. */
export type GearboxPart = 'side' | 'worn' | 'binds' | 'why' | 'change' | 'dip' | 'flare';

export interface GearboxTypes {
  question: GearboxQuestion;
  answer: GearboxAnswer;
  subject: { readonly kind: 'gearbox'; readonly rig: GearboxRig };
  keys: NamedAlike<GearboxKey>;
  fault: GearboxKeyFault;
  part: GearboxPart;
  slip: GearboxSlip;
  claim: GearboxClaim;
}
