/** What learners get wrong about one gear set: each is recognised by the answer that gives it away. */
export const SET_SLIPS = [
  'upside-down',
  'forgot-one-plus',
  'added-one',
  'wrong-sign',
  'used-pinion',
  'ring-in-overdrive',
  'single-pinion-formula',
  'ratio-not-applied',
  'output-instead-of-held',
  'input-instead-of-held',
  'sum-instead-of-difference',
  'against-case',
  'held-carrier-forward',
  'reduction-for-overdrive',
  'expects-reverse',
  'locked-is-neutral',
  'drives-and-driven-swapped',
  'held-part-confused',
] as const;
export type SetSlip = (typeof SET_SLIPS)[number];
