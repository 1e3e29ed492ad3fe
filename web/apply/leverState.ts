import type { Range } from '../../core/geartrain';
import { sameElements } from './applySlice';

/** Which range is in, and the next ones up and down in the same lever place. */
export function leverState(ranges: readonly Range[], applied: readonly string[]) {
  const current = ranges.find((r) => sameElements(r.apply, applied));
  const gears = current ? ranges.filter((r) => r.lever === current.lever) : [];
  const at = current ? gears.indexOf(current) : -1;
  return { current, up: gears[at + 1], down: at > 0 ? gears[at - 1] : undefined };
}

const USUAL_ORDER = ['P', 'R', 'N', 'D'];

/** The places of the lever in the order a driver finds them: park, reverse, neutral, drive, then the others. */
export function leverPlaces(ranges: readonly Range[]): string[] {
  const places = [...new Set(ranges.map((r) => r.lever))];
  const usual = USUAL_ORDER.filter((p) => places.includes(p));
  return [...usual, ...places.filter((p) => !usual.includes(p))];
}
