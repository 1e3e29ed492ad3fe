import { divide, multiply, negate, signOf, subtract, type Fraction } from './fraction';
import { CANCELLED } from './tolerances';

/** What a method needs of its numbers, so that it is written once for exact and for floating work. */
export interface Arithmetic<T> {
  /** a − f·b; a difference that is only rounding is zero. */
  readonly less: (a: T, f: T, b: T) => T;
  readonly divide: (a: T, b: T) => T;
  readonly negate: (a: T) => T;
  /** −1, 0 or +1. */
  readonly sign: (a: T) => number;
}

export const EXACT: Arithmetic<Fraction> = {
  less: (a, f, b) => subtract(a, multiply(f, b)),
  divide,
  negate,
  sign: signOf,
};

/**
 * a − f·b where what is left of a cancellation counts as zero. It is judged by the numbers that cancelled, so that
 * a speed of 10⁻¹¹ behind a row of large ratios stays what it is.
 */
export function lessScaled(a: number, f: number, b: number): number {
  const taken = f * b;
  const left = a - taken;
  return Math.abs(left) <= CANCELLED * (Math.abs(a) + Math.abs(taken)) ? 0 : left;
}

export const FLOATING: Arithmetic<number> = {
  less: lessScaled,
  divide: (a, b) => a / b,
  negate: (a) => -a,
  sign: Math.sign,
};
