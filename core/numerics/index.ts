export {
  add,
  divide,
  equals,
  fraction,
  gcd,
  isZero,
  multiply,
  negate,
  ONE,
  signOf,
  subtract,
  toNumber,
  toText,
  ZERO,
  type Fraction,
} from './fraction';
export { oneLast, reduceRows, reduceWhole, solveExact, type ReducedRows } from './exactLinear';
export {
  addPolynomials,
  dividePolynomial,
  evaluatePolynomial,
  multiplyPolynomials,
  negatePolynomial,
  unknown,
  type Polynomial,
} from './polynomial';
export { nullVector } from './nullVector';
export { fingerprint, randomFromSeed, seedFrom, type Random } from './random';
export { PIVOT_SHARE, SAME_ANSWER, sameNumber } from './tolerances';
export { monotoneCurve, type Curve } from './monotone';
export { findRoot, type Root } from './root';
export { EXACT, FLOATING, lessScaled, type Arithmetic } from './arithmetic';
export { coneOf, type Cone } from './cone';
export { boxedSolver, type BoxedSolver } from './boxedImpulses';
export { onceFor } from './once';
export { solveDense, solveSymmetric } from './dense';
