import type { NamedAlike } from '../../family';
import type { ConverterClaim } from './claims';
import type { ConverterSlip } from './slips';
import type { ConverterKey, ConverterKeyFault } from './key';
import type { ConverterAnswer, ConverterQuestion, ConverterRig } from './kinds';

/** Parts of an answer about a converter: of a sketch its ends, its shape, its crossing and the area between. */
export type ConverterPart =
  | 'reading'
  | 'value'
  | 'at-stall'
  | 'at-end'
  | 'shape'
  | 'crossing'
  | 'area'
  | 'way'
  | 'order';

export interface ConverterTypes {
  question: ConverterQuestion;
  answer: ConverterAnswer;
  subject: { readonly kind: 'converter'; readonly rig: ConverterRig };
  keys: NamedAlike<ConverterKey>;
  fault: ConverterKeyFault;
  part: ConverterPart;
  slip: ConverterSlip;
  claim: ConverterClaim;
}
