import type { Accumulator, Feed, Piston } from './plan';
import { TIMED_AT, USUAL_PRESSURES } from './wishes';

/** Friction and mean radius of a usual face, m² of a usual piston (memory). */
const FRICTION = 0.12;
const RADIUS = 0.065;
const USUAL_AREA = 0.009;
/** Return springs over full pressure. */
const RETURN = 0.12;
/** m of clearance a face, of the cushion plate, and kg of steel a pair of faces (memory). */
const GAP = 0.25e-3;
const CUSHION = 0.3e-3;
const STEEL = 0.25;
const [FEWEST, MOST] = [2, 16];
/** s to fill at the least pressure, and s that an accumulator strokes (memory). */
const FILLS_IN = 0.16;
const STROKES_IN = 0.5;
/** Torque at both ends of the stroke over what the shift asks. */
export const [STROKE_FROM, STROKE_TO] = [0.8, 1.8];
const ACCUMULATOR_AREA = 5e-4;
/** It has to end below the line's own pressure. */
const BELOW_LINE = 0.9;

export interface SizedElement {
  readonly feed: Omit<Feed, 'from' | 'to'>;
  readonly piston: Omit<Piston, 'line'>;
  /** Only of an element that a shift brings in. */
  readonly accumulator: Omit<Accumulator, 'line'> | null;
}

/**
 * Piston, feed and accumulator of an element.
 * @param capacity N·m that it has to hold at full pressure
 * @param asked N·m that a shift with the engine at `TIMED_AT` asks of it; `null` where no shift brings it in
 */
export function sizedElement(
  element: string,
  capacity: number,
  asked: number | null,
): SizedElement {
  const { full, idle, throttleFull } = USUAL_PRESSURES;
  const wanted = capacity / (FRICTION * RADIUS * USUAL_AREA * full * (1 - RETURN));
  const faces = Math.min(MOST, Math.max(FEWEST, 2 * Math.round(wanted / 2)));
  const torquePerForce = faces * FRICTION * RADIUS;
  const area = capacity / torquePerForce / (full * (1 - RETURN));
  const returnForce = RETURN * full * area;
  const travel = GAP * faces;
  const k = (area * travel) / (FILLS_IN * Math.sqrt(idle - RETURN * full));
  const piston: SizedElement['piston'] = {
    id: `piston-${element}`,
    name: '',
    kind: 'piston',
    element,
    area,
    travel,
    cushion: CUSHION,
    returnForce,
    torquePerForce,
    leak: 0,
    steel: (STEEL * faces) / 2,
  };
  const feed: SizedElement['feed'] = {
    id: `feed-${element}`,
    name: '',
    kind: 'feed',
    in: k,
    out: k,
  };
  if (asked === null || asked <= 0) return { feed, piston, accumulator: null };
  const line = idle + (full - idle) * TIMED_AT;
  const at = (share: number) => (returnForce + (share * asked) / torquePerForce) / area;
  const from = at(STROKE_FROM);
  const to = Math.max(from * 1.01, Math.min(BELOW_LINE * line, at(STROKE_TO)));
  // What presses on its back follows the torque: that much of its pressure comes from there.
  const back = (STROKE_FROM * asked) / torquePerForce / area / (TIMED_AT * throttleFull);
  const behind = back * TIMED_AT * throttleFull;
  return {
    feed,
    piston,
    accumulator: {
      id: `acc-${element}`,
      name: '',
      kind: 'accumulator',
      area: ACCUMULATOR_AREA,
      travel: (k * STROKES_IN * Math.sqrt(line - (from + to) / 2)) / ACCUMULATOR_AREA,
      spring: (from - behind) * ACCUMULATOR_AREA,
      springEnd: (to - behind) * ACCUMULATOR_AREA,
      back: { line: 'throttle', area: back * ACCUMULATOR_AREA },
    },
  };
}
