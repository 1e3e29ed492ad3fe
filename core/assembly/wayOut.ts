import type { Bill } from './bill';
import type { Place } from './parts';

/** One thing that leaves along the axis: a drum, a gear, what lies in the case round them. */
export interface Piece {
  readonly id: string;
  readonly places: readonly Place[];
  /** The member it turns with, or the case; `null` for what only lies there: plates, bands, rings. */
  readonly member: string | null;
}

/** Along the axis both can't be passed by each other. */
export const overlaps = (a: Place, b: Place): boolean => a.inner < b.outer && b.inner < a.outer;

/**
 * What stands in the way of each piece, to the front and, behind the last support, to the rear. What begins nearer to the
 * front bars the way of what begins behind it, so that no two ever wait for each other.
 * @param rearFrom from here on a piece may leave by the rear, too
 */
export function wayOut(bill: Bill, pieces: readonly Piece[], rearFrom: number): void {
  const first = (p: Piece) => Math.min(...p.places.map((q) => q.at));
  const end = (p: Piece) => Math.max(...p.places.map((q) => q.at));
  const barring = new Map(
    pieces.map((a) => [
      a,
      new Set(
        pieces.filter((b) => a !== b && a.places.some((p) => b.places.some((q) => overlaps(p, q)))),
      ),
    ]),
  );
  const bars = (a: Piece, b: Piece) => barring.get(a)!.has(b);
  for (const piece of pieces) {
    const before = pieces.filter((p) => first(p) < first(piece) && bars(p, piece));
    const front = nearest(before, bars, first);
    if (first(piece) < rearFrom) {
      bill.rule(piece.id, 'pump-before-drums', ['pump']);
      bill.rule(piece.id, 'way-out', front);
      continue;
    }
    const behind = pieces.filter((p) => end(p) > end(piece) && bars(p, piece));
    const rear = nearest(behind, bars, (p) => -end(p));
    bill.opens(piece.id, ['front', 'rear']);
    bill.rule(
      piece.id,
      'either-way-out',
      [],
      pairs(['pump', ...front], ['extension', 'output-shaft', ...rear]),
    );
  }
}

/** Those that no other of them stands between: with these gone the way is clear. */
function nearest(
  list: readonly Piece[],
  bars: (a: Piece, b: Piece) => boolean,
  along: (p: Piece) => number,
): string[] {
  // The nearest first, since it bars most of the others.
  const sorted = list.map((piece) => ({ piece, at: along(piece) })).sort((a, b) => b.at - a.at);
  return sorted
    .filter(({ piece, at }) => !sorted.some((b) => b.at > at && bars(piece, b.piece)))
    .map(({ piece }) => piece.id);
}

/** All of the one or all of the other, as lists of which one each must have left. */
const pairs = (one: readonly string[], other: readonly string[]): string[][] =>
  one.flatMap((a) => other.map((b) => (a === b ? [a] : [a, b])));
