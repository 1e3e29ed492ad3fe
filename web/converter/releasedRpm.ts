import type { Engine } from '../../core/converter';

/** Turbine speed that the road lets come when the brake goes off. */
export const releasedRpm = (engine: Engine): number =>
  Math.round((engine.governedRpm * 0.6) / 10) * 10;
