/** What learners get wrong about sleeves and dual clutches: each is a way of thinking that `reasons.ts` follows to its answer. */
export const GEARBOX_SLIPS = [
  'blames-the-clutch',
  'blames-one-gear',
  'other-side-of-the-sleeve',
  'another-gear',
  'grinds-means-tips',
  'refuses-means-ring',
  'two-gears-always-bind',
  'bind-unseen',
  'shafts-mixed-up',
  'always-the-next-up',
  'one-gear-waits-for-all',
  'drives-and-waits',
  'lets-go-too-early',
  'both-hold-too-long',
  'longer-is-softer',
] as const;
export type GearboxSlip = (typeof GEARBOX_SLIPS)[number];
