import { RPM_TO_RAD } from '../quantities';
import type { Governor, Solenoid, Spool, ThrottleValve } from './plan';

/** What the driver, the road and the engine do. */
export interface OilRunning {
  /** The lever's place, by the unit's own word. */
  readonly lever: string;
  /** Opening, 0 to 1. */
  readonly throttle: number;
  /** rev/min of the unit's output, and of the engine that turns the pump. */
  readonly outputRpm: number;
  readonly engineRpm: number;
  /** °C of the fluid. */
  readonly celsius: number;
}

/** Pa below the air's pressure in an intake with the throttle shut; none with it open (memory: about two thirds of the air's). */
const MOST_VACUUM = 65e3;

/** Pa of vacuum in the intake: falls in a line as the throttle opens. */
const intakeVacuum = (throttle: number): number => MOST_VACUUM * (1 - throttle);

/** Pa that a throttle valve holds at its outlet, as far as its supply gives it. */
export function throttlePressure({ by }: Pick<ThrottleValve, 'by'>, throttle: number): number {
  switch (by.kind) {
    case 'cable':
      return Math.max(0, by.rest + by.rise * Math.max(0, throttle - by.slack));
    case 'modulator':
      return Math.max(0, (by.spring - intakeVacuum(throttle) * by.diaphragm) / by.land);
    case 'solenoid':
      return between(by.points, throttle);
  }
}

/** Straight between points that stand evenly from 0 to 1. */
function between(points: readonly number[], at: number): number {
  const place = Math.max(0, Math.min(1, at)) * (points.length - 1);
  const k = Math.min(points.length - 2, Math.floor(place));
  return points[k]! + (points[k + 1]! - points[k]!) * (place - k);
}

/** Pa that a governor makes: rises with the square of the speed, less steeply once the heavy weight is at its stop. */
export function governorPressure(governor: Governor, outputRpm: number): number {
  const omega2 = (outputRpm * RPM_TO_RAD) ** 2;
  const of = (w: Governor['heavy']) => w.mass * w.radius * omega2;
  return (Math.min(of(governor.heavy), governor.spring) + of(governor.light)) / governor.area;
}

/** rev/min at which a governor makes this pressure; `Infinity` where it never does. */
export function governorSpeed(governor: Governor, pressure: number): number {
  const force = pressure * governor.area;
  if (force <= 0) return 0;
  const [heavy, light] = [governor.heavy, governor.light].map((w) => w.mass * w.radius) as [
    number,
    number,
  ];
  const first = force / (heavy + light);
  const omega2 = first * heavy <= governor.spring ? first : (force - governor.spring) / light;
  return Math.sqrt(omega2) / RPM_TO_RAD;
}

/** Pressures that a spool feels. */
export interface OnSpool {
  readonly governor: number;
  readonly throttle: number;
  readonly kick: number;
  /** Of the passage on its difference area. */
  readonly passed: number;
}

/** N that push a spool up, less what holds it down; it stands down (0) or up (1). */
export function netUp(valve: Spool, p: OnSpool, place: 0 | 1): number {
  const up = p.governor * valve.governor.area + (place ? p.passed * valve.difference.area : 0);
  const down = valve.spring + (place ? valve.springRise : 0) + p.throttle * valve.throttle.area;
  return up - down - (valve.kick ? p.kick * valve.kick.area : 0);
}

/** Pa of what pushes it at which a spool leaves the place where it stands. */
export function flipsAt(valve: Spool, p: Omit<OnSpool, 'governor'>, place: 0 | 1): number {
  return Math.max(0, -netUp(valve, { ...p, governor: 0 }, place) / valve.governor.area);
}

/** rev/min of the output from which a control unit opens such a solenoid's way, and down to which it keeps it. */
export const opensAbove = (
  above: NonNullable<Solenoid['above']>,
  throttle: number,
): { readonly on: number; readonly off: number } => ({
  on: between(above.on, throttle),
  off: between(above.off, throttle),
});

/** °C at which the given conductances of leaks hold: of a transmission driven warm. */
export const WARM_C = 80;
/** Leaks through clearances over those of warm oil: thinner oil leaks more, within these limits (memory). */
export const leakAt = (celsius: number): number =>
  Math.max(0.4, Math.min(1.6, 1 + (celsius - WARM_C) / 100));

/** Pa below which a flow creeps, in proportion to the difference, as oil does through any opening at last (memory for where). */
const SOFT = 1000;

/** m³/s through an opening: q = k·√Δp (any text on fluid power), back where the difference is below zero. */
export const orificeFlow = (k: number, difference: number): number =>
  (k * difference) / Math.sqrt(Math.sqrt(difference * difference + SOFT * SOFT));

/** Its slope over the difference. */
export function orificeSlope(k: number, difference: number): number {
  const square = difference * difference + SOFT * SOFT;
  return (k * (square - (difference * difference) / 2)) / (square * Math.sqrt(Math.sqrt(square)));
}
