import type { Thought } from './learners';
import { within, type Tolerance } from './questionParts';

/** What goes wrong with a number after the thinking was right, in every family. */
export type NumberClaim =
  | { claim: 'off-by'; given: number; share: number }
  | { claim: 'times-right'; given: number; times: number };

export type NumberSlip = 'decimal-place' | 'near-miss';

/** How an answer carries the number that is asked for. */
export interface NumberFrame<A, C> {
  readonly right: number;
  readonly tolerance: Tolerance;
  readonly answer: (value: number) => A;
  /** The number in an answer; `undefined` where the answer has none, or says something else beside it. */
  readonly valueOf: (answer: A) => number | undefined;
  /** What is so here, said after what a way of thinking says by itself. */
  readonly facts: readonly C[];
}

/** Within this share of right it is arithmetic, not thinking, that went wrong. */
const NEAR_MISS = 0.04;
const DECIMALS = [10, 100, 1000, 0.1, 0.01, 0.001];
/** Less usual than a way of thinking that gives the same number. */
const WEIGHT = 0.5;

/** Collects the numbers that ways of thinking lead to; what the tolerance lets pass as right is none. */
export class NumberThoughts<A, S extends string, C extends { claim: string }> {
  readonly #frame: NumberFrame<A, C>;
  readonly #list: Thought<A, S, C>[] = [];

  constructor(frame: NumberFrame<A, C>) {
    this.#frame = frame;
  }

  /** @param value `null`, or not finite, where thinking so leads to no number */
  add(
    slip: S,
    value: number | null,
    claims: (given: number) => readonly C[] = () => [],
    weight = 1,
  ): void {
    const { right, tolerance } = this.#frame;
    if (value === null || !Number.isFinite(value) || within(tolerance, right, value)) return;
    this.#push(slip, value, (given) => within(tolerance, value, given), claims, weight);
  }

  /** All that were added, a decimal place too many or too few, and a slip of arithmetic. */
  withArithmetic(): Thought<A, S | NumberSlip, C | NumberClaim>[] {
    const { right, tolerance } = this.#frame;
    const all = new NumberThoughts<A, S | NumberSlip, C | NumberClaim>(this.#frame);
    for (const times of DECIMALS)
      all.add(
        'decimal-place',
        right * times,
        (given) => [{ claim: 'times-right', given, times }],
        WEIGHT,
      );
    const close = right * (1 + 0.97 * NEAR_MISS);
    if (!within(tolerance, right, close))
      all.#push(
        'near-miss',
        close,
        (given) =>
          !within(tolerance, right, given) &&
          Math.abs(given - right) <= NEAR_MISS * Math.abs(right),
        (given) => [{ claim: 'off-by', given, share: offBy(right, given) }],
        WEIGHT,
      );
    return [...this.#list, ...all.#list];
  }

  #push(
    slip: S,
    value: number,
    gives: (given: number) => boolean,
    claims: (given: number) => readonly C[],
    weight: number,
  ): void {
    const { answer, valueOf, facts } = this.#frame;
    this.#list.push({
      slip,
      weight,
      answer: answer(value),
      gives: (a) => {
        const given = valueOf(a);
        return given !== undefined && gives(given);
      },
      claims: (a) => [...claims(valueOf(a) ?? NaN), ...facts],
    });
  }
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
