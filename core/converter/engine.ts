import { monotoneCurve } from '../numerics';

/** An engine as people exchange it. Its schema is `formats/engineV1.ts`. */
export interface EngineRow {
  speedRpm: number;
  /** Torque at full throttle, N·m. */
  torqueNm: number;
}

export interface Engine {
  format: 'fair-sprocket/engine';
  version: 1;
  id: string;
  name: string;
  /** Markdown. */
  notes?: string;
  /** Speed rising. */
  rows: EngineRow[];
  idleRpm: number;
  /** Above this the governor takes the torque away. */
  governedRpm: number;
  /** Torque that the engine takes with the throttle closed, as a share of full torque. */
  drag: number;
}

export interface EngineModel {
  /** N·m at this speed; below zero when the engine drags. @param throttle 0 to 1 */
  readonly torque: (speedRpm: number, throttle: number) => number;
  readonly idleRpm: number;
  readonly governedRpm: number;
}

/** The governor takes the torque away over this share of the governed speed. */
const GOVERNOR_BAND = 0.03;

/**
 * Part throttle lies between drag and full torque in proportion: enough for a match and a lesson, not a map of
 * an engine. Below idle the idle control holds the throttle up.
 * @throws Error when the rows don't rise, or there are fewer than two
 */
export function engineModel({ rows, idleRpm, governedRpm, drag }: Engine): EngineModel {
  const full = monotoneCurve(
    rows.map((r) => r.speedRpm),
    rows.map((r) => r.torqueNm),
  );
  return {
    idleRpm,
    governedRpm,
    torque: (speedRpm, throttle) => {
      const top = full.at(speedRpm);
      const over = (speedRpm - governedRpm) / (GOVERNOR_BAND * governedRpm);
      const governed = Math.min(1, Math.max(0, 1 - over));
      const opened = Math.min(throttle, governed);
      return top * opened - drag * top * (1 - opened);
    },
  };
}
