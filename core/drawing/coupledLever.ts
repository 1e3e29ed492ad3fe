import { CASE, gearSetTerms, type GearSet, type Unit } from '../geartrain';
import {
  add,
  divide,
  equals,
  fraction,
  isZero,
  multiply,
  negate,
  ONE,
  signOf,
  subtract,
  toNumber,
  ZERO,
  type Fraction,
} from '../numerics';

/**
 * Lever diagrams of coupled sets (published: Benford & Leising, SAE paper 810102). The coefficients of a set's
 * equation sum to zero, so members may stand on a line where speeds are a straight line too. A set that shares
 * two members with a lever adds its third; what can't be joined stands as a lever of its own. A gear pair is
 * the lever whose middle point is the case.
 */
export interface LeverPlace {
  readonly member: string;
  /** 0 at one end, 1 at the other. */
  readonly place: number;
}

export interface CoupledLever {
  readonly sets: readonly string[];
  readonly points: readonly LeverPlace[];
}

type Places = Map<string, Fraction>;

/** As few levers as the sets' shared members allow, in the unit's order. */
export function coupledLevers(unit: Unit): CoupledLever[] {
  const left = [...unit.gearsets];
  const levers: CoupledLever[] = [];
  while (left.length > 0) {
    const first = left.shift()!;
    const places = started(first);
    const sets = [first.id];
    for (let joined = true; joined;) {
      joined = false;
      for (const set of left) {
        const more = joining(set, places);
        if (!more) continue;
        for (const [member, place] of more) places.set(member, place);
        left.splice(left.indexOf(set), 1);
        sets.push(set.id);
        joined = true;
        break;
      }
    }
    levers.push({ sets, points: scaled(places) });
  }
  return levers;
}

/** The members of a set with the coefficients of its equation, the case included where a pair turns in it. */
function weights(set: GearSet): [string, Fraction][] {
  const terms = gearSetTerms(set).map((t): [string, Fraction] => [
    t.member,
    fraction(t.coefficient),
  ]);
  if (set.kind === 'mesh') {
    const sum = terms.reduce((s, [, c]) => add(s, c), ZERO);
    terms.push([CASE, negate(sum)]);
  }
  return terms;
}

/** The first set of a lever: its first member at 0, its second at 1, the third where its weights put it. */
function started(set: GearSet): Places {
  const [[a], [b], [c, weight]] = weights(set) as [
    [string, Fraction],
    [string, Fraction],
    [string, Fraction],
  ];
  const places: Places = new Map([
    [a, ZERO],
    [b, ONE],
  ]);
  if (!places.has(c) && !isZero(weight)) places.set(c, thirdPlace(set, places, c)!);
  return places;
}

/** New places when the set fits the lever, or `null`. */
function joining(set: GearSet, places: Places): Places | null {
  const members = weights(set).map(([member]) => member);
  if (new Set(members).size < 3) return null;
  const unknown = members.filter((m) => !places.has(m));
  if (unknown.length > 1) return null;
  const open = unknown[0] ?? members[2]!;
  const place = thirdPlace(set, places, open);
  if (!place) return null;
  const known = places.get(open);
  if (known) return equals(known, place) ? new Map() : null;
  // Two members at one place would have to turn alike.
  if ([...places.values()].some((p) => equals(p, place))) return null;
  return new Map([[open, place]]);
}

/** Σ weight·place = 0 solved for one member. */
function thirdPlace(set: GearSet, places: Places, open: string): Fraction | null {
  let sum = ZERO;
  let own = ZERO;
  for (const [member, weight] of weights(set)) {
    if (member === open) own = add(own, weight);
    else sum = add(sum, multiply(weight, places.get(member)!));
  }
  return isZero(own) ? null : negate(divide(sum, own));
}

function scaled(places: Places): LeverPlace[] {
  const sorted = [...places].sort((p, q) => signOf(subtract(p[1], q[1])));
  const low = sorted[0]![1];
  const span = subtract(sorted.at(-1)![1], low);
  return sorted.map(([member, place]) => ({
    member,
    place: isZero(span) ? 0 : toNumber(divide(subtract(place, low), span)),
  }));
}
