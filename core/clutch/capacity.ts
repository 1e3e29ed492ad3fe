import type { Clutch } from './clutch';
import type { ClutchState } from './condition';
import { clampLoad } from './cover';
import { frictionAt, frictionTorque, meanRadius, type Friction } from './facing';

/** What oil on all of the facing leaves of its friction, and how much it makes friction fall with slip. */
const OILED_SHARE = 0.45;
const OILED_SLOPE = -0.03;
/** With oil on it, moving friction is this share of standing friction's fall: it grabs and lets go. */
const OILED_SLIDING = 0.7;

/** The facing's friction as it is now. */
export function frictionNow({ disc }: Clutch, { oil }: ClutchState): Friction {
  const left = 1 - oil * (1 - OILED_SHARE);
  const { friction } = disc;
  return {
    ...friction,
    standing: friction.standing * left,
    sliding: friction.sliding * left * (1 - oil * (1 - OILED_SLIDING)),
    slope: friction.slope * left + oil * OILED_SLOPE,
  };
}

export const radiusOf = ({ disc }: Clutch): number =>
  meanRadius(disc.outerRadius, disc.innerRadius, disc.theory);

/** N·m that the clutch holds at this clamp load, slip (rad/s) and temperature of the facing. */
export function torqueAt(
  clutch: Clutch,
  state: ClutchState,
  clamp: number,
  slip: number,
  celsius: number,
): number {
  const radius = radiusOf(clutch);
  const mu = frictionAt(frictionNow(clutch, state), slip * radius, celsius);
  return frictionTorque(2 * clutch.disc.discs, mu, clamp, radius);
}

/** N·m before it slips: pedal up, bearing away, cold. */
export const holdingTorque = (clutch: Clutch, state: ClutchState): number =>
  torqueAt(clutch, state, clampLoad(clutch, state), 0, 20);

/**
 * N·m that drag on, pedal on the floor: what still touches, a hub that hangs on its splines (one face), and a tight
 * pilot bearing.
 */
export function dragTorque(clutch: Clutch, state: ClutchState, clamp: number): number {
  const mu = frictionNow(clutch, state).sliding;
  const splines = frictionTorque(1, mu, state.splineDrag, radiusOf(clutch));
  return torqueAt(clutch, state, clamp, 50, 20) + splines + state.pilotDrag;
}
