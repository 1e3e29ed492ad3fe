import { findRoot } from '../numerics';
import type { Characteristic, ConverterPoint } from './converter';
import type { EngineModel } from './engine';

/**
 * Engine and converter together: the speed at which the engine's torque is what the pump takes,
 * T_engine(n) = T/ω²(n_turbine/n) · ω² (any text on hydrodynamic drives). Below that speed the engine has
 * torque to spare and speeds up, above it lacks some, so the point is stable.
 */
export interface Match {
  /**
   * `idles`: the throttle alone would not hold idle, the idle control does. `locked`: the lock-up clutch holds. `slips`:
   * it is on and slips. `shudders`: it slips so slowly that it sticks and lets go in turn.
   */
  readonly kind:
    'runs' | 'idles' | 'can-not-pull-idle' | 'overrun' | 'locked' | 'slips' | 'shudders';
  readonly engineRpm: number;
  readonly turbineRpm: number;
  readonly point: ConverterPoint;
  readonly engineNm: number;
  readonly turbineNm: number;
  /** Turbine torque over engine torque, with what a lock-up clutch carries; 1 where the engine gives none. */
  readonly torqueRatio: number;
  /** Power out over power in. */
  readonly efficiency: number;
  /** Part of the engine's torque that the lock-up clutch carries, N·m. */
  readonly lockUpNm: number;
  /** kW lost in the fluid and in a slipping lock-up clutch. */
  readonly heatKw: number;
}

const RAD_S_PER_RPM = Math.PI / 30;
const TIGHT_RPM = 1e-5;
/** A lock-up clutch that slips no faster than this sticks and lets go in turn (common practice, no source). */
const SHUDDER_RPM = 60;

/**
 * @param throttle 0 to 1
 * @param turbineRpm 0 or above
 * @param lockUp torque that the lock-up clutch holds, N·m; 0 while it is off
 */
export function matchEngine(
  engine: EngineModel,
  converter: Characteristic,
  throttle: number,
  turbineRpm: number,
  lockUp = 0,
): Match {
  if (lockUp > 0 && turbineRpm >= engine.idleRpm) {
    const wanted = engine.torque(turbineRpm, throttle);
    if (Math.abs(wanted) <= lockUp) return settled('locked', turbineRpm, wanted);
  }
  const spare = (rpm: number) => {
    const omega = rpm * RAD_S_PER_RPM;
    const { coefficient } = converter.at(Math.min(1, turbineRpm / rpm));
    return engine.torque(rpm, throttle) - lockUp - coefficient * omega * omega;
  };
  const low = Math.max(engine.idleRpm, turbineRpm);
  const high = Math.max(engine.governedRpm * 1.05, low + 1);
  if (spare(low) < 0) {
    if (turbineRpm >= engine.idleRpm) return settled('overrun', low, lockUp);
    const most = engine.torque(low, 1) - engine.torque(low, throttle);
    return settled(spare(low) + most >= 0 ? 'idles' : 'can-not-pull-idle', low, lockUp);
  }
  const { x } = findRoot(spare, low, high, TIGHT_RPM);
  if (lockUp === 0) return settled('runs', x, 0);
  return settled(x - turbineRpm < SHUDDER_RPM ? 'shudders' : 'slips', x, lockUp);

  function settled(kind: Match['kind'], engineRpm: number, lockUpNm: number): Match {
    const point = converter.at(Math.min(1, turbineRpm / engineRpm));
    const omega = engineRpm * RAD_S_PER_RPM;
    const pumpNm = kind === 'locked' ? 0 : point.coefficient * omega * omega;
    const engineNm = pumpNm + lockUpNm;
    const turbineNm = pumpNm * point.torqueRatio + lockUpNm;
    const speedRatio = turbineRpm / engineRpm;
    const heatKw = ((engineNm - turbineNm * speedRatio) * omega) / 1000;
    const torqueRatio = engineNm > 0 ? turbineNm / engineNm : 1;
    const efficiency = torqueRatio * speedRatio;
    const torques = { engineNm, turbineNm, lockUpNm, torqueRatio };
    return { kind, engineRpm, turbineRpm, point, ...torques, efficiency, heatKw };
  }
}

/** Engine speed with the turbine held. */
export const stallRpm = (engine: EngineModel, converter: Characteristic, throttle = 1): number =>
  matchEngine(engine, converter, throttle, 0).engineRpm;

/** The lowest speed ratio at which the stator no longer holds; 1 when it holds all the way. */
export function couplingPoint(converter: Characteristic): number {
  if (converter.at(1).statorHolds) return 1;
  const { x } = findRoot((sr) => (converter.at(sr).statorHolds ? 1 : -1), 0, 1, 1e-9);
  return x;
}
