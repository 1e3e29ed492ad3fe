import type { AnyKeyOf, Family, FamilyTypes, KeyTo } from '../family';
import type { FamilyName, QuestionOf } from '../question';
import { CLUTCH_FAMILY } from './clutch/family';
import type { ClutchTypes } from './clutch/types';
import { CONVERTER_FAMILY } from './converter/family';
import type { ConverterTypes } from './converter/types';
import { FAULT_FAMILY } from './fault/family';
import type { FaultTypes } from './fault/types';
import { GEARBOX_FAMILY } from './gearbox/family';
import type { GearboxTypes } from './gearbox/types';
import { GEAR_SET_FAMILY } from './gear-set/family';
import type { GearSetTypes } from './gear-set/types';
import { OIL_FAMILY } from './oil/family';
import type { OilTypes } from './oil/types';
import { OWN_FAMILY } from './own/family';
import type { OwnTypes } from './own/types';
import { STRIP_FAMILY } from './strip-down/family';
import type { StripTypes } from './strip-down/types';
import { UNIT_FAMILY } from './unit/family';
import type { UnitTypes } from './unit/types';

/** What each family is made of. */
export interface TypesOf {
  'gear-set': GearSetTypes;
  unit: UnitTypes;
  converter: ConverterTypes;
  clutch: ClutchTypes;
  fault: FaultTypes;
  gearbox: GearboxTypes;
  oil: OilTypes;
  'strip-down': StripTypes;
  own: OwnTypes;
}

/** Every family of questions: a new one is a folder beside these, and a row here. */
export const FAMILIES: { readonly [F in FamilyName]: Family<TypesOf[F]> } = {
  'gear-set': GEAR_SET_FAMILY,
  unit: UNIT_FAMILY,
  converter: CONVERTER_FAMILY,
  clutch: CLUTCH_FAMILY,
  fault: FAULT_FAMILY,
  gearbox: GEARBOX_FAMILY,
  oil: OIL_FAMILY,
  'strip-down': STRIP_FAMILY,
  own: OWN_FAMILY,
};

export type SubjectOf<F extends FamilyName> = TypesOf[F]['subject'];
export type KeyOf<F extends FamilyName> = AnyKeyOf<TypesOf[F]>;

/** What a question is about, for one student: a gear set of their own, or models that the lesson carries. */
export type Subject = SubjectOf<FamilyName>;
/** The right answer to a question of any family, computed from its subject. */
export type AnyKey = KeyOf<FamilyName>;
export type AnyFault = TypesOf[FamilyName]['fault'];
export type PartOf<F extends FamilyName> = TypesOf[F]['part'];
export type AnyPart = PartOf<FamilyName>;
export type SlipOf<F extends FamilyName> = TypesOf[F]['slip'];
export type ClaimOf<F extends FamilyName> = TypesOf[F]['claim'];
export type AnyClaim = ClaimOf<FamilyName>;

/** The row of a family whose types are not known here: question, subject, key and answer must be of that family. */
export const familyNamed = (name: FamilyName): Family<AnyTypes> =>
  FAMILIES[name] as unknown as Family<AnyTypes>;

export interface AnyTypes extends FamilyTypes {
  question: QuestionOf<FamilyName>;
  answer: TypesOf[FamilyName]['answer'];
  subject: Subject;
  keys: {
    readonly [K in QuestionOf<FamilyName>['kind']]: {
      readonly [F in FamilyName]: KeyTo<TypesOf[F], K>;
    }[FamilyName];
  };
  fault: AnyFault;
  part: AnyPart;
  slip: SlipOf<FamilyName>;
  claim: AnyClaim;
}
