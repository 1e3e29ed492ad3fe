/**
 * Torque of flat friction faces, T = n·μ·F·r_m, after both theories of wear (any text on machine design, for
 * instance Shigley's chapter on clutches; VDI 2241, memory).
 */
export type WearTheory = 'uniform-wear' | 'uniform-pressure';

/**
 * Mean radius of friction, m.
 *   uniform wear      r_m = (Ro + Ri)/2              (run in)
 *   uniform pressure  r_m = ⅔·(Ro³ − Ri³)/(Ro² − Ri²)  (new)
 */
export function meanRadius(outer: number, inner: number, theory: WearTheory): number {
  if (theory === 'uniform-wear' || outer === inner) return (outer + inner) / 2;
  return (2 / 3) * ((outer ** 3 - inner ** 3) / (outer ** 2 - inner ** 2));
}

/**
 * Coefficient of friction against slip and temperature. It goes from `standing` to `sliding` within the first
 * rotations, changes by `slope` for each m/s from there on until it levels off, and fades above a temperature.
 */
export interface Friction {
  /** At no slip. */
  standing: number;
  /** Just sliding. */
  sliding: number;
  /** Change for each m/s of slip at the mean radius; below zero it shudders. */
  slope: number;
  /** °C above which it fades. */
  fadeFrom: number;
  /** Share lost for each 100 K above that. */
  fade: number;
}

/** m/s within which standing friction becomes sliding friction, and past which it changes no more. */
const CREEP = 0.15;
const LEVELS = 3;
/** Friction never falls below this share of the sliding value. */
const LEAST_SHARE = 0.15;

/** @param slip m/s at the mean radius, either sign @param celsius of the facing's surface */
export function frictionAt(friction: Friction, slip: number, celsius: number): number {
  const { standing, sliding, slope, fadeFrom, fade } = friction;
  const v = Math.abs(slip);
  const rising = slope * LEVELS * (1 - Math.exp(-v / LEVELS));
  const cold = sliding + (standing - sliding) * Math.exp(-v / CREEP) + rising;
  const over = Math.max(0, celsius - fadeFrom) / 100;
  return Math.max(LEAST_SHARE * sliding, cold * Math.max(0, 1 - fade * over));
}

/** T in N·m. @param clamp N @param mu coefficient of friction */
export const frictionTorque = (faces: number, mu: number, clamp: number, radius: number): number =>
  faces * mu * Math.max(0, clamp) * radius;
