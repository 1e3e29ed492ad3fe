/** What learners get wrong about faults: each is recognised by the answer that gives it away. */
export const FAULT_SLIPS = [
  'no-fall-back',
  'only-its-own-gear',
  'tie-up-unseen',
  'works-in-a-good-range',
  'not-in-every-bad-range',
  'tells-nothing',
  'dear-before-cheap',
  'against-the-readings',
  'cautions-skipped',
] as const;
export type FaultSlip = (typeof FAULT_SLIPS)[number];
