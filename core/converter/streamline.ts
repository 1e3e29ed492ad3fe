import { findRoot } from '../numerics';
import type {
  Characteristic,
  ConverterPoint,
  StatorFault,
  StreamlineModel,
  Wheel,
} from './converter';

/**
 * A converter by the momentum of its mean streamline (D. Hrovat and W. E. Tobler, Bond graph modeling and
 * computer simulation of automotive torque converters, J. Franklin Inst. 319, 1985; memory for the page).
 *
 * Per mass flow, each wheel changes the fluid's moment of momentum from what the wheel before left to
 * R·(R·ω + v·tan α); these are the torques. What the three put in, Σ τ·ω, is lost in shocks at the inlets and by
 * friction along the blades. With ω_pump = 1 this balance is a quadratic in the axial velocity v, solved in
 * closed form. The stator stands while the fluid pushes it backward, else it turns so that its torque is zero.
 *
 * Range: steady flow, speed ratio 0 to 1, one flow area, angles below 90°.
 */
interface Velocities {
  readonly pump: number;
  readonly turbine: number;
  readonly stator: number;
}

const tangent = (degrees: number): number => Math.tan((degrees * Math.PI) / 180);

interface Torques {
  /** Moment of momentum given to the fluid per mass flow, m²/s for ω_pump = 1. */
  readonly pump: number;
  readonly turbine: number;
  readonly stator: number;
}

/** Tangential velocity of the fluid where it leaves a wheel. */
const leaving = (wheel: Wheel, omega: number, v: number): number =>
  wheel.exitRadius * omega + v * tangent(wheel.exitAngle);

function torquesAt(model: StreamlineModel, omega: Velocities, v: number): Torques {
  const { pump, turbine, stator } = model;
  const p = pump.exitRadius * leaving(pump, omega.pump, v);
  const t = turbine.exitRadius * leaving(turbine, omega.turbine, v);
  const s = stator.exitRadius * leaving(stator, omega.stator, v);
  return { pump: p - s, turbine: t - p, stator: s - t };
}

/** Energy lost per mass flow: shocks where the fluid meets the next wheel, friction along the blades. */
function lossesAt(model: StreamlineModel, omega: Velocities, v: number): number {
  const { pump, turbine, stator } = model;
  const shock = (from: Wheel, omegaFrom: number, to: Wheel, omegaTo: number) => {
    const radius = from.exitRadius;
    const meets = leaving(from, omegaFrom, v);
    const wanted = radius * omegaTo + v * tangent(to.inletAngle);
    return (meets - wanted) ** 2;
  };
  const shocks =
    shock(stator, omega.stator, pump, omega.pump) +
    shock(pump, omega.pump, turbine, omega.turbine) +
    shock(turbine, omega.turbine, stator, omega.stator);
  const along = [pump, turbine, stator].reduce(
    (sum, wheel) => sum + v * v * (1 + tangent(wheel.exitAngle) ** 2),
    0,
  );
  return (model.shock * shocks + model.friction * along) / 2;
}

/** The axial velocity at which what is put in is what is lost; zero when nothing circulates. */
export function flowAt(model: StreamlineModel, omega: Velocities): number {
  const balance = (v: number) => {
    const t = torquesAt(model, omega, v);
    const given = t.pump * omega.pump + t.turbine * omega.turbine + t.stator * omega.stator;
    return given - lossesAt(model, omega, v);
  };
  // A quadratic in v, from three of its values.
  const c = balance(0);
  const a = (balance(1) + balance(-1)) / 2 - c;
  const b = (balance(1) - balance(-1)) / 2;
  const inside = b * b - 4 * a * c;
  if (inside < 0 || a === 0) return 0;
  const root = Math.sqrt(inside);
  return Math.max(0, (-b - root) / (2 * a), (-b + root) / (2 * a));
}

export function streamlineCharacteristic(
  model: StreamlineModel,
  fault: StatorFault | null = null,
): Characteristic {
  return { at: (speedRatio) => pointAt(model, speedRatio, fault) };
}

const TIGHT = 1e-12;
/** A free stator never turns faster than this, × pump. */
const SPIN = 5;

function pointAt(
  model: StreamlineModel,
  speedRatio: number,
  fault: StatorFault | null,
): ConverterPoint {
  const omega = (stator: number): Velocities => ({ pump: 1, turbine: speedRatio, stator });
  const statorTorque = (stator: number) =>
    torquesAt(model, omega(stator), flowAt(model, omega(stator))).stator;
  const pushed = statorTorque(0) > 0;
  const stands = fault === 'seized' || (fault === null && pushed);
  // A slipping one-way clutch lets the fluid turn the stator backward too.
  const free = () => findRoot(statorTorque, -SPIN, SPIN, TIGHT).x;
  const stator = stands ? 0 : free();
  const flow = flowAt(model, omega(stator));
  const torques = torquesAt(model, omega(stator), flow);
  const torqueRatio = flow > 0 && torques.pump !== 0 ? -torques.turbine / torques.pump : 1;
  return {
    speedRatio,
    torqueRatio,
    coefficient: Math.max(0, model.density * model.area * flow * torques.pump),
    efficiency: speedRatio * torqueRatio,
    statorHolds: stands,
    statorSpeed: stator,
    flow,
  };
}

/** Torques on the fluid for ω_pump = 1, N·m·s²: they sum to zero. */
export function wheelTorques(
  model: StreamlineModel,
  point: ConverterPoint,
): Record<'pump' | 'turbine' | 'stator', number> {
  const omega = { pump: 1, turbine: point.speedRatio, stator: point.statorSpeed ?? 0 };
  const flow = point.flow ?? 0;
  const t = torquesAt(model, omega, flow);
  const mass = model.density * model.area * flow;
  return { pump: mass * t.pump, turbine: mass * t.turbine, stator: mass * t.stator };
}
