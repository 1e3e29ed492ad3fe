/**
 * What a number of an answer may be, in SI or in the unit the answer states. The field that it is typed into and the
 * file that it is kept in both take their limits from here: what can be committed can always be read again.
 */
export const ANSWER_LIMITS = {
  /** A magnitude: its way is asked for apart. */
  magnitude: { min: 0, max: 1e9 },
  /** A number with a sign. */
  signed: { min: -1e9, max: 1e9 },
} as const;
