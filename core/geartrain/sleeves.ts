import { solveUnit } from './solve';
import { CASE, type ShiftElement, type SleeveGroup, type Unit } from './unit';

/**
 * Sliding sleeves of a gearbox (common practice, no source): one sleeve on one hub stands at one side, at the other, or
 * between them. So it can never have both of its gears in; and an interlock between rails lets one sleeve out of neutral at
 * a time.
 */
export type Side = 0 | 1;
/** Where a sleeve stands: at one of its sides, between them, or asked to be at both. */
export type SleevePlace = Side | 'neutral' | 'both';

/** A dog clutch between two shafts: a side of a sleeve. One that holds a shaft to the case is a park pawl. */
export const isSleeveSide = ({ kind, between }: ShiftElement): boolean =>
  kind === 'dog' && !between.includes(CASE);

/** The shaft of a sleeve that a file tells nothing of: the member that most sleeves have in common, else the second. */
function hubOf(unit: Unit, { between }: ShiftElement): string {
  const dogs = unit.elements.filter(isSleeveSide);
  const [one, other] = between.map((m) => dogs.filter((d) => d.between.includes(m)).length);
  return between[one! > other! ? 0 : 1];
}

/** Every sleeve: those of the file, and one with one side for each dog clutch that no sleeve of the file has. */
export function sleevesOf(unit: Unit): SleeveGroup[] {
  const told = unit.sleeves ?? [];
  const sided = new Set(told.flatMap((s) => s.sides));
  const alone = unit.elements
    .filter((e) => isSleeveSide(e) && !sided.has(e.id))
    .map((e): SleeveGroup => ({ id: e.id, hub: hubOf(unit, e), sides: [e.id, null] }));
  return [...told, ...alone];
}

/** The sleeve that an element is a side of; `null` where it is none. */
export function sleeveWith(
  unit: Unit,
  element: string,
): { readonly sleeve: SleeveGroup; readonly side: Side } | null {
  for (const sleeve of sleevesOf(unit)) {
    const side = sleeve.sides.indexOf(element);
    if (side >= 0) return { sleeve, side: side as Side };
  }
  return null;
}

/** The member that a side locks to its hub: a gear, or a shaft where it makes two of one; `null` where it is no side. */
export function gearAt(unit: Unit, side: string): string | null {
  const hub = sleeveWith(unit, side)?.sleeve.hub;
  const element = unit.elements.find((e) => e.id === side);
  return element?.between.find((m) => m !== hub) ?? null;
}

/** Where a sleeve stands with these elements in. */
export function placeOf({ sides }: SleeveGroup, applied: readonly string[]): SleevePlace {
  const [first, second] = sides.map((id) => id !== null && applied.includes(id));
  return first && second ? 'both' : first ? 0 : second ? 1 : 'neutral';
}

/** The elements with one sleeve moved to a place; its other side, where it has one, goes out. */
export function withSleeveAt(
  { sides }: SleeveGroup,
  place: Side | 'neutral',
  applied: readonly string[],
): string[] {
  const others = applied.filter((id) => !sides.includes(id));
  const at = place === 'neutral' ? null : sides[place];
  return at === null || at === undefined ? others : [...others, at];
}

/** What a hand could not do with the lever: a sleeve at both sides, or two of one interlock out of neutral. */
export type SleeveClash =
  | { readonly code: 'both-sides'; readonly sleeve: string }
  | { readonly code: 'interlocked'; readonly sleeve: string; readonly other: string };

export function sleeveClashes(unit: Unit, applied: readonly string[]): SleeveClash[] {
  const moved = sleevesOf(unit).filter((s) => placeOf(s, applied) !== 'neutral');
  return moved.flatMap((sleeve, k): SleeveClash[] => [
    ...(placeOf(sleeve, applied) === 'both'
      ? [{ code: 'both-sides' as const, sleeve: sleeve.id }]
      : []),
    ...moved
      .slice(0, k)
      .filter((o) => o.interlock !== undefined && o.interlock === sleeve.interlock)
      .map((o) => ({ code: 'interlocked' as const, sleeve: sleeve.id, other: o.id })),
  ]);
}

/** Two sides, each of another sleeve, that bind when both are in: nothing holds the second sleeve back. */
export interface LoosePair {
  readonly sleeves: readonly [string, string];
  readonly sides: readonly [string, string];
}

/** Pairs of sleeves that a lever could move together and that then bind; one pair of sides for each. */
export function loosePairs(unit: Unit): LoosePair[] {
  const told = unit.sleeves ?? [];
  return told.flatMap((one, k) =>
    told.slice(k + 1).flatMap((other): LoosePair[] => {
      if (one.interlock !== undefined && one.interlock === other.interlock) return [];
      for (const a of one.sides)
        for (const b of other.sides)
          if (a !== null && b !== null && binds(unit, [a, b]))
            return [{ sleeves: [one.id, other.id], sides: [a, b] }];
      return [];
    }),
  );
}

/** Whether sleeves alone, with every clutch open, hold a shaft still. */
export function binds(unit: Unit, sides: readonly string[]): boolean {
  const { outcome } = solveUnit(unit, sides);
  return outcome === 'tied-up' || outcome === 'output-held' || outcome === 'input-held';
}
