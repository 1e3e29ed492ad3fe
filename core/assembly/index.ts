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
  type Precedence,
  type StripPlan,
} from './parts';
export { planOf } from './plan';
export {
  checkOrder,
  freeParts,
  legalOrder,
  type OrderResult,
  type Violation,
  type ViolationCode,
} from './order';
