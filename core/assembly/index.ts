export {
  CONSEQUENCES,
  OPENINGS,
  ORDER_RULES,
  PART_KINDS,
  type Consequence,
  type Opening,
  type OrderRule,
  type OrderWhy,
  type Part,
  type PartKind,
  type Place,
  type Precedence,
  type StripPlan,
} from './parts';
export { hazardOf } from './hazards';
export { planOf } from './plan';
export {
  checkOrder,
  costOf,
  freeParts,
  legalOrder,
  type OrderResult,
  type Violation,
  type ViolationCode,
} from './order';
