export {
  CONSEQUENCES,
  OPENINGS,
  ORDER_RULES,
  type Consequence,
  type Opening,
  type OrderRule,
  type Part,
  type PartKind,
  type Place,
  type Precedence,
  type StripPlan,
  type Thrust,
} from './parts';
export { hazardsOf } from './hazards';
export { planOf } from './plan';
export {
  checkOrder,
  costOf,
  freeParts,
  legalOrder,
  workOf,
  type Violation,
  type Work,
} from './order';
