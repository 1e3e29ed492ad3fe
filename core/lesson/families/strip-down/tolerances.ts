import { MEASURES, type MeasureId } from '../../../assembly';
import type { Tolerance } from '../../questionParts';

/** A scale is read to this many of its steps. */
const STEPS = 1.5;

export const gaugeTolerance = (measure: MeasureId): Tolerance => ({
  kind: 'absolute',
  value: STEPS * MEASURES[measure].readsTo,
});
export const WORTH_TOLERANCE: Tolerance = { kind: 'percent', value: 5 };
