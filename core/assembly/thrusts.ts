import { CASE } from '../geartrain';
import type { Bill } from './bill';
import type { Place, Thrust } from './parts';
import { sizeIn, WASHER_SIZES } from './sizes';
import { overlaps, type Piece } from './wayOut';

/** The pump stands before everything on the axis. */
const PUMP: Piece = { id: 'pump', member: CASE, places: [{ at: -0.5, inner: 0, outer: 4 }] };

const from = ({ places }: Piece): number => Math.min(...places.map((p) => p.at));
const isGear = ({ id }: Piece): boolean => /\.(sun|carrier|ring)\d*$/.test(id);

/** Where two face each other; `null` when they do not. */
function facing(a: Piece, b: Piece): Place | null {
  for (const p of a.places)
    for (const q of b.places)
      if (overlaps(p, q))
        return {
          at: (from(a) + from(b)) / 2,
          inner: Math.max(p.inner, q.inner),
          outer: Math.min(p.outer, q.outer),
        };
  return null;
}

/**
 * One thrust element between each two neighbours on the axis that turn against each other: a bearing beside a gear, a
 * tabbed washer elsewhere; the foremost and the rearmost are the selective ones. What lies before one leaves first; what
 * lies behind it is not drawn off with the washer still on it, where it leaves by the front alone.
 * @param rearFrom from here on a piece may leave by the rear, too
 */
export function thrustsBetween(bill: Bill, pieces: Piece[], rearFrom: number): void {
  const turning = [PUMP, ...pieces]
    .filter((p) => p.member !== null)
    .sort((a, b) => from(a) - from(b));
  const pairs = turning.flatMap((rear, k) => {
    const front = turning.slice(0, k).findLast((p) => from(p) < from(rear) && facing(p, rear));
    if (!front || front.member === rear.member) return [];
    return [{ front, rear, place: facing(front, rear)! }];
  });
  const thrusts = pairs.map(({ front, rear, place }, k): Thrust => {
    const selective = k === 0 || k === pairs.length - 1;
    const bearing = !selective && (isGear(front) || isGear(rear));
    const kind = bearing ? 'thrust-bearing' : 'thrust-washer';
    const id = `thrust-${k + 1}`;
    const part = bill.part(id, kind, ['front'], { size: sizeIn(WASHER_SIZES, bill.unit, id) });
    if (from(rear) < rearFrom) {
      bill.rule(part, 'way-out', [front.id]);
      bill.rule(rear.id, 'washer-behind', [part]);
    } else bill.rule(part, 'either-way-out', [], [[front.id, rear.id]]);
    pieces.push({ id: part, member: null, places: [place] });
    return { part, between: [front.id, rear.id], selective };
  });
  bill.lie(thrusts);
}
