import type { Clutch } from './clutch';
import { BEARINGS, type BearingId, type ClutchState } from './condition';
import { dragTorque } from './capacity';
import { atPedal, releaseCurve } from './release';

/**
 * Which bearings turn under load: a rough bearing is heard only while its races turn at different speeds. The input
 * shaft goes with the crankshaft while the clutch carries it, stands when a gear holds it, and with the pedal down in
 * neutral is carried along by what drags (pilot bearing, clutch) against the oil in the gearbox.
 */
export type PedalPlace = 'up' | 'first-touch' | 'down';

export interface NoiseTest {
  readonly pedal: PedalPlace;
  readonly gear: 'neutral' | 'in-gear';
}

/** The tests of both schools, engine idling, vehicle standing. In gear with the clutch closed it would drive off. */
export const NOISE_TESTS: readonly (NoiseTest & { readonly id: string })[] = [
  { id: 'up-neutral', pedal: 'up', gear: 'neutral' },
  { id: 'touch-neutral', pedal: 'first-touch', gear: 'neutral' },
  { id: 'down-neutral', pedal: 'down', gear: 'neutral' },
  { id: 'down-in-gear', pedal: 'down', gear: 'in-gear' },
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

/** Drag of a sound pilot bearing, N·m, and of the gearbox's oil on the input shaft, N·m per rad/s (memory). */
const PILOT_DRAG = 0.6;
const OIL_DRAG = 0.004;
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
  const clamp = clampAt(clutch, state, test.pedal);
  if (test.gear === 'in-gear') return 0;
  const omega = (engineRpm * Math.PI) / 30;
  const carried = PILOT_DRAG + dragTorque(clutch, state, clamp);
  return engineRpm * Math.min(1, carried / (OIL_DRAG * omega));
}

/** Bearings while the engine turns at this speed. */
export function bearingRuns(
  clutch: Clutch,
  state: ClutchState,
  test: NoiseTest,
  engineRpm: number,
): BearingRun[] {
  const curve = releaseCurve(clutch, state);
  const load = atPedal(curve, pedalAt(curve, test.pedal)).bearingLoad + touchLoad(test.pedal);
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

/** A foot that has just taken up the play leans on the fingers a little. */
const touchLoad = (pedal: PedalPlace): number => (pedal === 'first-touch' ? 2 * TOUCH_LOAD : 0);

const pedalAt = (
  curve: { readonly pedalPlay: number; readonly floor: number },
  place: PedalPlace,
): number => (place === 'up' ? 0 : place === 'first-touch' ? curve.pedalPlay : curve.floor);

const clampAt = (clutch: Clutch, state: ClutchState, place: PedalPlace): number => {
  const curve = releaseCurve(clutch, state);
  return atPedal(curve, pedalAt(curve, place)).clamp;
};
