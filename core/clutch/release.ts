import {
  adjustsItself,
  leverRatio,
  pedalToFork,
  type Clutch,
  type OverCentreSpring,
} from './clutch';
import type { ClutchState } from './condition';
import { coverLoads } from './cover';

/**
 * From the pedal to the plate, and back (derived here). For each lift y of the plate the chain is walked from the
 * fingers to the foot: bearing load and travel, fork, hydraulics (with air after Boyle, give of the lines and what
 * a leak loses) or cable with its stretch, and at last where the pedal stands and what it asks of the foot. Since
 * the pedal's travel rises with y, the chain is turned round by interpolation.
 */
export interface ReleasePoint {
  /** Pad travel from where the pedal rests, m. */
  readonly pedal: number;
  /** At the foot, N; below zero the pedal stays down by itself. */
  readonly pedalForce: number;
  /** Travel of the bearing from where it rests, m. */
  readonly bearing: number;
  /** Load on the bearing, N. */
  readonly bearingLoad: number;
  /** Lift of the plate from where it is clamped, m. */
  readonly lift: number;
  /** Clamp load on the facings, N. */
  readonly clamp: number;
  /** Between disc and plate, m: both sides together; below zero they touch. */
  readonly gap: number;
  /** The same at the place where it is least. */
  readonly leastGap: number;
}

export interface ReleaseCurve {
  /** Pedal rising; the first is at rest, the last on the floor. */
  readonly points: readonly ReleasePoint[];
  /** Free play, m: at the pad, and at the fork's end (below zero the bearing rides). */
  readonly pedalPlay: number;
  readonly forkPlay: number;
  /** Pad travel to the floor, m. */
  readonly floor: number;
  /** With the pedal up, N. */
  readonly clamp: number;
  /** Clamp load without any bearing on the fingers, N. */
  readonly freeClamp: number;
}

const ATMOSPHERE = 101325;
const POINTS = 240;

/** Play at the fork's end now, m: what wear of the disc takes away by the fingers, adjustments, bent fingers; a release
 *  that adjusts itself has none. */
export function forkPlayNow(clutch: Clutch, state: ClutchState): number {
  if (adjustsItself(clutch)) return 0;
  const { linkage, cover } = clutch;
  const fingers = state.bent - state.wear * leverRatio(cover);
  return linkage.forkPlay + state.forkRod + fingers * linkage.forkRatio;
}

/** Clutches and states are never changed in place, so a pair has one curve: many readings ask for it. */
const curves = new WeakMap<Clutch, WeakMap<ClutchState, ReleaseCurve>>();

export function releaseCurve(clutch: Clutch, state: ClutchState): ReleaseCurve {
  let ofStates = curves.get(clutch);
  if (!ofStates) curves.set(clutch, (ofStates = new WeakMap()));
  let curve = ofStates.get(state);
  if (!curve) ofStates.set(state, (curve = walkedCurve(clutch, state)));
  return curve;
}

function walkedCurve(clutch: Clutch, state: ClutchState): ReleaseCurve {
  const { linkage, cover } = clutch;
  const loads = coverLoads(clutch, state);
  const ratio = leverRatio(cover);
  const play = forkPlayNow(clutch, state);
  const floor = Math.max(0, linkage.pedalTravel + state.turnbuckle);
  const flex = cover.spring.kind === 'diaphragm' ? 1 / cover.spring.fingerStiffness : 0;
  const foot = footOf(clutch, state);
  const at = (y: number): Walked => {
    const clamp = Math.max(0, loads.clamp(y));
    const bearingLoad = Math.max(0, (loads.spring(y) - loads.straps(y) - clamp) / ratio);
    const travel = (y - loads.clamped) * ratio + flex * bearingLoad;
    const fork = play + travel * linkage.forkRatio;
    return { y, clamp, bearingLoad, fork, ...foot(fork, bearingLoad / linkage.forkRatio) };
  };
  const most =
    loads.clamped + (floor / pedalToFork(linkage) / linkage.forkRatio + Math.max(0, -play)) / ratio;
  const walked = rising(
    Array.from({ length: POINTS }, (_v, k) =>
      at(loads.clamped + (Math.max(0.1e-3, most - loads.clamped) * k) / (POINTS - 1)),
    ),
  );
  const pointAt = (pedal: number): ReleasePoint => {
    const w = between(walked, pedal);
    const fork = pedal < walked[0]!.pedal ? Math.max(0, play * (pedal / walked[0]!.pedal)) : w.fork;
    const gap = w.y - loads.clear;
    return {
      pedal,
      pedalForce: footForce(clutch, state, pedal, w.chainForce),
      bearing: Math.max(0, fork) / linkage.forkRatio,
      bearingLoad: w.bearingLoad,
      lift: w.y - loads.clamped,
      clamp: w.clamp,
      gap,
      leastGap: gap - 2 * loads.unevenness(w.y),
    };
  };
  const points = Array.from({ length: POINTS }, (_v, k) => pointAt((floor * k) / (POINTS - 1)));
  return {
    points,
    pedalPlay: Math.max(0, walked[0]!.pedal),
    forkPlay: play,
    floor,
    clamp: points[0]!.clamp,
    freeClamp: Math.max(0, loads.clamp(loads.clamped)),
  };
}

/** The chain as walked from one lift of the plate; `pedal` may lie below rest when the bearing rides. */
interface Walked {
  readonly y: number;
  readonly clamp: number;
  readonly bearingLoad: number;
  readonly fork: number;
  readonly pedal: number;
  readonly chainForce: number;
}

/** Pad travel and force that the linkage asks for, from travel (m) and force (N) at the fork's end. */
function footOf({ linkage }: Clutch, state: ClutchState) {
  const { drive } = linkage;
  if (drive.kind === 'cable')
    return (fork: number, force: number) => ({
      pedal: state.turnbuckle + (fork + force / drive.stiffness) * drive.ratio,
      chainForce: force / drive.ratio,
    });
  const [master, slave] = [drive.masterBore, drive.slaveBore].map((d) => (Math.PI / 4) * d * d);
  return (fork: number, force: number) => {
    const pressure = force / slave!;
    const air = state.air * (1 - ATMOSPHERE / (ATMOSPHERE + pressure));
    const lost = drive.give * pressure + air + state.leak * (pressure / 1e6);
    const rod = drive.rodPlay + (fork * slave! + lost) / master!;
    return {
      pedal: state.turnbuckle + rod * drive.ratio,
      chainForce: (pressure * master!) / drive.ratio,
    };
  };
}

/** Pad travel that goes into air, leaks and give of the lines with the pedal on the floor, m. */
export function springyTravel(clutch: Clutch, state: ClutchState): number {
  const { linkage } = clutch;
  const { points, floor } = releaseCurve(clutch, state);
  const down = points.at(-1)!;
  const force = down.bearingLoad / linkage.forkRatio;
  const stiff = down.bearing * linkage.forkRatio * pedalToFork(linkage);
  const rod = linkage.drive.kind === 'hydraulic' ? linkage.drive.rodPlay * linkage.drive.ratio : 0;
  return force > 0 ? Math.max(0, floor - state.turnbuckle - rod - stiff) : 0;
}

/** The points with pedal travel made to rise: where fingers give way faster than they move, the plate snaps. */
function rising(walked: readonly Walked[]): Walked[] {
  const kept: Walked[] = [];
  for (const w of walked) if (!kept.length || w.pedal > kept.at(-1)!.pedal) kept.push(w);
  return kept;
}

/** Straight between neighbours; the ends hold beyond them. */
function between(walked: readonly Walked[], pedal: number): Walked {
  if (pedal <= walked[0]!.pedal) return walked[0]!;
  const last = walked.at(-1)!;
  if (pedal >= last.pedal) return last;
  let [low, high] = [0, walked.length - 1];
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (walked[middle]!.pedal <= pedal) low = middle;
    else high = middle;
  }
  const [a, b] = [walked[low]!, walked[high]!];
  const t = (pedal - a.pedal) / (b.pedal - a.pedal);
  const mix = (k: keyof Walked) => a[k] + (b[k] - a[k]) * t;
  return {
    y: mix('y'),
    clamp: mix('clamp'),
    bearingLoad: mix('bearingLoad'),
    fork: mix('fork'),
    pedal,
    chainForce: mix('chainForce'),
  };
}

const footForce = (
  { linkage }: Clutch,
  { turnbuckle }: ClutchState,
  pedal: number,
  chain: number,
): number => {
  const help = linkage.overCentre
    ? overCentreHelp(linkage.overCentre, linkage.pedalArm, pedal - turnbuckle)
    : 0;
  return chain + linkage.returnForce - help;
};

/**
 * N at the pad with which the over-centre spring helps the foot (below zero before its centre, where it holds the
 * pedal up). Anchor, pivot and arm make a triangle with the angle φ from the line at centre:
 *   length l = √(a² + b² + 2ab·cos φ) with the arm beyond the pivot, torque = k·(l − l₀)·a·b·sin φ / l
 * @param pedal pad travel, m @param pedalArm pivot to pad, m
 */
export function overCentreHelp(spring: OverCentreSpring, pedalArm: number, pedal: number): number {
  const { anchor: a, arm: b, rate, freeLength, centre } = spring;
  const angle = (pedal - centre) / pedalArm;
  const length = Math.sqrt(a * a + b * b + 2 * a * b * Math.cos(angle));
  const pull = rate * Math.max(0, length - freeLength);
  return (pull * a * b * Math.sin(angle)) / length / pedalArm;
}

/** The point of the curve at this pad travel (m), straight between its neighbours. */
export function atPedal({ points, floor }: ReleaseCurve, pedal: number): ReleasePoint {
  const last = points.length - 1;
  const x = floor > 0 ? Math.min(1, Math.max(0, pedal / floor)) * last : 0;
  const k = Math.min(last - 1, Math.floor(x));
  const [a, b, t] = [points[k]!, points[k + 1]!, x - k];
  const mix = (key: keyof ReleasePoint) => a[key] + (b[key] - a[key]) * t;
  return {
    pedal,
    pedalForce: mix('pedalForce'),
    bearing: mix('bearing'),
    bearingLoad: mix('bearingLoad'),
    lift: mix('lift'),
    clamp: mix('clamp'),
    gap: mix('gap'),
    leastGap: mix('leastGap'),
  };
}

/** Pad travel at which the clutch begins to bite when the pedal comes up, m: the last at which the facings touch. */
export function bitePoint({ points }: ReleaseCurve): number {
  for (let k = points.length - 1; k >= 0; k--) if (points[k]!.clamp > 0) return points[k]!.pedal;
  return 0;
}
