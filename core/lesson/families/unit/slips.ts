/** What learners get wrong about a whole unit: each is recognised by the answer that gives it away. */
export const UNIT_SLIPS = [
  'upside-down',
  'wrong-sign',
  'one-way-brakes',
  'one-way-ignored',
  'tie-up-unseen',
  'applied-not-holding',
  'runs-over-not-holding',
  'path-through-held',
  'path-through-idle',
  'path-backward',
  'gears-shifted',
  'one-element-a-gear',
] as const;
export type UnitSlip = (typeof UNIT_SLIPS)[number];
