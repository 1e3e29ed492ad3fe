import type { StallCondition } from './stallTest';

/**
 * What the dipstick tells. Standing still, part of the converter drains back to the pan, so the level stands higher
 * than running; level the same running and stopped, and no range moves, means that the pump does not turn. Bright
 * red fluid is healthy, brown with a burnt smell holds friction material, milky fluid holds water (common practice,
 * no source).
 */
export interface Dipstick {
  /** mm over the full mark, engine running in neutral. */
  readonly runningMm: number;
  /** mm over the full mark, engine stopped for a while. */
  readonly stoppedMm: number;
}

/** Litres that drain back from a usual converter, and mm of dipstick for each (memory). */
const DRAINS_L = 1.6;
const MM_PER_LITRE = 14;
/** Litres in the circuit while the pump turns and the pan shows full. */
const IN_CIRCUIT_L = 3.4;

export function dipstick(condition: StallCondition): Dipstick {
  if (condition === 'pump-not-driven') {
    // What the pump should have taken up stays in the pan, running as stopped.
    const mm = MM_PER_LITRE * IN_CIRCUIT_L;
    return { runningMm: mm, stoppedMm: mm };
  }
  return { runningMm: 0, stoppedMm: MM_PER_LITRE * DRAINS_L };
}

/** @param sameMm readings closer than this count as the same */
export const levelVerdict = (
  { runningMm, stoppedMm }: Dipstick,
  sameMm = 3,
): 'pump-turns' | 'pump-does-not-turn' =>
  Math.abs(stoppedMm - runningMm) <= sameMm ? 'pump-does-not-turn' : 'pump-turns';

export const FLUID_COLOURS = ['red', 'brown', 'milky'] as const;
export type FluidColour = (typeof FLUID_COLOURS)[number];

export interface FluidLook {
  readonly colour: FluidColour;
  readonly burnt: boolean;
}

/** °C past which fluid darkens within hours (memory). */
export const FLUID_BURNS_C = 150;

/** @param water some has come in, as from a leaking cooler @param hottestC what the fluid has seen */
export function fluidLook(condition: StallCondition, water: boolean, hottestC: number): FluidLook {
  const burnt = condition === 'clutch-slips' || hottestC > FLUID_BURNS_C;
  return { colour: water ? 'milky' : burnt ? 'brown' : 'red', burnt };
}

export type FluidVerdict = 'healthy' | 'friction-material' | 'overheated' | 'water';

export const fluidVerdict = ({ colour, burnt }: FluidLook): FluidVerdict =>
  colour === 'milky'
    ? 'water'
    : burnt
      ? 'friction-material'
      : colour === 'brown'
        ? 'overheated'
        : 'healthy';
