/** Sides of a run that are drawn over time. */
export const TRACED = ['speeds', 'torque', 'heat', 'felt'] as const;
export type Traced = (typeof TRACED)[number];
