import { polar, type Point } from './involute';
import type { PlanetarySet } from './oneSet';
import type { PinionName } from './pinionSpeeds';
import { DEFAULT_PINIONS, pairGeometry } from './toothConditions';

/**
 * Where every pinion of a set sits and how far each gear is turned, so that teeth mesh exactly at all
 * angles (derived here). Lengths in modules, angles in rad, counter-clockwise positive.
 *
 * A gear turned by θ has a tooth on the ray θ. Along the direction δ from gear 1 to gear 2, count each
 * gear's position in teeth: u1 = z1·(δ − θ1)/2π and u2 = z2·(δ + π − θ2)/2π (external) or
 * z2·(δ − θ2)/2π (internal). A tooth meets a space when u1 + u2 = ½ (external), u1 − u2 = ½ (internal).
 */
export interface Seat {
  readonly name: PinionName;
  readonly teeth: number;
  /** Distance of its centre from the middle. */
  readonly radius: number;
  /** Direction of its centre seen from the carrier's own zero. */
  readonly angle: number;
}

export interface SetLayout {
  readonly sunTeeth: number;
  readonly ringTeeth: number;
  /** One entry a pinion, or a pair (inner first). */
  readonly stations: readonly (readonly Seat[])[];
  /** False when equal spacing is impossible and the pinions stand at the nearest places that mesh. */
  readonly equallySpaced: boolean;
  /** Gap (+) or overlap (−) left between the last pinion and the ring's pitch circle; 0 when it fits. */
  readonly ringMisfit: number;
}

/** Teeth a set is drawn with where the file states only sun and ring. */
export function drawnPinions(set: PlanetarySet): { name: PinionName; teeth: number }[] {
  const room = (set.teeth.ring - set.teeth.sun) / 2;
  if (set.kind === 'single-pinion')
    return [{ name: 'pinion', teeth: set.teeth.pinion ?? Math.max(6, Math.round(room)) }];
  const half = Math.max(6, Math.round(room * 0.72));
  return [
    { name: 'inner', teeth: set.teeth.inner ?? half },
    { name: 'outer', teeth: set.teeth.outer ?? half },
  ];
}

export function layOutSet(set: PlanetarySet): SetLayout {
  const { sun, ring } = set.teeth;
  const n = set.pinions ?? DEFAULT_PINIONS;
  const pinions = drawnPinions(set);
  // Turning the carrier by one step of 2π/(Ns ± Nr) while the sun stands brings the same mesh back.
  const places = set.kind === 'single-pinion' ? sun + ring : ring - sun;
  const equallySpaced = places > 0 && places % n === 0;
  const angles = Array.from({ length: n }, (_, k) =>
    places > 0 ? (2 * Math.PI * Math.round((places * k) / n)) / places : (2 * Math.PI * k) / n,
  );
  if (set.kind === 'single-pinion') {
    const { name, teeth } = pinions[0]!;
    const radius = (sun + teeth) / 2;
    const stations = angles.map((angle) => [{ name, teeth, radius, angle }]);
    const ringMisfit = ring / 2 - (radius + teeth / 2);
    return { sunTeeth: sun, ringTeeth: ring, stations, equallySpaced, ringMisfit };
  }
  const [inner, outer] = [pinions[0]!, pinions[1]!];
  const pair = pairGeometry(sun, inner.teeth, outer.teeth, ring);
  const innerRadius = (sun + inner.teeth) / 2;
  const outerRadius = pair?.outerRadius ?? innerRadius + (inner.teeth + outer.teeth) / 2;
  const spread = pair?.spread ?? 0;
  const stations = angles.map((angle) => [
    { ...inner, radius: innerRadius, angle },
    { ...outer, radius: outerRadius, angle: angle + spread },
  ]);
  const ringMisfit = pair ? 0 : ring / 2 - (outerRadius + outer.teeth / 2);
  return { sunTeeth: sun, ringTeeth: ring, stations, equallySpaced, ringMisfit };
}

/** Turn of the second gear of an external mesh. @param direction from the first centre to the second */
export function externalMesh(
  firstTeeth: number,
  firstTurn: number,
  secondTeeth: number,
  direction: number,
): number {
  const u = (firstTeeth * (direction - firstTurn)) / (2 * Math.PI);
  return direction + Math.PI - (2 * Math.PI * (0.5 - u)) / secondTeeth;
}

/** Turn of an internal gear round a pinion. @param direction from the internal gear's centre to the pinion's */
export function internalMesh(
  pinionTeeth: number,
  pinionTurn: number,
  ringTeeth: number,
  direction: number,
): number {
  const u = (pinionTeeth * (direction - pinionTurn)) / (2 * Math.PI);
  return direction - (2 * Math.PI * (u - 0.5)) / ringTeeth;
}

export interface Placed {
  readonly centre: Point;
  readonly turn: number;
}

export interface SetPose {
  readonly sun: number;
  readonly carrier: number;
  readonly ring: number;
  /** Same shape as `SetLayout.stations`. */
  readonly stations: readonly (readonly Placed[])[];
}

/** Where everything is when the sun has turned by `sunTurn` and the carrier by `carrierTurn`. */
export function poseSet(layout: SetLayout, sunTurn: number, carrierTurn: number): SetPose {
  const stations = layout.stations.map((seats) =>
    placeStation(layout, seats, sunTurn, carrierTurn),
  );
  const lastSeat = layout.stations[0]?.at(-1);
  const lastPlaced = stations[0]?.at(-1);
  const ring =
    lastSeat && lastPlaced
      ? internalMesh(
          lastSeat.teeth,
          lastPlaced.turn,
          layout.ringTeeth,
          lastSeat.angle + carrierTurn,
        )
      : 0;
  return { sun: sunTurn, carrier: carrierTurn, ring, stations };
}

function placeStation(
  layout: SetLayout,
  seats: readonly Seat[],
  sunTurn: number,
  carrierTurn: number,
): Placed[] {
  const placed: Placed[] = [];
  let before = { teeth: layout.sunTeeth, turn: sunTurn, centre: { x: 0, y: 0 } };
  let lastDirection: number | null = null;
  for (const seat of seats) {
    const centre = polar(seat.radius, seat.angle + carrierTurn);
    const raw = Math.atan2(centre.y - before.centre.y, centre.x - before.centre.x);
    const direction: number =
      lastDirection === null ? seat.angle + carrierTurn : unwind(raw, lastDirection);
    const turn = externalMesh(before.teeth, before.turn, seat.teeth, direction);
    placed.push({ centre, turn });
    before = { teeth: seat.teeth, turn, centre };
    lastDirection = direction;
  }
  return placed;
}

/** The angle equal to `angle` up to whole turns that lies nearest to `near`; keeps a pose continuous. */
function unwind(angle: number, near: number): number {
  return angle + 2 * Math.PI * Math.round((near - angle) / (2 * Math.PI));
}
