import type { GearSet, Unit } from '../geartrain';
import { orderGap, permutations, type Work } from './sectionGap';
import {
  flippedPairs,
  isGrounded,
  planned,
  portPlaces,
  risersOf,
  runsPast,
  type Planned,
  type Riser,
  type SectionPlan,
} from './sectionPlan';

/**
 * Searches the plan with the fewest crossings: every order of a few columns, then one change at a time
 * (gap of an element, below or above for a pass) as long as it helps. Deterministic.
 */
export interface SearchedPlan {
  readonly planned: Planned;
  readonly crossings: number;
}

type Rated = SearchedPlan & { readonly cost: number };

/** Crossings of gaps that were counted before, by what is in them; and how much may still be looked at. */
interface Tally extends Work {
  readonly known: Map<string, number>;
}

/**
 * The search ends with the best so far after so much work, a second or two on a common machine. No clock: one unit is
 * always drawn the same.
 */
const MOST_WORK = 12_000_000;

/** Orders of more columns than this are not tried: they keep the file's order. */
const MOST_ORDERED = 4;
/** Plans looked at from one beginning. */
const MOST_RATED = 2500;

/** An order that was there before is kept as long as it needs no more crossings than this. */
const MOST_KEPT_CROSSINGS = 2;

/** `first`: a plan at once, with more crossings than need be. `best`: all the search that there is. */
export type Effort = 'first' | 'best';

/** @param keep ids of gear sets in the order they stood in before; a changed unit stays as it was drawn */
export function searchPlan(
  unit: Unit,
  keep: readonly string[] = [],
  effort: Effort = 'best',
): SearchedPlan {
  const orders =
    unit.gearsets.length <= MOST_ORDERED
      ? permutations(unit.gearsets)
      : [[...unit.gearsets].sort((a, b) => placeOf(keep, a) - placeOf(keep, b))];
  const kept = orders.filter((order) => inOrder(order.map((set) => placeOf(keep, set))));
  if (keep.length > 0 && kept.length > 0) {
    const same = searchOrders(unit, kept, effort);
    if (same.crossings <= MOST_KEPT_CROSSINGS) return same;
  }
  return searchOrders(unit, effort === 'first' ? orders.slice(0, 1) : orders, effort);
}

const placeOf = (keep: readonly string[], set: GearSet): number => {
  const at = keep.indexOf(set.id);
  return at < 0 ? Infinity : at;
};

/** Rising, where new sets may stand anywhere. */
const inOrder = (places: readonly number[]): boolean => {
  const known = places.filter((p) => p !== Infinity);
  return known.every((p, k) => k === 0 || p > known[k - 1]!);
};

function searchOrders(unit: Unit, orders: readonly GearSet[][], effort: Effort): SearchedPlan {
  const tally: Tally = { known: new Map(), left: MOST_WORK };
  const flipped = flippedPairs(unit);
  const begun = orders
    .flatMap((columns) => [...starts(firstPlan(unit, columns, flipped))])
    .map((plan) => rate(unit, plan, tally)!)
    .sort((a, b) => a.cost - b.cost);
  let best = begun[0]!;
  if (effort === 'first') return best;
  for (const start of begun.slice(0, MOST_IMPROVED)) {
    const improved = improve(unit, start, tally);
    if (improved.cost < best.cost) best = improved;
    if (best.crossings === 0 || tally.left <= 0) break;
  }
  return best;
}

/** The most promising beginnings are improved, no more. */
const MOST_IMPROVED = 5;

/** Each element in the gap nearest to the ports of its members, all passes below. */
function firstPlan(
  unit: Unit,
  columns: SectionPlan['columns'],
  flipped: ReadonlySet<string>,
): SectionPlan {
  const middleOf = (member: string): number[] => {
    if (member === unit.input) return [0];
    return columns.flatMap((set, c) =>
      portPlaces(set, flipped).some((p) => p.member === member) ? [c + 0.5] : [],
    );
  };
  const gapOf: Record<string, number> = {};
  for (const element of unit.elements) {
    const places = element.between.flatMap(middleOf);
    const mean = places.length > 0 ? places.reduce((a, b) => a + b, 0) / places.length : 0;
    gapOf[element.id] = Math.min(columns.length, Math.max(0, Math.floor(mean)));
  }
  return { columns, gapOf, above: new Set(), side: {}, flipped };
}

const MOST_STARTS = 8;

/** Plans to begin from: members of several columns joined between them, or met from outside. */
function* starts(plan: SectionPlan): Generator<SectionPlan> {
  const ports = new Map<string, number[]>();
  plan.columns.forEach((set, c) => {
    for (const { member } of portPlaces(set, plan.flipped))
      ports.set(member, [...(ports.get(member) ?? []), c]);
  });
  const several = [...ports].filter(([, columns]) => columns.length > 1);
  const count = Math.min(MOST_STARTS, 2 ** several.length);
  for (let mask = 0; mask < count; mask++) {
    const side: Record<string, 'left' | 'right'> = {};
    several.forEach(([member, columns], k) => {
      if (!(mask & (1 << k))) return;
      side[`${member}@${columns[0]!}`] = 'left';
      side[`${member}@${columns.at(-1)!}`] = 'right';
    });
    yield { ...plan, side };
  }
}

function improve(unit: Unit, start: Rated, tally: Tally): Rated {
  let current = start;
  let rated = 0;
  while (rated < MOST_RATED) {
    let better: Rated | null = null;
    for (const plan of neighbours(unit, current.planned)) {
      if (tally.left <= 0) return better ?? current;
      const cheaper = rate(unit, plan, tally, (better ?? current).cost);
      // Wide units take longer to rate, so fewer of their plans are looked at.
      rated += Math.max(1, plan.columns.length - 3);
      if (cheaper) better = cheaper;
    }
    if (!better) break;
    current = better;
  }
  return current;
}

/** One change: an element to another gap, all brakes of a member there, a pass below or above, a port's side. */
function* neighbours(unit: Unit, { plan, spans }: Planned): Generator<SectionPlan> {
  const gaps = Array.from({ length: plan.columns.length + 1 }, (_, gap) => gap);
  for (const element of unit.elements)
    for (const gap of gaps)
      if (gap !== plan.gapOf[element.id])
        yield { ...plan, gapOf: { ...plan.gapOf, [element.id]: gap } };
  for (const { id } of unit.members) {
    const grounded = unit.elements.filter((e) => isGrounded(e) && e.between.includes(id));
    if (grounded.length < 2) continue;
    for (const gap of gaps) {
      const moved = Object.fromEntries(grounded.map((e) => [e.id, gap]));
      yield { ...plan, gapOf: { ...plan.gapOf, ...moved } };
    }
  }
  for (const [member, [from, to]] of spans)
    for (let column = from; column < to; column++)
      if (runsPast(plan, member, column))
        yield { ...plan, above: toggled(plan.above, `${member}@${column}`) };
  for (let column = 0; column < plan.columns.length; column++)
    yield* sided(plan, plan.columns[column]!, column);
}

/** A port met from the left, the right or both sides; where the member then runs past, below and above. */
function* sided(plan: SectionPlan, set: GearSet, column: number): Generator<SectionPlan> {
  for (const { member } of portPlaces(set, plan.flipped)) {
    const key = `${member}@${column}`;
    for (const to of ['left', 'right', undefined] as const) {
      if (plan.side[key] === to) continue;
      const side = { ...plan.side };
      delete side[key];
      if (to) side[key] = to;
      yield { ...plan, side };
      if (to) yield { ...plan, side, above: toggled(plan.above, key) };
    }
  }
}

function toggled(set: ReadonlySet<string>, key: string): Set<string> {
  const next = new Set(set);
  if (!next.delete(key)) next.add(key);
  return next;
}

/**
 * Crossings first, then how far members run, then how crowded the gaps are.
 * @returns `null` when it costs no less than `below`, told as soon as that is sure
 */
function rate(unit: Unit, plan: SectionPlan, tally: Tally, below = Infinity): Rated | null {
  const all = planned(unit, plan);
  // To lay a plan out costs about as much as to order a small gap.
  tally.left -= 40 * (unit.elements.length + plan.columns.length);
  let cost = all.levels.top;
  for (const [from, to] of all.spans.values()) cost += 2 * (to - from);
  const gaps = Array.from({ length: plan.columns.length + 1 }, (_v, gap) =>
    risersOf(unit, all, gap),
  );
  for (const risers of gaps) cost += risers.length ** 2;
  let crossings = 0;
  for (const risers of gaps) {
    if (cost + CROSSING_COST * crossings >= below) return null;
    crossings += crossingsIn(risers, all, tally);
  }
  cost += CROSSING_COST * crossings;
  return cost < below ? { planned: all, crossings, cost } : null;
}

const CROSSING_COST = 100;

function crossingsIn(risers: readonly Riser[], { levels }: Planned, tally: Tally): number {
  const key = JSON.stringify([
    levels.top,
    risers.map((r) => [r.member, r.left, r.right, r.grounded.length, r.clutches.map((c) => c.id)]),
  ]);
  const before = tally.known.get(key);
  if (before !== undefined) return before;
  const { crossings } = orderGap(risers, levels, tally);
  tally.known.set(key, crossings);
  return crossings;
}
