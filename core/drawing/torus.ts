import type { ConverterPoint, StreamlineModel } from '../converter';

/**
 * The converter's circuit twice: cut along the axis, upper half, and seen along the axis with the way of one bit of
 * fluid. In the cut the mean streamline is a circle that touches the radii of the wheels; the fluid goes round it at
 * the axial velocity v. Seen along the axis it also turns: its moment of momentum goes evenly, along each wheel, from
 * what it came in with to R·(R·ω + v·tan α) where it leaves (as in `converter/streamline.ts`), so
 *
 *   dθ/ds = (moment of momentum / r) / (r·v).
 *
 * Often round the circuit for each turn about the shaft is vortex flow, seldom is rotary flow. Lengths over the pump's
 * radius; y up in the cut.
 */
export type WheelName = 'pump' | 'turbine' | 'stator';

export interface TorusPlace {
  readonly x: number;
  readonly y: number;
}

export interface TorusWheel {
  readonly wheel: WheelName;
  /** Where it begins and ends on the circuit, rad from the lowest place, with the flow. */
  readonly from: number;
  readonly to: number;
}

export interface TorusPath {
  readonly wheel: WheelName;
  readonly points: readonly TorusPlace[];
}

export interface Torus {
  /** Radius of the circuit's middle, and of the circuit itself. */
  readonly centre: number;
  readonly circuit: number;
  readonly wheels: readonly TorusWheel[];
  /** Place in the cut at an angle of the circuit; `out` is 1 on the mean streamline, less nearer to the core. */
  readonly at: (angle: number, out: number) => TorusPlace;
  /** The fluid's way seen along the axis, a piece for every wheel it passes; empty where nothing circulates. */
  readonly path: readonly TorusPath[];
  /** Times that the fluid goes round the circuit while it turns once about the shaft; `null` where nothing flows. */
  readonly vortex: number | null;
}

const PIECES = 24;
const MOST_ROUNDS = 7;
/** The fluid is followed this far round the axis, rad. */
const FOLLOWED = 2.2 * Math.PI;

/** @param point of this model; without it, or without flow, there is no path */
export function torus(model: StreamlineModel, point: ConverterPoint | null): Torus {
  const rp = 1;
  const rt = model.turbine.exitRadius / model.pump.exitRadius;
  const rs = model.stator.exitRadius / model.pump.exitRadius;
  const low = rt > rs ? rs - 0.4 * (rt - rs) : rs - 0.1 * (rp - rs);
  const centre = (rp + low) / 2;
  const circuit = (rp - low) / 2;
  const angleOf = (r: number) => Math.acos(Math.max(-0.2, Math.min(0.98, (centre - r) / circuit)));
  const [enter, leave] = [angleOf(rs), 2 * Math.PI - angleOf(Math.max(rt, rs))];
  const wheels: TorusWheel[] = [
    { wheel: 'pump', from: enter, to: Math.PI },
    { wheel: 'turbine', from: Math.PI, to: leave },
    { wheel: 'stator', from: leave, to: 2 * Math.PI + enter },
  ];
  const at = (angle: number, out: number): TorusPlace => ({
    x: out * circuit * Math.sin(angle),
    y: centre - out * circuit * Math.cos(angle),
  });
  const flow = (point?.flow ?? 0) / model.pump.exitRadius;
  if (!point || flow <= 0) return { centre, circuit, wheels, at, path: [], vortex: null };
  const leaving = momenta(model, point, { rp, rt, rs }, flow);
  const radius = (angle: number) => centre - circuit * Math.cos(angle);
  const path: TorusPath[] = [];
  let theta = 0;
  let rounds = 0;
  for (; rounds < MOST_ROUNDS && theta < FOLLOWED; rounds++)
    wheels.forEach(({ wheel, from, to }, k) => {
      const [into, out] = [leaving[(k + 2) % 3]!, leaving[k]!];
      const points: TorusPlace[] = [];
      for (let j = 0; j <= PIECES; j++) {
        const share = j / PIECES;
        const r = radius(from + share * (to - from));
        points.push({ x: r * Math.sin(theta), y: r * Math.cos(theta) });
        if (j === PIECES) break;
        const middle = radius(from + (share + 0.5 / PIECES) * (to - from));
        const turned = (into + (share + 0.5 / PIECES) * (out - into)) / (middle * middle);
        theta += (turned / flow) * ((circuit * (to - from)) / PIECES);
      }
      path.push({ wheel, points });
    });
  const turns = Math.abs(theta) / (2 * Math.PI);
  return { centre, circuit, wheels, at, path, vortex: turns > 0 ? rounds / turns : null };
}

/** Moment of momentum per mass where the fluid leaves pump, turbine and stator. */
function momenta(
  model: StreamlineModel,
  { speedRatio, statorSpeed }: ConverterPoint,
  { rp, rt, rs }: { rp: number; rt: number; rs: number },
  flow: number,
): readonly number[] {
  const leaving = (r: number, omega: number, degrees: number) =>
    r * (r * omega + flow * Math.tan((degrees * Math.PI) / 180));
  return [
    leaving(rp, 1, model.pump.exitAngle),
    leaving(rt, speedRatio, model.turbine.exitAngle),
    leaving(rs, statorSpeed ?? 0, model.stator.exitAngle),
  ];
}
