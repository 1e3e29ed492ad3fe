import type { ConverterPoint, StreamlineModel, Wheel } from '../converter';

/**
 * The converter's blades unrolled: pump, turbine and stator as rows of blades one below the other, as the fluid
 * meets them, and one stream of fluid through all three. Its direction after each row is the velocity triangle's:
 * across R·ω + v·tan α, down the axial velocity v (any text on turbomachines). Lengths in drawing units.
 */
export interface BladeRow {
  readonly wheel: 'pump' | 'turbine' | 'stator';
  readonly top: number;
  readonly bottom: number;
  /** One blade from its inlet to its exit as a quadratic curve, at x = 0. */
  readonly blade: readonly [Place, Place, Place];
  /** Rim speed at the exit, × pump's rim speed. */
  readonly speed: number;
}

interface Place {
  readonly x: number;
  readonly y: number;
}

export interface VelocityTriangle {
  readonly wheel: BladeRow['wheel'];
  /** Where the fluid leaves the row. */
  readonly at: Place;
  /** Velocities over the pump's rim speed; x along the rotation, y down the row. */
  readonly rim: number;
  readonly relative: Place;
  readonly absolute: Place;
}

export interface Cascade {
  readonly rows: readonly BladeRow[];
  /** The stream as cubic curves, start first: each from `from` by two handles to `to`. */
  readonly stream: readonly { from: Place; a: Place; b: Place; to: Place }[];
  readonly triangles: readonly VelocityTriangle[];
  readonly height: number;
}

const ROW = 92;
const GAP = 40;

/** Blades are drawn no flatter than this, so that a row stays a row. */
const MOST_SLOPE = 1.9;

const slope = (degrees: number): number =>
  Math.max(-MOST_SLOPE, Math.min(MOST_SLOPE, Math.tan((degrees * Math.PI) / 180)));

/** @param point of this model; without flow there is no stream */
export function cascade(model: StreamlineModel, point: ConverterPoint): Cascade {
  const speeds = { pump: 1, turbine: point.speedRatio, stator: point.statorSpeed ?? 0 };
  const wheels = ['pump', 'turbine', 'stator'] as const;
  const rim = model.pump.exitRadius;
  const rows = wheels.map((wheel, k): BladeRow => {
    const top = GAP + k * (ROW + GAP);
    return {
      wheel,
      top,
      bottom: top + ROW,
      blade: bladeOf(model[wheel], top),
      speed: (model[wheel].exitRadius * speeds[wheel]) / rim,
    };
  });
  const flow = point.flow ?? 0;
  const triangles = wheels.map((wheel, k): VelocityTriangle => {
    const { exitRadius, exitAngle } = model[wheel];
    const tangential = flow * Math.tan((exitAngle * Math.PI) / 180);
    const u = exitRadius * speeds[wheel];
    return {
      wheel,
      at: { x: 0, y: rows[k]!.bottom },
      rim: u / rim,
      relative: { x: tangential / rim, y: flow / rim },
      absolute: { x: (u + tangential) / rim, y: flow / rim },
    };
  });
  const stream = flow > 0 ? streamOf(rows, triangles) : [];
  return { rows, stream, triangles, height: GAP + 3 * (ROW + GAP) };
}

function bladeOf({ inletAngle, exitAngle }: Wheel, top: number): BladeRow['blade'] {
  const half = ROW / 2;
  const [into, out] = [slope(inletAngle) * half, slope(exitAngle) * half];
  return [
    { x: -into, y: top },
    { x: 0, y: top + half },
    { x: out, y: top + ROW },
  ];
}

/** Straight between rows, bent inside them: the direction of the absolute velocity on both sides. */
function streamOf(
  rows: readonly BladeRow[],
  triangles: readonly VelocityTriangle[],
): Cascade['stream'] {
  const lean = (k: number) => {
    const { absolute } = triangles[(k + 3) % 3]!;
    const t = absolute.x / absolute.y;
    return Math.max(-MOST_SLOPE, Math.min(MOST_SLOPE, t));
  };
  const parts: Cascade['stream'][number][] = [];
  let here: Place = { x: 0, y: rows[0]!.top - GAP };
  const straight = (to: number, by: number) => {
    const end = { x: here.x + by * (to - here.y), y: to };
    const third = (s: number) => ({
      x: here.x + s * (end.x - here.x),
      y: here.y + s * (end.y - here.y),
    });
    parts.push({ from: here, a: third(1 / 3), b: third(2 / 3), to: end });
    here = end;
  };
  rows.forEach((row, k) => {
    straight(row.top, lean(k - 1));
    const third = ROW / 3;
    const end = { x: here.x + ((lean(k - 1) + lean(k)) / 2) * ROW, y: row.bottom };
    parts.push({
      from: here,
      a: { x: here.x + lean(k - 1) * third, y: here.y + third },
      b: { x: end.x - lean(k) * third, y: end.y - third },
      to: end,
    });
    here = end;
  });
  straight(rows.at(-1)!.bottom + GAP, lean(rows.length - 1));
  return parts;
}
