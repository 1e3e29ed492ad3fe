/** What learners get wrong about oil: each is a way of thinking that `reasons.ts` follows to its answer. */
export const OIL_SLIPS = [
  'valves-left-out',
  'both-sides-of-the-ball',
  'throttle-left-out',
  'lever-clicks-are-gears',
  'no-gap-between-up-and-down',
  'fault-left-out',
  'slack-is-late',
  'the-other-way',
  'only-its-own-shift',
  'ball-of-the-low-gauge',
  'one-gauge-only',
  'shift-left-out',
  'kick-down-adds-pressure',
  'kick-down-to-first',
  'engine-stays-as-it-was',
  'more-pressure-is-safer',
  'overlap-is-softer',
  'soft-spares-the-lining',
  'lets-go-first',
] as const;
export type OilSlip = (typeof OIL_SLIPS)[number];
