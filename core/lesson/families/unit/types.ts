import type { NamedAlike } from '../../family';
import type { UnitClaim } from './claims';
import type { UnitSlip } from './slips';
import type { Unit } from '../../../geartrain';
import type { UnitKey, UnitKeyFault } from './key';
import type { UnitAnswer, UnitQuestion } from './kinds';

/** How an answer about a unit compares with the model's, part by part. */
export type UnitPart =
  | 'row'
  | 'start'
  | 'way'
  | 'end'
  | 'outcome'
  | 'value'
  | 'direction'
  | 'elements'
  | 'braking'
  | 'lets-go';

export interface UnitTypes {
  question: UnitQuestion;
  answer: UnitAnswer;
  subject: { readonly kind: 'unit'; readonly unit: Unit };
  keys: NamedAlike<UnitKey>;
  fault: UnitKeyFault;
  part: UnitPart;
  slip: UnitSlip;
  claim: UnitClaim;
}
