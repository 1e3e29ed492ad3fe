import { RPM_TO_RAD } from '../quantities';
import type { EngineModel } from '../converter';

/**
 * When a gear is changed, by throttle and road speed: one line up and one line down for each pair of gears. The up
 * line runs straight from the turbine speed wanted with the throttle closed to the one wanted with it open. The down
 * line lies below it, so that a gear once changed stays (hysteresis). Past the kick-down mark the down line comes
 * close under the full-throttle up line: a foot to the floor brings the lower gear.
 */
export interface ShiftSchedule {
  /**
   * Turbine speed in the lower gear at which the next comes with the throttle closed, as a share of the way from idle
   * to the governed speed; so a schedule fits any engine.
   */
  light: number;
  /** The same at full throttle. */
  full: number;
  /** Share by which the down line lies below the up line, 0.05 to 0.8. */
  hysteresis: number;
  /** Throttle from which kick-down works, 0.5 to 1. */
  kickDown: number;
}

/** Under kick-down the lower gear comes up to this share of its highest speed. */
const KICK_SHARE = 0.88;

/** What a vehicle does that does not say. */
export const USUAL_SCHEDULE: ShiftSchedule = {
  light: 0.12,
  full: 0.72,
  hysteresis: 0.35,
  kickDown: 0.9,
};

/** Gears and what turns their ratio into a road speed. */
export interface Driveline {
  readonly vehicle: { readonly tyreRadiusM: number; readonly finalDrive: number };
  /** Ratios of the forward gears, lowest gear first. */
  readonly gears: readonly number[];
}

/** A driveline with the engine whose speeds the schedule goes by. */
export interface Shifting extends Driveline {
  readonly engine: Pick<EngineModel, 'idleRpm' | 'governedRpm'>;
}

/** Turbine speed over road speed in a gear, rad/m. @param gear 0 for the first */
export const turningIn = ({ vehicle, gears }: Driveline, gear: number): number =>
  (gears[gear]! * vehicle.finalDrive) / vehicle.tyreRadiusM;

export interface ShiftSpeeds {
  /** m/s at which this gear gives way to the next. */
  readonly up: number;
  /** m/s at which the next gear gives way to this one. */
  readonly down: number;
}

/** @param gear the lower gear of the pair, 0 for the first @param throttle 0 to 1 */
export function shiftSpeeds(
  schedule: ShiftSchedule,
  driveline: Shifting,
  gear: number,
  throttle: number,
): ShiftSpeeds {
  const { light, full, hysteresis, kickDown } = schedule;
  const { idleRpm, governedRpm } = driveline.engine;
  const kicked = throttle >= kickDown;
  const share = kicked ? full : light + (full - light) * throttle;
  const rpm = idleRpm + share * (governedRpm - idleRpm);
  const up = (rpm * RPM_TO_RAD) / turningIn(driveline, gear);
  const down = up * (1 - hysteresis);
  return { up, down: kicked ? Math.max(down, KICK_SHARE * up) : down };
}

/** The gear that this throttle and road speed ask for, at most one step from the gear that is in. */
export function gearAsked(
  schedule: ShiftSchedule,
  driveline: Shifting,
  gear: number,
  throttle: number,
  speed: number,
): number {
  if (
    gear < driveline.gears.length - 1 &&
    speed > shiftSpeeds(schedule, driveline, gear, throttle).up
  )
    return gear + 1;
  if (gear > 0 && speed < shiftSpeeds(schedule, driveline, gear - 1, throttle).down)
    return gear - 1;
  return gear;
}
