import { findRoot } from '../numerics';
import {
  powerOut,
  type Characteristic,
  type ConverterPoint,
  type StatorFault,
  type StreamlineModel,
  type Wheel,
} from './converter';

/**
 * A converter by the momentum of its mean streamline (D. Hrovat and W. E. Tobler, Bond graph modeling and
 * computer simulation of automotive torque converters, J. Franklin Inst. 319, 1985; memory for the page).
 *
 * Per mass flow, each wheel changes the fluid's moment of momentum from what the wheel before left to
 * R·(R·ω + v·tan α); these are the torques. What the three put in, Σ τ·ω, is lost in shocks at the inlets and by
 * friction along the blades. With ω_pump = 1 this balance is a quadratic in the axial velocity v, solved in
 * closed form. The stator stands while the fluid pushes it backward, else it turns so that its torque is zero;
 * its speed is then linear in v, and the balance stays a quadratic.
 *
 * With the turbine faster than the pump the fluid goes round the other way: the same chain of wheels, entered from the
 * other side, with exit and inlet angles changed over and ω_turbine = 1 (derived here). A stator that is seized brakes the
 * turbine's fluid and can keep the flow going forward past speed ratio 1; then it is that.
 *
 * Range: steady flow, one flow area, angles below 90°.
 */
interface Blades {
  readonly radius: number;
  /** Tangents of the exit and inlet angles. */
  readonly exit: number;
  readonly inlet: number;
}

interface Blading {
  readonly pump: Blades;
  readonly turbine: Blades;
  readonly stator: Blades;
  readonly shock: number;
  /** Friction times the sum of 1 + tan² over the three wheels. */
  readonly along: number;
}

const tangent = (degrees: number): number => Math.tan((degrees * Math.PI) / 180);

const bladesOf = ({ exitRadius, exitAngle, inletAngle }: Wheel): Blades => ({
  radius: exitRadius,
  exit: tangent(exitAngle),
  inlet: tangent(inletAngle),
});

function bladingOf(model: StreamlineModel): Blading {
  const [pump, turbine, stator] = [model.pump, model.turbine, model.stator].map(bladesOf) as [
    Blades,
    Blades,
    Blades,
  ];
  const along = model.friction * headOf({ pump, turbine, stator });
  return { pump, turbine, stator, shock: model.shock, along };
}

/** Moment of momentum of the fluid leaving a wheel, per mass flow. */
const momentum = ({ radius, exit }: Blades, omega: number, v: number): number =>
  radius * (radius * omega + v * exit);

/** Speed at which the stator takes no torque. */
const freeStator = ({ turbine, stator }: Blading, speedRatio: number, v: number): number =>
  (momentum(turbine, speedRatio, v) - stator.radius * v * stator.exit) /
  (stator.radius * stator.radius);

/**
 * The axial velocity at which what is put in is what is lost, a·v² + b·v + c = 0; its larger root, or zero. The
 * stator's speed is w0 + w1·v (both zero while it stands). What is put in is linear in v, the velocity with which the
 * fluid misses each next wheel's blades too.
 */
function flowAt({ pump, turbine, stator, shock, along }: Blading, s: number, stands: boolean) {
  const [rp, rt, rs] = [pump.radius, turbine.radius, stator.radius];
  const w0 = stands ? 0 : (rt * rt * s) / (rs * rs);
  const w1 = stands ? 0 : (rt * turbine.exit - rs * stator.exit) / (rs * rs);
  // A stator that turns freely leaves the fluid's moment of momentum as it came.
  const given0 = stands ? rp * rp * (1 - s) + rt * rt * s * s : (rp * rp - rt * rt * s) * (1 - s);
  const given1 = stands
    ? rp * pump.exit * (1 - s) + rt * turbine.exit * s - rs * stator.exit
    : (rp * pump.exit - rt * turbine.exit) * (1 - s);
  const [p0, p1] = [rs * (w0 - 1), rs * w1 + stator.exit - pump.inlet];
  const [t0, t1] = [rp * (1 - s), pump.exit - turbine.inlet];
  const [s0, s1] = [rt * (s - w0), turbine.exit - stator.inlet - rt * w1];
  const a = -(shock * (p1 * p1 + t1 * t1 + s1 * s1) + along) / 2;
  const b = given1 - shock * (p0 * p1 + t0 * t1 + s0 * s1);
  const c = given0 - (shock * (p0 * p0 + t0 * t0 + s0 * s0)) / 2;
  const inside = b * b - 4 * a * c;
  if (inside < 0 || a === 0) return 0;
  // a is below zero, so this is the larger root.
  return Math.max(0, (-b - Math.sqrt(inside)) / (2 * a));
}

/** The blading as the fluid meets it when it goes round the other way, from the turbine's rim to the pump's. */
function enteredBackward({ pump, turbine, stator, shock, along }: Blading): Blading {
  const turned = ({ exit, inlet }: Blades, radius: number): Blades => ({
    radius,
    exit: -inlet,
    inlet: -exit,
  });
  const back = {
    pump: turned(turbine, pump.radius),
    turbine: turned(pump, stator.radius),
    stator: turned(stator, turbine.radius),
  };
  return { ...back, shock, along: (along * headOf(back)) / headOf({ pump, turbine, stator }) };
}

/** Sum of 1 + tan² at the exits of the three wheels. */
const headOf = ({ pump, turbine, stator }: Pick<Blading, 'pump' | 'turbine' | 'stator'>): number =>
  3 + pump.exit ** 2 + turbine.exit ** 2 + stator.exit ** 2;

export function streamlineCharacteristic(
  model: StreamlineModel,
  fault: StatorFault | null = null,
): Characteristic {
  const forward = bladingOf(model);
  const backward = enteredBackward(forward);
  const mass = model.density * model.area;
  const driving = (speedRatio: number) => pointAt(forward, mass, speedRatio, fault);
  const at = (speedRatio: number): ConverterPoint => {
    if (speedRatio <= 1) return driving(speedRatio);
    if (fault === 'seized') {
      const kept = driving(speedRatio);
      if (kept.flow !== 0) return kept;
    }
    return fromBehind(pointAt(backward, mass, 1 / speedRatio, fault), speedRatio);
  };
  return { at, couplesAt: couplingOf(driving, fault) };
}

const COUPLED_TO = 1e-9;

function couplingOf(at: (speedRatio: number) => ConverterPoint, fault: StatorFault | null): number {
  if (fault === 'seized' || at(1).statorHolds) return 1;
  return findRoot((sr) => (at(sr).statorHolds ? 1 : -1), 0, 1, COUPLED_TO).x;
}

/** A point of the chain entered from the turbine, told for ω_pump = 1: what drives there is our turbine. */
function fromBehind(point: ConverterPoint, speedRatio: number): ConverterPoint {
  const square = speedRatio * speedRatio;
  const pump = -point.turbineCoefficient * square;
  const turbine = -point.coefficient * square;
  return {
    speedRatio,
    torqueRatio: pump !== 0 ? turbine / pump : 1,
    coefficient: pump,
    turbineCoefficient: turbine,
    efficiency: powerOut(pump, turbine, speedRatio),
    statorHolds: point.statorHolds,
    statorSpeed: point.statorSpeed === null ? null : point.statorSpeed * speedRatio,
    flow: point.flow === null ? null : -point.flow * speedRatio,
  };
}

function pointAt(
  b: Blading,
  mass: number,
  speedRatio: number,
  fault: StatorFault | null,
): ConverterPoint {
  const standing = flowAt(b, speedRatio, true);
  const pushed = momentum(b.stator, 0, standing) > momentum(b.turbine, speedRatio, standing);
  let stands = fault === 'seized' || (fault === null && pushed);
  let flow = stands ? standing : flowAt(b, speedRatio, false);
  let statorSpeed = stands ? 0 : freeStator(b, speedRatio, flow);
  // Where nothing circulates past a standing stator it is not pushed; still it can't turn backward.
  if (fault === null && statorSpeed < 0) [stands, flow, statorSpeed] = [true, standing, 0];
  const p = momentum(b.pump, 1, flow);
  const t = momentum(b.turbine, speedRatio, flow);
  const given = p - momentum(b.stator, statorSpeed, flow);
  const torqueRatio = flow > 0 && given !== 0 ? (p - t) / given : 1;
  const [coefficient, turbineCoefficient] = [mass * flow * given, mass * flow * (p - t)];
  return {
    speedRatio,
    torqueRatio,
    coefficient,
    turbineCoefficient,
    efficiency: flow > 0 ? powerOut(coefficient, turbineCoefficient, speedRatio) : speedRatio,
    statorHolds: stands,
    statorSpeed,
    flow,
  };
}

/** Torques on the fluid for ω_pump = 1, N·m·s²: they sum to zero. */
export function wheelTorques(
  model: StreamlineModel,
  { speedRatio, statorSpeed, flow }: ConverterPoint,
): Record<'pump' | 'turbine' | 'stator', number> {
  const b = bladingOf(model);
  const v = flow ?? 0;
  const p = momentum(b.pump, 1, v);
  const t = momentum(b.turbine, speedRatio, v);
  const s = momentum(b.stator, statorSpeed ?? 0, v);
  const mass = model.density * model.area * v;
  return { pump: mass * (p - s), turbine: mass * (t - p), stator: mass * (s - t) };
}
