/** Every tolerance and cap of the numerical code, with its purpose. */

/** A pivot below this share of its row's largest entry counts as zero in floating elimination. */
export const PIVOT_SHARE = 1e-10;

/** Two computed numbers closer than this share of the larger count as the same answer. */
export const SAME_ANSWER = 1e-9;

/** Two computed numbers are the same answer. */
export const sameNumber = (a: number, b: number): boolean =>
  Math.abs(a - b) <= SAME_ANSWER * Math.max(1, Math.abs(a), Math.abs(b));

/** What is left of a difference below this share of the numbers that cancelled is rounding. */
export const CANCELLED = 1e-10;
