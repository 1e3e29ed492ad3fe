/** What learners get wrong about a clutch or a pack: each is recognised by the answer that gives it away. */
export const CLUTCH_SLIPS = [
  'play-at-the-turnbuckle',
  'play-is-slack',
  'more-play-is-safer',
  'slips-low-first',
  'counts-one-face',
  'wear-changes-nothing',
  'wear-only-weakens',
  'fork-rod-first',
  'checks-too-early',
  'both-turn',
  'neither-turns',
  'dumps-the-clutch',
  'slips-to-be-gentle',
  'rolls-before-it-bites',
  'thicker-gives-more-clearance',
  'upgrades-are-free',
  'more-plates-carry-more',
] as const;
export type ClutchSlip = (typeof CLUTCH_SLIPS)[number];
