import type { Tolerance } from './questionParts';

/** Somebody who guesses a number takes one from a tenth of it to ten times it, each decade alike. */
const GUESSED_DECADES = 2;

/** Chance that a guessed number is right, 0 to 1. */
export function numberGuess(right: number, { kind, value }: Tolerance): number {
  const share = kind === 'percent' ? value / 100 : value / Math.abs(right);
  return share >= 1 ? 1 : Math.min(1, Math.log10((1 + share) / (1 - share)) / GUESSED_DECADES);
}

/** Chance that so many things are guessed in their order, 0 to 1. */
export const orderGuess = (things: number): number =>
  things <= 1 ? 1 : orderGuess(things - 1) / things;
