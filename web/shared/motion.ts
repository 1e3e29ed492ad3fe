/** Whether this person asked their system for less motion. */
export const reducedMotion = (): boolean => matchMedia('(prefers-reduced-motion: reduce)').matches;
