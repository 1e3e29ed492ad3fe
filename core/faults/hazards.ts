/** What can hurt someone at a check, in the order in which a sheet of cautions names it. */
export const HAZARDS = [
  'road-test',
  'lurch',
  'park-free',
  'engine-hung',
  'last-bolt',
  'battery',
  'solvents',
  'read-warm',
  'heavy-parts',
  'lifting',
  'springs',
  'press',
  'dust',
  'hot-fluid',
  'compressed-air',
  'rotating',
  'stall-test',
] as const;
export type Hazard = (typeof HAZARDS)[number];
