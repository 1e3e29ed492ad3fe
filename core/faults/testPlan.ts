import { tellsApart, type Candidate } from './candidates';
import type { Check } from './checks';
import { priceAlone, setMinutes } from './shopState';

type Answered = Pick<Candidate, 'answers'>;

/**
 * Which checks tell faults apart, and the cheapest set that tells all apart that can be: a weighted set cover over pairs of
 * faults, solved exactly by branch and bound (any text on combinatorial optimisation) up to a number of nodes. A set costs
 * what `setMinutes` says: two looks inside an opened unit cost one removal.
 */
export interface TestPlan {
  readonly checks: readonly Check[];
  readonly minutes: number;
  /** Pairs (by their places) that no check tells apart. */
  readonly inseparable: readonly (readonly [number, number])[];
  /** False where the search was cut off: then the set is good, but perhaps not the cheapest. */
  readonly exact: boolean;
}

/** The cheapest check that reads differently for the two; `null` when none does. */
export function cheapestSplit(checks: readonly Check[], a: Answered, b: Answered): Check | null {
  return checks.reduce<Check | null>(
    (best, c) => (tellsApart(c, a, b) && (!best || priceAlone(c) < priceAlone(best)) ? c : best),
    null,
  );
}

const MOST_NODES = 200_000;

export function cheapestPlan(checks: readonly Check[], rows: readonly Answered[]): TestPlan {
  const inseparable: (readonly [number, number])[] = [];
  const covers: number[][] = [];
  for (let a = 0; a < rows.length; a++)
    for (let b = a + 1; b < rows.length; b++) {
      const by = checks.flatMap((c, k) => (tellsApart(c, rows[a]!, rows[b]!) ? [k] : []));
      if (by.length === 0) inseparable.push([a, b]);
      else covers.push(by.sort((x, y) => priceAlone(checks[x]!) - priceAlone(checks[y]!)));
    }
  const search = cover(checks, essential(covers));
  const chosen = search.best.map((k) => checks[k]!);
  return {
    checks: chosen.sort((a, b) => priceAlone(a) - priceAlone(b)),
    minutes: setMinutes(chosen),
    inseparable,
    exact: search.exact,
  };
}

/** Pairs whose checks hold those of another pair are told apart along with it. */
function essential(covers: readonly number[][]): number[][] {
  const unique = [...new Map(covers.map((c) => [[...c].sort((a, b) => a - b).join(), c])).values()];
  const sorted = unique.sort((a, b) => a.length - b.length);
  const kept: number[][] = [];
  for (const c of sorted) if (!kept.some((k) => k.every((v) => c.includes(v)))) kept.push(c);
  return kept;
}

/** Always branches on the pair that fewest checks tell apart; a bound is a check for each pair with nothing in common. */
function cover(checks: readonly Check[], pairs: readonly number[][]) {
  // What is paid once for all (the way to a state) depends on the set; each check's own minutes bound it from below.
  const own = (k: number) => checks[k]!.minutes;
  const costOf = (set: readonly number[]) => setMinutes(set.map((k) => checks[k]!));
  let best = greedy(checks, pairs);
  let bestCost = costOf(best);
  let nodes = 0;
  const visit = (chosen: number[], left: readonly number[][]): void => {
    if (++nodes > MOST_NODES) return;
    const spent = costOf(chosen);
    if (left.length === 0) {
      if (spent < bestCost) [best, bestCost] = [[...chosen], spent];
      return;
    }
    if (spent + disjointBound(left, own) >= bestCost) return;
    const tightest = left.reduce((a, b) => (b.length < a.length ? b : a));
    // Each branch takes one check and gives up those before it, so that no set is met twice.
    tightest.forEach((k, place) => {
      const given = tightest.slice(0, place);
      const rest = left
        .filter((pair) => !pair.includes(k))
        .map((pair) => pair.filter((v) => !given.includes(v)));
      if (rest.every((pair) => pair.length > 0)) visit([...chosen, k], rest);
    });
  };
  visit([], pairs);
  return { best, exact: nodes <= MOST_NODES };
}

function disjointBound(left: readonly number[][], cost: (k: number) => number): number {
  const used = new Set<number>();
  let bound = 0;
  for (const pair of left) {
    if (pair.some((k) => used.has(k))) continue;
    pair.forEach((k) => used.add(k));
    bound += Math.min(...pair.map(cost));
  }
  return bound;
}

function greedy(checks: readonly Check[], pairs: readonly number[][]): number[] {
  const chosen: number[] = [];
  let left = [...pairs];
  while (left.length > 0) {
    const worth = (k: number) => left.filter((p) => p.includes(k)).length / priceAlone(checks[k]!);
    const next = checks.map((_c, k) => k).reduce((a, b) => (worth(b) > worth(a) ? b : a));
    chosen.push(next);
    left = left.filter((p) => !p.includes(next));
  }
  return chosen;
}
