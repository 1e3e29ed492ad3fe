import type { Keyed, NamedAlike, ThoughtOf } from '../../family';
import type { OilClaim } from './claims';
import type { OilKey, OilKeyFault } from './key';
import type { OilAnswer, OilQuestion, OilRig } from './kinds';
import type { OilSlip } from './slips';

/** Parts of an answer about oil; `of` names the part of the plan or the shift. */
export type OilPart =
  | 'on-path'
  | 'off-path'
  | 'spool'
  | 'speed-up'
  | 'speed-down'
  | 'moment'
  | 'ball'
  | 'kicked'
  | 'engine-then'
  | 'gear-taken'
  | 'jerk-kept'
  | 'flare-kept'
  | 'pull-kept'
  | 'heat-kept'
  | 'bolts-whole'
  | 'comes-level'
  | 'clamped-evenly';

export interface OilTypes {
  question: OilQuestion;
  answer: OilAnswer;
  subject: { readonly kind: 'oil'; readonly rig: OilRig };
  keys: NamedAlike<OilKey>;
  fault: OilKeyFault;
  part: OilPart;
  slip: OilSlip;
  claim: OilClaim;
}

export type KeyedOf<K extends OilTypes['question']['kind']> = Keyed<OilTypes, K>;
export type Thoughts<K extends OilTypes['question']['kind']> = ThoughtOf<OilTypes, K>[];
