import { RPM_TO_RAD } from '../quantities';
import { adjustsItself, type Clutch } from './clutch';
import { BEARINGS, type BearingId, type ClutchState } from './condition';
import { dragTorque } from './capacity';
import { atPedal, releaseCurve } from './release';

/**
 * Which bearings turn under load: a rough bearing is heard only while its races turn at different speeds. The input
 * shaft goes with the crankshaft while the clutch carries it, and stands when a gear holds it. With the pedal down in
 * neutral it runs down, carried by what still drags (pilot bearing, clutch) against seals and oil in the gearbox:
 *
 *   I·dω/dt = T_carried − T_seals − b·ω
 *
 * so it is the moment of listening that decides: at once it still turns with the engine, after some seconds it stands.
 */
export type PedalPlace = 'up' | 'first-touch' | 'down';

export interface NoiseTest {
  readonly pedal: PedalPlace;
  readonly gear: 'neutral' | 'in-gear';
  /** s after the pedal went there. */
  readonly after: number;
}

/** s within which a listener hears what changes at once, and which are waited for a shaft to run down. */
const AT_ONCE_S = 0.2;
const WAITED_S = 10;

/** The tests of both schools, engine idling, vehicle standing. In gear with the clutch closed it would drive off. */
export const NOISE_TESTS: readonly (NoiseTest & { readonly id: string })[] = [
  { id: 'up-neutral', pedal: 'up', gear: 'neutral', after: WAITED_S },
  { id: 'touch-neutral', pedal: 'first-touch', gear: 'neutral', after: WAITED_S },
  { id: 'down-neutral', pedal: 'down', gear: 'neutral', after: AT_ONCE_S },
  { id: 'down-waited', pedal: 'down', gear: 'neutral', after: WAITED_S },
  { id: 'down-in-gear', pedal: 'down', gear: 'in-gear', after: WAITED_S },
];

export interface BearingRun {
  readonly bearing: BearingId;
  /** Between its races, rev/min. */
  readonly slipRpm: number;
  /** N of what presses on it, where that decides; `null` where it always carries some load. */
  readonly load: number | null;
  readonly turns: boolean;
  readonly heard: boolean;
}

/** Drag of a sound pilot bearing, N·m; of seals on the input shaft, N·m, and of oil, N·m per rad/s (memory). */
const PILOT_DRAG = 0.05;
const SEAL_DRAG = 0.35;
const OIL_DRAG = 0.004;
/** kg·m² of an input shaft with what turns with it in neutral. */
const SHAFT_INERTIA = 0.008;
/** N of the spring that keeps a self-adjusting release against the fingers. */
const FOLLOWS_WITH = 60;
/** N on the release bearing from which it turns with the fingers. */
const TOUCH_LOAD = 20;
/** Share of the engine's speed from which a bearing is said to turn. */
const TURNS_FROM = 0.15;

export function inputShaftRpm(
  clutch: Clutch,
  state: ClutchState,
  test: NoiseTest,
  engineRpm: number,
): number {
  if (test.gear === 'in-gear') return 0;
  return (inputRunsDown(clutch, state, test.pedal, engineRpm).at(test.after) * 30) / Math.PI;
}

/** How the input shaft runs down in neutral with the pedal there, from the engine's speed. */
export function inputRunsDown(
  clutch: Clutch,
  state: ClutchState,
  pedal: PedalPlace,
  engineRpm: number,
): {
  /** rad/s after so many s. */
  readonly at: (seconds: number) => number;
  /** s until it stands; `null` where it never does. */
  readonly stands: number | null;
} {
  const omega = engineRpm * RPM_TO_RAD;
  const carried =
    PILOT_DRAG + state.pilotDrag + dragTorque(clutch, state, clampAt(clutch, state, pedal));
  if (carried >= SEAL_DRAG + OIL_DRAG * omega) return { at: () => omega, stands: null };
  const inertia = SHAFT_INERTIA + clutch.disc.inertia;
  const end = (carried - SEAL_DRAG) / OIL_DRAG;
  const at = (seconds: number) =>
    Math.max(0, end + (omega - end) * Math.exp((-seconds * OIL_DRAG) / inertia));
  return { at, stands: end < 0 ? (inertia / OIL_DRAG) * Math.log((omega - end) / -end) : null };
}

/** Bearings while the engine turns at this speed. */
export function bearingRuns(
  clutch: Clutch,
  state: ClutchState,
  test: NoiseTest,
  engineRpm: number,
): BearingRun[] {
  const curve = releaseCurve(clutch, state);
  const load =
    atPedal(curve, pedalAt(curve, test.pedal)).bearingLoad + touchLoad(clutch, test.pedal);
  const input = inputShaftRpm(clutch, state, test, engineRpm);
  const slips: Record<BearingId, number> = {
    release: load >= TOUCH_LOAD ? engineRpm : 0,
    pilot: engineRpm - input,
    input,
  };
  return BEARINGS.map((bearing) => {
    const slipRpm = slips[bearing];
    const turns = slipRpm > TURNS_FROM * engineRpm;
    return {
      bearing,
      slipRpm,
      load: bearing === 'release' ? load : null,
      turns,
      heard: turns && state.roughBearings.includes(bearing),
    };
  });
}

/** The tests in which exactly one of the two turns: these tell them apart. */
export const separatingTests = (
  clutch: Clutch,
  state: ClutchState,
  a: BearingId,
  b: BearingId,
  engineRpm: number,
): string[] =>
  NOISE_TESTS.filter((test) => {
    const runs = bearingRuns(clutch, state, test, engineRpm);
    const turns = (id: BearingId) => runs.find((r) => r.bearing === id)!.turns;
    return turns(a) !== turns(b);
  }).map((t) => t.id);

/** A foot that has just taken up the play leans on the fingers a little; a self-adjusting release always does. */
const touchLoad = (clutch: Clutch, pedal: PedalPlace): number =>
  (pedal === 'first-touch' ? 2 * TOUCH_LOAD : 0) + (adjustsItself(clutch) ? FOLLOWS_WITH : 0);

const pedalAt = (
  curve: { readonly pedalPlay: number; readonly floor: number },
  place: PedalPlace,
): number => (place === 'up' ? 0 : place === 'first-touch' ? curve.pedalPlay : curve.floor);

const clampAt = (clutch: Clutch, state: ClutchState, place: PedalPlace): number => {
  const curve = releaseCurve(clutch, state);
  return atPedal(curve, pedalAt(curve, place)).clamp;
};
