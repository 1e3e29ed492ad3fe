import type { StreamlineModel } from './converter';

/** A streamline of usual proportions to begin a fit with. @param pumpRadius m, at the pump's exit */
export const usualBlades = (pumpRadius: number): StreamlineModel => ({
  kind: 'streamline',
  pump: { exitRadius: pumpRadius, exitAngle: 10, inletAngle: -20 },
  turbine: { exitRadius: 0.6 * pumpRadius, exitAngle: -55, inletAngle: 50 },
  stator: { exitRadius: 0.55 * pumpRadius, exitAngle: 58, inletAngle: 0 },
  area: 0.8 * pumpRadius ** 2,
  density: 840,
  shock: 1,
  friction: 0.25,
});
