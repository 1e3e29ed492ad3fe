import { RPM_TO_RAD } from '../quantities';
import { findRoot } from '../numerics';
import { powerOut, type Characteristic, type ConverterPoint } from './converter';
import type { EngineModel } from './engine';

/**
 * Engine and converter together: the speed at which the engine's torque is what the pump takes,
 * T_engine(n) = T/ω²(n_turbine/n) · ω² (any text on hydrodynamic drives). Below that speed the engine has
 * torque to spare and speeds up, above it lacks some, so the point is stable.
 */
export interface Match {
  /**
   * `can-not-pull-idle`: the engine stalls, and stands. `idles`: the throttle alone would not hold idle, the idle control does. `locked`: the lock-up clutch holds. `slips`:
   * it is on and slips. `overrun`: the turbine turns the engine, which drags. `shudders`: it slips so slowly that it sticks and lets go in turn.
   */
  readonly kind:
    | 'runs'
    | 'idles'
    | 'can-not-pull-idle'
    | 'overrun'
    | 'locked'
    | 'slips'
    | 'shudders';
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
  const { idleRpm } = engine;
  const alone = engine.torque(turbineRpm, throttle);
  if (lockUp > 0 && turbineRpm >= idleRpm && Math.abs(alone) <= lockUp)
    return settled('locked', turbineRpm, alone);
  // A lock-up clutch that slips pulls the slower of the two along.
  const overrun = turbineRpm > idleRpm && alone < 0;
  const carried = overrun ? -lockUp : lockUp;
  const spare = (rpm: number) => {
    const omega = rpm * RPM_TO_RAD;
    const { coefficient } = converter.at(turbineRpm / rpm);
    return engine.torque(rpm, throttle) - carried - coefficient * omega * omega;
  };
  const low = overrun ? idleRpm : Math.max(idleRpm, turbineRpm);
  if (spare(low) < 0) {
    const most = engine.torque(low, 1) - engine.torque(low, throttle);
    return settled(spare(low) + most >= 0 ? 'idles' : 'can-not-pull-idle', low, carried);
  }
  const high = overrun ? turbineRpm : Math.max(engine.governedRpm * 1.05, low + 1);
  const { x } = findRoot(spare, low, high, TIGHT_RPM);
  if (overrun) return settled('overrun', x, carried);
  if (lockUp === 0) return settled('runs', x, 0);
  return settled(x - turbineRpm < SHUDDER_RPM ? 'shudders' : 'slips', x, carried);

  function settled(kind: Match['kind'], engineRpm: number, lockUpNm: number): Match {
    if (kind === 'can-not-pull-idle') return stalled(converter, turbineRpm);
    const speedRatio = turbineRpm / engineRpm;
    const point = converter.at(speedRatio);
    const square = (engineRpm * RPM_TO_RAD) ** 2;
    // Locked, both turn as one, and nothing circulates that matters.
    const pumpNm = kind === 'locked' ? 0 : point.coefficient * square;
    const fluidNm = kind === 'locked' ? 0 : point.turbineCoefficient * square;
    const [engineNm, turbineNm] = [pumpNm + lockUpNm, fluidNm + lockUpNm];
    const heatKw = ((engineNm - turbineNm * speedRatio) * engineRpm * RPM_TO_RAD) / 1000;
    const torqueRatio = engineNm !== 0 ? turbineNm / engineNm : 1;
    const efficiency = powerOut(engineNm, turbineNm, speedRatio);
    const torques = { engineNm, turbineNm, lockUpNm, torqueRatio };
    return { kind, engineRpm, turbineRpm, point, ...torques, efficiency, heatKw };
  }
}

/** The engine stands, and nothing is given or taken. */
const stalled = (converter: Characteristic, turbineRpm: number): Match => ({
  kind: 'can-not-pull-idle',
  engineRpm: 0,
  turbineRpm,
  point: { ...converter.at(0), flow: 0 },
  engineNm: 0,
  turbineNm: 0,
  lockUpNm: 0,
  torqueRatio: 1,
  efficiency: 0,
  heatKw: 0,
});

/** Locked below this many times idle with more than this share of full torque, an engine labours (common practice). */
const LABOURS_BELOW = 1.7;
const LABOURS_ABOVE = 0.5;

/** A locked converter passes the engine's firing pulses on: slow and hard at work, it labours and shakes the drive. */
export const labours = (engine: EngineModel, { kind, engineRpm, engineNm }: Match): boolean =>
  kind === 'locked' &&
  engineRpm < LABOURS_BELOW * engine.idleRpm &&
  engineNm > LABOURS_ABOVE * engine.torque(engineRpm, 1);

/** Engine speed with the turbine held. */
export const stallRpm = (engine: EngineModel, converter: Characteristic, throttle = 1): number =>
  matchEngine(engine, converter, throttle, 0).engineRpm;
