/** What learners get wrong about faults: each is a way of thinking that `reasons.ts` follows to its answer. */
export const FAULT_SLIPS = [
  'no-fall-back',
  'only-its-own-gear',
  'tie-up-unseen',
  'another-fault-of-the-part',
  'expects-no-symptom',
  'works-in-a-good-range',
  'not-in-every-bad-range',
  'tells-nothing',
  'dear-before-cheap',
  'against-the-readings',
  'wrong-remedy',
  'cautions-skipped',
] as const;
export type FaultSlip = (typeof FAULT_SLIPS)[number];
