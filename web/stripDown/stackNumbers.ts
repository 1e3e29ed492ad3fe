import type { StripPlan } from '../../core/assembly';
import { stackOf } from './stackShapes';

/** The numbers of the drawing's balloons, by part. */
export const stackNumbers = (plan: StripPlan): ReadonlyMap<string, number> =>
  new Map(stackOf(plan).shapes.map(({ part }, k) => [part.id, k + 1]));
