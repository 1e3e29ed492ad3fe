import { within, type Tolerance } from './questionParts';

/** What goes wrong with a number after the thinking was right, in every family. */
export type NumberClaim =
  | { claim: 'off-by'; given: number; share: number }
  | { claim: 'times-right'; given: number; times: number };

export type NumberSlip = 'decimal-place' | 'near-miss';

/** A number that a way of thinking leads to. */
export interface NumberThought<S extends string, C> {
  readonly slip: S;
  readonly value: number;
  readonly gives?: (given: number) => boolean;
  readonly weight: number;
  readonly claims: (given: number) => readonly C[];
}

/** Within this share of right it is arithmetic, not thinking, that went wrong. */
const NEAR_MISS = 0.04;
const DECIMALS = [10, 100, 1000, 0.1, 0.01, 0.001];
/** Less usual than a way of thinking that gives the same number. */
const WEIGHT = 0.5;

/** A decimal place too many or too few, and a slip of arithmetic. */
export function arithmeticSlips(
  right: number,
  tolerance: Tolerance,
): NumberThought<NumberSlip, NumberClaim>[] {
  const close: NumberThought<NumberSlip, NumberClaim> = {
    slip: 'near-miss',
    value: right * (1 + 0.97 * NEAR_MISS),
    gives: (given) =>
      !within(tolerance, right, given) && Math.abs(given - right) <= NEAR_MISS * Math.abs(right),
    weight: WEIGHT,
    claims: (given) => [{ claim: 'off-by', given, share: offBy(right, given) }],
  };
  const shifted = DECIMALS.map((times): NumberThought<NumberSlip, NumberClaim> => ({
    slip: 'decimal-place',
    value: right * times,
    weight: WEIGHT,
    claims: (given) => [{ claim: 'times-right', given, times }],
  }));
  return [...shifted, close].filter((t) => !within(tolerance, right, t.value));
}

const offBy = (right: number, given: number): number => Math.abs(given - right) / Math.abs(right);

/** @param right what the model gives now */
export function numberClaimHolds(
  claim: NumberClaim,
  right: number | null,
  tolerance: Tolerance,
): boolean {
  if (right === null) return false;
  return claim.claim === 'off-by'
    ? Math.abs(offBy(right, claim.given) - claim.share) < 1e-9
    : within(tolerance, right, claim.given / claim.times);
}
