/** Sides of a shift that are drawn. */
export const SIDES = ['pressure', 'torque', 'speed', 'felt'] as const;
