import { SAME_ANSWER } from '../numerics';

/** What questions of all families share. */
export interface Tolerance {
  kind: 'percent' | 'absolute';
  value: number;
}

/** Against the input: the same way, the other way, or standing. */
export const DIRECTIONS = ['same', 'opposite', 'none'] as const;
export type Direction = (typeof DIRECTIONS)[number];

/** How far an answer may lie off this value; the limits themselves count as inside, whatever rounding does to them. */
export const allowedAround = (right: number, { kind, value }: Tolerance): number =>
  (kind === 'percent' ? (Math.abs(right) * value) / 100 : value) + Math.abs(right) * SAME_ANSWER;

/** Inside the instructor's tolerance. */
export const within = (tolerance: Tolerance, right: number, given: number): boolean =>
  Math.abs(given - right) <= allowedAround(right, tolerance);
