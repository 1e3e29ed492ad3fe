/**
 * Exact rational numbers, so that a gear ratio stays a fraction in tooth counts.
 * Always reduced; the denominator is positive.
 */
export interface Fraction {
  readonly num: bigint;
  readonly den: bigint;
}

/** Greatest common divisor, never negative. */
export function gcd(a: bigint, b: bigint): bigint {
  let x = a < 0n ? -a : a;
  let y = b < 0n ? -b : b;
  while (y > SAFE) {
    const rest = x % y;
    x = y;
    y = rest;
  }
  if (y === 0n) return x;
  // Most numbers are small, and plain ones are many times as quick.
  let p = Number(y);
  let q = x > SAFE ? Number(x % y) : Number(x) % p;
  while (q !== 0) {
    const rest = p % q;
    p = q;
    q = rest;
  }
  return BigInt(p);
}

const SAFE = BigInt(Number.MAX_SAFE_INTEGER);

/**
 * A reduced fraction from two whole numbers.
 * @throws Error when `den` is zero, or when a plain number is not a safe whole number.
 */
export function fraction(num: bigint | number, den: bigint | number = 1n): Fraction {
  const n = toBigInt(num);
  const d = toBigInt(den);
  if (d === 0n) throw new Error('fraction: the denominator must not be 0');
  const g = gcd(n, d) || 1n;
  const sign = d < 0n ? -1n : 1n;
  return { num: (sign * n) / g, den: (sign * d) / g };
}

function toBigInt(value: bigint | number): bigint {
  if (typeof value === 'bigint') return value;
  if (!Number.isSafeInteger(value))
    throw new Error(`fraction: expected a whole number, got ${value}`);
  return BigInt(value);
}

export const ZERO: Fraction = { num: 0n, den: 1n };
export const ONE: Fraction = { num: 1n, den: 1n };

export const isZero = (a: Fraction): boolean => a.num === 0n;
export const negate = (a: Fraction): Fraction => ({ num: -a.num, den: a.den });
export const add = (a: Fraction, b: Fraction): Fraction =>
  fraction(a.num * b.den + b.num * a.den, a.den * b.den);
export const subtract = (a: Fraction, b: Fraction): Fraction => add(a, negate(b));
export const multiply = (a: Fraction, b: Fraction): Fraction =>
  fraction(a.num * b.num, a.den * b.den);
/** @throws Error when `b` is zero. */
export const divide = (a: Fraction, b: Fraction): Fraction =>
  fraction(a.num * b.den, a.den * b.num);
/** −1, 0 or +1. */
export const signOf = (a: Fraction): -1 | 0 | 1 => (a.num > 0n ? 1 : a.num < 0n ? -1 : 0);
export const equals = (a: Fraction, b: Fraction): boolean => a.num === b.num && a.den === b.den;

/** The nearest double. Both parts are scaled first, so that huge parts do not become Infinity. */
export function toNumber(a: Fraction): number {
  const bits = Math.max(a.num.toString(2).length, a.den.toString(2).length) - 1000;
  if (bits <= 0) return Number(a.num) / Number(a.den);
  const shift = BigInt(bits);
  return Number(a.num >> shift) / Number(a.den >> shift);
}

/** "54/37", or "3" when whole. */
export const toText = (a: Fraction): string => (a.den === 1n ? `${a.num}` : `${a.num}/${a.den}`);
