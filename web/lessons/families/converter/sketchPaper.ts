import { SKETCH_AT, type Sketched } from '../../../../core/lesson';

/** The height of the paper, and how far an arrow key goes. */
export const PAPER: Readonly<
  Record<Sketched, { most: number; step: number; marks: readonly number[] }>
> = {
  'torque-ratio': { most: 3, step: 0.05, marks: [0, 0.5, 1, 1.5, 2, 2.5, 3] },
  efficiency: { most: 1, step: 0.02, marks: [0, 0.2, 0.4, 0.6, 0.8, 1] },
  capacity: { most: 1.2, step: 0.02, marks: [0, 0.2, 0.4, 0.6, 0.8, 1, 1.2] },
};

/** Where a sketch begins: level, and telling nothing. */
export const blankSketch = (curve: Sketched): number[] =>
  SKETCH_AT.map(() => PAPER[curve].most / 2);
