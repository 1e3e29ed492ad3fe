import type { Bill } from './bill';
import type { Opening } from './parts';
import { RING_SIZES, sizeIn } from './sizes';

/** Friction of a lining in oil, N on the plates, m of mean radius: of a usual pack (from memory; the maker's differ). */
const USUAL = { friction: 0.12, force: 9000, radius: 0.065 } as const;
const FRICTIONS = { least: 2, most: 8 } as const;

/** Friction plates of a pack: the fewest that hold what it was made for, N·m. */
function frictionsFor(newtonMetres: number): number {
  const each = 2 * USUAL.friction * USUAL.force * USUAL.radius;
  return Math.min(FRICTIONS.most, Math.max(FRICTIONS.least, Math.ceil(newtonMetres / each)));
}

/**
 * What lies in a drum, or in the case: each held by what is taken out before it.
 * @param madeFor N·m
 */
export function packParts(
  bill: Bill,
  id: string,
  openings: readonly Opening[],
  madeFor: number,
  seals: number,
): void {
  const own = { of: id };
  bill.part(`${id}.ring`, 'snap-ring', openings, {
    of: id,
    size: sizeIn(RING_SIZES, bill.unit, `${id}.ring`),
  });
  // As many steels as frictions, and the end plate.
  bill.part(`${id}.pack`, 'pack', openings, { of: id, count: 2 * frictionsFor(madeFor) + 1 });
  bill.part(`${id}.spring`, 'spring', openings, own);
  bill.part(`${id}.piston`, 'piston', openings, own);
  bill.part(`${id}.seals`, 'seals', openings, { of: id, count: seals });
  bill.rule(`${id}.pack`, 'retained', [`${id}.ring`]);
  bill.rule(`${id}.spring`, 'way-out', [`${id}.pack`]);
  bill.rule(`${id}.piston`, 'spring-press', [`${id}.spring`]);
  bill.rule(`${id}.seals`, 'retained', [`${id}.piston`]);
}

/** The parts of a clutch that its drum holds, out on the bench. */
export function packInDrum(bill: Bill, id: string, madeFor: number): void {
  packParts(bill, id, ['front'], madeFor, 4);
  bill.rule(`${id}.ring`, 'in-the-drum', [`${id}.drum`]);
}
