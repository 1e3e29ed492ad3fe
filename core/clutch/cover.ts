import { findRoot } from '../numerics';
import { leverRatio, type Clutch, type DiaphragmCover } from './clutch';
import type { ClutchState } from './condition';
import { discSpringLoad } from './discSpring';

/**
 * What presses the plate (derived here). Everything is counted at the plate: y is how far the plate has been lifted
 * from where the cushion between the facings is just closed, + away from the flywheel.
 *
 *   spring   P(y) = F(s_new − wear + y)        F from the disc spring's edges to plate and pivot, or coil springs
 *   straps   S(y) = S₀ + k·(wear − y)
 *   cushion  N(c) = N₁·(c/c₁)²  for c = c₁ − y between 0 and c₁, stiff beyond
 *   bearing  B(y) = (P − S − N)/lever ratio
 */
export interface CoverLoads {
  /** Load of the spring on the plate, N. */
  readonly spring: (y: number) => number;
  readonly straps: (y: number) => number;
  /** Clamp load on the facings, N. */
  readonly clamp: (y: number) => number;
  /** y with the pedal up, the bearing away. */
  readonly clamped: number;
  /** y at which the plate is clear of a flat disc. */
  readonly clear: number;
  /** Half the unevenness of the gap round the disc, m, with the plate lifted this far. */
  readonly unevenness: (y: number) => number;
}

/** How much stiffer the closed cushion is than at its end. */
const CLOSED = 20;
/** N that press a warped disc, or a tipped plate's edge, flat by a metre: it gives way by bending (memory). */
const FLATTENS = 2e5;

/** Load on the plate, N, of a diaphragm deflected by s (m at the plate). */
export function diaphragmLoad(cover: DiaphragmCover, s: number): number {
  const { spring, plateRadius, pivotRadius } = cover;
  // Edge to edge of the closed ring against plate to pivot: the same energy by both.
  const lever = (spring.outerDiameter - spring.innerDiameter) / 2 / (plateRadius - pivotRadius);
  return discSpringLoad(spring, s * lever) * lever;
}

export function coverLoads(clutch: Clutch, state: ClutchState): CoverLoads {
  const { disc, cover } = clutch;
  const { wear } = state;
  const plate = cover.spring;
  const lift = leverRatio(cover);
  const spring = (y: number): number =>
    plate.kind === 'diaphragm'
      ? diaphragmLoad(plate, plate.installed - wear + y)
      : plate.springs * Math.max(0, plate.preload + plate.rate * (y - wear));
  const straps = (y: number) => Math.max(0, cover.straps.preload + cover.straps.rate * (wear - y));
  const travel = Math.max(1e-5, disc.cushion.travel * state.cushion);
  const local = (c: number): number => {
    if (c <= 0) return 0;
    if (c <= travel) return disc.cushion.load * (c / travel) ** 2;
    return disc.cushion.load * (1 + (2 * CLOSED * (c - travel)) / travel);
  };
  const even = (y: number) => local(travel - y);
  const clamped = balance((y) => spring(y) - straps(y) - even(y), -travel, travel);
  // A plate pulled by levers of different height tips, at most as far as it has been lifted.
  const tip = (state.uneven / 2 / lift) * (disc.outerRadius / plate.plateRadius);
  const unevenness = (y: number) => state.runOut / 2 + Math.min(tip, Math.max(0, y - clamped));
  // A clamped disc is pressed flat: what is uneven shows once the plate has begun to lift, and rubs until it is clear.
  const clamp = (y: number): number => {
    const shown = unevenness(y) * Math.min(1, Math.max(0, (y - clamped) / travel));
    // It can't press harder than the spring does with the bearing away.
    const uneven = Math.min(even(clamped), FLATTENS * (2 * shown - Math.max(0, y - travel)));
    return Math.max(even(y), uneven);
  };
  return { spring, straps, clamp, clamped, clear: travel, unevenness };
}

/** m to which the plate's place is found. */
const PLACE = 1e-12;

/** Where a function that rises through zero does so; the nearer end when it does not. */
const balance = (rising: (y: number) => number, from: number, to: number): number =>
  findRoot(rising, from, to, PLACE).x;

/** Clamp load on the facings with the pedal up and the bearing away, N. */
export function clampLoad(clutch: Clutch, state: ClutchState): number {
  const loads = coverLoads(clutch, state);
  return Math.max(0, loads.clamp(loads.clamped));
}
