import { RPM_TO_RAD } from '../quantities';
import { monotoneCurve, type Curve } from '../numerics';

/** An engine as people exchange it. Its schema is `formats/engineV1.ts`. */
export interface EngineRow {
  speedRpm: number;
  /** N·m. */
  torqueNm: number;
}

/** Torque at one opening of the throttle. */
export interface PartLoad {
  /** Between 0 and 1. */
  throttle: number;
  rows: EngineRow[];
}

export interface Engine {
  format: 'fair-sprocket/engine';
  version: 1;
  id: string;
  name: string;
  /** Markdown. */
  notes?: string;
  /** At full throttle; speed rising. */
  rows: EngineRow[];
  /** Measured curves at part throttle, opening rising; left out, part throttle is in proportion. */
  partLoad?: PartLoad[];
  idleRpm: number;
  /** Above this the governor takes the torque away. */
  governedRpm: number;
  /** Torque that the engine takes with the throttle closed, as a share of full torque. */
  drag: number;
  /** kg·m² with flywheel or flexplate and pump. */
  inertia?: number;
}

export interface EngineModel {
  /** N·m at this speed; below zero when the engine drags. @param throttle 0 to 1 */
  readonly torque: (speedRpm: number, throttle: number) => number;
  readonly idleRpm: number;
  readonly governedRpm: number;
  /** kg·m². */
  readonly inertia: number;
}

/** The governor takes the torque away over this share of the governed speed. */
const GOVERNOR_BAND = 0.03;
/** The idle control opens the throttle fully over this share below idle. */
const IDLE_BAND = 0.1;
/** kg·m² where the engine does not say: about that of a two-litre engine with its converter (memory). */
export const USUAL_INERTIA = 0.25;

const curveOf = (rows: readonly EngineRow[]): Curve =>
  monotoneCurve(
    rows.map((r) => r.speedRpm),
    rows.map((r) => r.torqueNm),
  );

/**
 * Between the closed throttle's drag, the measured part-load curves and full throttle the torque goes in straight
 * lines over the opening. Below idle the idle control opens the throttle.
 * @throws Error when rows don't rise, or there are fewer than two
 */
export function engineModel(engine: Engine): EngineModel {
  const { idleRpm, governedRpm, drag } = engine;
  const full = curveOf(engine.rows);
  const parts = (engine.partLoad ?? []).map((p) => ({ at: p.throttle, curve: curveOf(p.rows) }));
  const opened = (speedRpm: number, throttle: number): number => {
    const top = full.at(speedRpm);
    let [low, lowNm] = [0, -drag * top];
    for (const { at, curve } of parts) {
      const nm = curve.at(speedRpm);
      if (throttle <= at) return lowNm + ((nm - lowNm) * (throttle - low)) / (at - low);
      [low, lowNm] = [at, nm];
    }
    return lowNm + ((top - lowNm) * (throttle - low)) / (1 - low);
  };
  return {
    idleRpm,
    governedRpm,
    inertia: engine.inertia ?? USUAL_INERTIA,
    torque: (speedRpm, throttle) => {
      const over = (speedRpm - governedRpm) / (GOVERNOR_BAND * governedRpm);
      const governed = Math.min(throttle, Math.min(1, Math.max(0, 1 - over)));
      // The idle control opens the throttle in proportion to what is missing.
      const under = (idleRpm - speedRpm) / (IDLE_BAND * idleRpm);
      return opened(speedRpm, Math.max(governed, Math.min(1, Math.max(0, under))));
    },
  };
}

/** The most power that the engine gives, W, and the speed at which it does. */
export function bestPower(engine: EngineModel): { watts: number; speedRpm: number } {
  let best = { watts: 0, speedRpm: engine.idleRpm };
  for (let k = 0; k <= POWER_STEPS; k++) {
    const speedRpm = engine.idleRpm + ((engine.governedRpm - engine.idleRpm) * k) / POWER_STEPS;
    const watts = engine.torque(speedRpm, 1) * speedRpm * RPM_TO_RAD;
    if (watts > best.watts) best = { watts, speedRpm };
  }
  return best;
}

const POWER_STEPS = 200;
