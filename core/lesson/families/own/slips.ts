/** What can be told of an answer to an instructor's own question: only its arithmetic. */
export const OWN_SLIPS = ['decimal-place', 'near-miss'] as const;
export type OwnSlip = (typeof OWN_SLIPS)[number];
