/** What questions about gear sets and about units share. */
export interface Tolerance {
  kind: 'percent' | 'absolute';
  value: number;
}

/** Against the input: the same way, the other way, or standing. */
export const DIRECTIONS = ['same', 'opposite', 'none'] as const;
export type Direction = (typeof DIRECTIONS)[number];
