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
  const along = model.friction * (3 + pump.exit ** 2 + turbine.exit ** 2 + stator.exit ** 2);
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
  let stands = fault === 'seized' || (fault === null && pushed);
  let flow = stands ? standing : flowAt(b, speedRatio, false);
  let statorSpeed = stands ? 0 : freeStator(b, speedRatio, flow);
  // Where nothing circulates past a standing stator it is not pushed; still it can't turn backward.
  if (fault === null && statorSpeed < 0) [stands, flow, statorSpeed] = [true, standing, 0];
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
