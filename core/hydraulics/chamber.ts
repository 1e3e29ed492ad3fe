import { partsOf, type Accumulator, type Feed, type HydraulicPlan, type Piston } from './plan';
import type { OilCondition } from './condition';

/**
 * An element's passage as one room: what pressure holds so much oil in it (derived here). Piston, cushion plate and
 * accumulator are springs side by side; the oil goes where it is pushed against least:
 *
 *   piston to the plates   p = (F_r/2 … F_r)/A_p over A_p·travel
 *   cushion plate          p = F_r/A_p … (F_r + F_c)/A_p over A_p·give
 *   accumulator            p = (F + p_b·A_b)/A … over A·stroke
 *
 * and past all of them it hardly gives at all.
 */
export interface Chamber {
  readonly feed: Feed;
  readonly piston: Piston;
  readonly accumulator: Accumulator | null;
  /** m³ that lie in it at this pressure. */
  readonly volumeAt: (pressure: number) => number;
  /** Pa that this much oil makes. */
  readonly pressureOf: (volume: number) => number;
  /** N·m that the element can hold. */
  readonly holds: (pressure: number) => number;
  /** m³ until the plates touch. */
  readonly fillVolume: number;
}

/** Share of a return spring's force that it has with the piston at rest (memory). */
const PRELOAD = 0.5;
/** Pa over which a cushion plate is pressed flat (memory). */
const CUSHION_FLAT = 150e3;
/** Share of its fill volume that a room gives for each Pa: oil, air in it and seals (memory: about two hundredths a MPa). */
const GIVES = 2e-8;

/** A spring that takes this much oil between two pressures. */
interface Taking {
  readonly from: number;
  readonly to: number;
  readonly volume: number;
}

/**
 * @param back Pa behind the accumulator
 * @returns `null` where the element has no piston, or no passage feeds it
 */
export function chamberOf(
  plan: HydraulicPlan,
  element: string,
  condition: OilCondition,
  back: number,
): Chamber | null {
  const piston = partsOf(plan, 'piston').find((p) => p.element === element);
  const feed = piston && partsOf(plan, 'feed').find((f) => f.to === piston.line);
  if (!piston || !feed) return null;
  const found = partsOf(plan, 'accumulator').find((a) => a.line === piston.line) ?? null;
  // Stuck, it takes nothing wherever it stands.
  const accumulator = found && !condition.stuck.has(found.id) ? found : null;
  const fillVolume = piston.area * piston.travel;
  const touch = piston.returnForce / piston.area;
  const takings: Taking[] = [
    { from: PRELOAD * touch, to: touch, volume: fillVolume },
    { from: touch, to: touch + CUSHION_FLAT, volume: piston.area * piston.cushion },
  ];
  if (accumulator) {
    const { area, spring, springEnd, travel } = accumulator;
    const behind = accumulator.back ? back * accumulator.back.area : 0;
    takings.push({
      from: (spring + behind) / area,
      to: (springEnd + behind) / area,
      volume: area * travel,
    });
  }
  const gives = GIVES * fillVolume;
  const volumeAt = (pressure: number) => {
    let sum = gives * pressure;
    for (const { from, to, volume } of takings)
      sum += volume * Math.max(0, Math.min(1, (pressure - from) / Math.max(1, to - from)));
    return sum;
  };
  const ends = [0, ...new Set(takings.flatMap((t) => [t.from, t.to]))].sort((a, b) => a - b);
  const volumes = ends.map(volumeAt);
  return {
    feed,
    piston,
    accumulator,
    volumeAt,
    pressureOf(volume) {
      for (let k = 1; k < ends.length; k++) {
        if (volumes[k]! < volume) continue;
        const [low, high] = [volumes[k - 1]!, volumes[k]!];
        return (
          ends[k - 1]! + ((ends[k]! - ends[k - 1]!) * (volume - low)) / Math.max(1e-18, high - low)
        );
      }
      return ends.at(-1)! + (volume - volumes.at(-1)!) / gives;
    },
    holds: (pressure) =>
      piston.torquePerForce * Math.max(0, pressure * piston.area - piston.returnForce),
    fillVolume,
  };
}
