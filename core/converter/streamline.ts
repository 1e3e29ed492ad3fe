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
 * closed form. The stator stands while the fluid pushes it backward, else it turns so that its torque is zero;
 * its speed is then linear in v, and the balance stays a quadratic.
 *
 * Range: steady flow, speed ratio 0 to 1, one flow area, angles below 90°.
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
  readonly friction: number;
}

const tangent = (degrees: number): number => Math.tan((degrees * Math.PI) / 180);

const bladesOf = ({ exitRadius, exitAngle, inletAngle }: Wheel): Blades => ({
  radius: exitRadius,
  exit: tangent(exitAngle),
  inlet: tangent(inletAngle),
});

const bladingOf = (model: StreamlineModel): Blading => ({
  pump: bladesOf(model.pump),
  turbine: bladesOf(model.turbine),
  stator: bladesOf(model.stator),
  shock: model.shock,
  friction: model.friction,
});

/** Moment of momentum of the fluid leaving a wheel, per mass flow. */
const momentum = ({ radius, exit }: Blades, omega: number, v: number): number =>
  radius * (radius * omega + v * exit);

/** Speed at which the stator takes no torque. */
const freeStator = ({ turbine, stator }: Blading, speedRatio: number, v: number): number =>
  (momentum(turbine, speedRatio, v) - stator.radius * v * stator.exit) / stator.radius ** 2;

/** Square of the velocity with which the fluid misses the next wheel's blades. */
function shockAt(from: Blades, omegaFrom: number, to: Blades, omegaTo: number, v: number): number {
  const meets = from.radius * omegaFrom + v * from.exit;
  const wanted = from.radius * omegaTo + v * to.inlet;
  return (meets - wanted) ** 2;
}

/** What the wheels put in less what is lost, per mass flow. */
function balanceAt(b: Blading, speedRatio: number, omegaStator: number, v: number): number {
  const { pump, turbine, stator } = b;
  const p = momentum(pump, 1, v);
  const t = momentum(turbine, speedRatio, v);
  const s = momentum(stator, omegaStator, v);
  const given = p - s + (t - p) * speedRatio + (s - t) * omegaStator;
  const shocks =
    shockAt(stator, omegaStator, pump, 1, v) +
    shockAt(pump, 1, turbine, speedRatio, v) +
    shockAt(turbine, speedRatio, stator, omegaStator, v);
  const along = v * v * (3 + pump.exit ** 2 + turbine.exit ** 2 + stator.exit ** 2);
  return given - (b.shock * shocks + b.friction * along) / 2;
}

/** The larger root of a quadratic known by its values at −1, 0 and 1; zero when there is none above zero. */
function largerRoot(below: number, c: number, above: number): number {
  const a = (above + below) / 2 - c;
  const b = (above - below) / 2;
  const inside = b * b - 4 * a * c;
  if (inside < 0 || a === 0) return 0;
  const root = Math.sqrt(inside);
  return Math.max(0, (-b - root) / (2 * a), (-b + root) / (2 * a));
}

/** The axial velocity at which what is put in is what is lost. */
function flowAt(b: Blading, speedRatio: number, stands: boolean): number {
  const at = (v: number) => balanceAt(b, speedRatio, stands ? 0 : freeStator(b, speedRatio, v), v);
  return largerRoot(at(-1), at(0), at(1));
}

export function streamlineCharacteristic(
  model: StreamlineModel,
  fault: StatorFault | null = null,
): Characteristic {
  const blading = bladingOf(model);
  const mass = model.density * model.area;
  return { at: (speedRatio) => pointAt(blading, mass, speedRatio, fault) };
}

function pointAt(
  b: Blading,
  mass: number,
  speedRatio: number,
  fault: StatorFault | null,
): ConverterPoint {
  const standing = flowAt(b, speedRatio, true);
  const pushed = momentum(b.stator, 0, standing) > momentum(b.turbine, speedRatio, standing);
  const stands = fault === 'seized' || (fault === null && pushed);
  const flow = stands ? standing : flowAt(b, speedRatio, false);
  const statorSpeed = stands ? 0 : freeStator(b, speedRatio, flow);
  const p = momentum(b.pump, 1, flow);
  const t = momentum(b.turbine, speedRatio, flow);
  const given = p - momentum(b.stator, statorSpeed, flow);
  const torqueRatio = flow > 0 && given !== 0 ? (p - t) / given : 1;
  return {
    speedRatio,
    torqueRatio,
    coefficient: Math.max(0, mass * flow * given),
    efficiency: speedRatio * torqueRatio,
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
