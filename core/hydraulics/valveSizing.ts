import { RPM_TO_RAD } from '../quantities';
import type { ShiftPoints } from './demands';
import { governorPressure } from './laws';
import type { Governor, ShiftValve } from './plan';
import { USUAL_PRESSURES } from './wishes';

/** m² of the lands, and m of the weights from the shaft (memory). */
const GOVERNOR_LAND = 1e-4;
const RADIUS = 0.02;
/** Pa at the highest shift: below the least line pressure, so that it never runs out. */
const MOST = 400e3;
/** The heavy weight over the light one, and the share of the highest speed at which it comes to its stop. */
const HEAVY_TIMES = 0.7;
const STOP_AT = 0.7;

type GovernorSizes = Pick<Governor, 'area' | 'heavy' | 'light' | 'spring'>;

/** Weights for the highest speed at which a valve has to go up. */
export function governorSizes(shifts: readonly ShiftPoints[]): GovernorSizes {
  const most = Math.max(...shifts.map((s) => s.full)) * RPM_TO_RAD;
  const stop = STOP_AT * most;
  const light = (MOST * GOVERNOR_LAND) / (HEAVY_TIMES * stop ** 2 + most ** 2);
  return {
    area: GOVERNOR_LAND,
    heavy: { mass: (HEAVY_TIMES * light) / RADIUS, radius: RADIUS },
    light: { mass: light / RADIUS, radius: RADIUS },
    spring: HEAVY_TIMES * light * stop ** 2,
  };
}

/** Share of the full-throttle speed at which a valve goes up just before kick-down; the rest is kick-down's. */
const BEFORE_KICK = 0.9;
/** A spring pushed up over one that is down. */
const RISE = 0.05;

export interface ValveSizes {
  readonly governor: number;
  readonly throttle: number;
  readonly kick: number;
  readonly difference: number;
  readonly spring: number;
  readonly springRise: number;
}

/**
 * Lands and spring for the speeds at which a valve shall flip: four forces in balance, one after the other.
 * @param closed Pa of the throttle valve with the throttle closed
 */
export function valveSizes(
  { light, full, lightDown }: ShiftPoints,
  governor: GovernorSizes,
  closed: number,
): ValveSizes {
  const at = (rpm: number) =>
    governorPressure({ ...governor, kind: 'governor', id: '', name: '', from: '', to: '' }, rpm) *
    GOVERNOR_LAND;
  const { throttleFull, full: fullLine, idle } = USUAL_PRESSURES;
  const throttle = Math.max(0, at(BEFORE_KICK * full) - at(light)) / (throttleFull - closed);
  const spring = at(light) - throttle * closed;
  const springRise = RISE * spring;
  return {
    governor: GOVERNOR_LAND,
    throttle,
    kick: (at(full) - at(BEFORE_KICK * full)) / fullLine,
    difference: (spring + springRise + throttle * closed - at(lightDown)) / idle,
    spring,
    springRise,
  };
}

/** A shift valve's lands on its passages. */
export const shiftValve = (
  gear: number,
  s: ValveSizes,
  drive: string,
): Omit<ShiftValve, 'up' | 'down'> => ({
  id: `shift-${gear}`,
  name: '',
  kind: 'shift-valve',
  gear,
  governor: { line: 'governor', area: s.governor },
  throttle: { line: 'throttle', area: s.throttle },
  kick: { line: 'kick', area: s.kick },
  difference: { line: drive, area: s.difference },
  spring: s.spring,
  springRise: s.springRise,
});
