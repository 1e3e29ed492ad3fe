import type { Levels, Riser } from './sectionPlan';

/** The order of risers in one gap, and at what height each clutch crosses from one to the other. */
export interface GapOrder {
  readonly order: readonly Riser[];
  readonly clutchHeight: ReadonlyMap<string, number>;
  readonly crossings: number;
}

const MOST_PERMUTED = 4;

/** How much may still be looked at: lines to the gap's side times heights. */
export interface Work {
  left: number;
}

/** The order with the fewest crossings: all orders of a few risers, swaps of neighbours for more. */
export function orderGap(
  risers: readonly Riser[],
  levels: Levels,
  work: Work = { left: Infinity },
): GapOrder {
  if (risers.length > MOST_PERMUTED) return swapNeighbours(risers, levels, work);
  let best: GapOrder | null = null;
  for (const order of permutations(risers)) {
    const fewer = clutchesIn(order, levels, work, best?.crossings);
    if (fewer) best = fewer;
    if (fewer?.crossings === 0) break;
  }
  return best ?? { order: [], clutchHeight: new Map(), crossings: 0 };
}

/** Every order of a few things. */
export function permutations<T>(items: readonly T[]): T[][] {
  if (items.length <= 1) return [[...items]];
  return items.flatMap((item, k) =>
    permutations([...items.slice(0, k), ...items.slice(k + 1)]).map((rest) => [item, ...rest]),
  );
}

function swapNeighbours(risers: readonly Riser[], levels: Levels, work: Work): GapOrder {
  // Risers that go up from the left stand nearer to the left.
  const pull = (r: Riser) => (r.left.length > 0 ? 0 : 1) + (r.right.length > 0 ? 0 : -1);
  let best = clutchesIn(
    [...risers].sort((a, b) => pull(a) - pull(b)),
    levels,
    work,
  )!;
  for (let changed = true; changed && best.crossings > 0;) {
    changed = false;
    for (let i = 0; i + 1 < risers.length && work.left > 0; i++) {
      const order = [...best.order];
      [order[i], order[i + 1]] = [order[i + 1]!, order[i]!];
      const fewer = clutchesIn(order, levels, work, best.crossings);
      if (!fewer) continue;
      best = fewer;
      changed = true;
    }
  }
  return best;
}

/** Lowest and highest point of a riser, clutches not counted. */
function reach(riser: Riser, levels: Levels): [number, number] {
  const heights = [
    ...riser.left,
    ...riser.right,
    ...(riser.grounded.length > 0 ? [levels.top] : []),
  ];
  if (heights.length === 0) return [levels.middle, levels.middle];
  return [Math.min(...heights), Math.max(...heights)];
}

/**
 * Gives each clutch the height that crosses least, then counts everything.
 * @returns `null` when there are no fewer crossings than `below`, told as soon as that is sure
 */
function clutchesIn(
  order: readonly Riser[],
  levels: Levels,
  work: Work,
  below = Infinity,
): GapOrder | null {
  const spans = order.map((riser) => reach(riser, levels));
  const runs = order.map((_r, at) => runsAcross(order, at));
  for (const run of runs) work.left -= run.length + 1;
  const clutchHeight = new Map<string, number>();
  const taken: number[] = [];
  const index = new Map(order.map((riser, k) => [riser.member, k]));
  const crossed = spans.map(([low, high], k) => within(runs[k]!, low, high));
  let crossings = crossed.reduce((sum, n) => sum + n, 0);
  // Every clutch only adds to what is crossed.
  if (crossings >= below) return null;
  for (const clutch of new Set(order.flatMap((r) => r.clutches))) {
    const [one, other] = [index.get(clutch.between[0])!, index.get(clutch.between[1])!];
    const [a, b] = [Math.min(one, other), Math.max(one, other)];
    const ends = a === b ? [a] : [a, b];
    work.left -= levels.top * (runs[a]!.length + runs[b]!.length + b - a);
    let best: { height: number; cost: number } | null = null;
    // Only the two risers that the clutch joins change with its height: what the others are crossed by stays.
    const still = crossed.reduce((sum, n, k) => (k === a || k === b ? sum : sum + n), 0);
    for (let height = 1.5; height < levels.top - 2; height++) {
      let near = Infinity;
      for (const h of taken) near = Math.min(near, Math.abs(h - height));
      if (near < 1) continue;
      let cost = still;
      let stretch = 0;
      for (const k of ends) {
        const [low, high] = spans[k]!;
        cost += within(runs[k]!, Math.min(low, height), Math.max(high, height));
        // Prefer the height that stretches the risers least.
        stretch += Math.max(0, low - height, height - high);
      }
      for (let k = a + 1; k < b; k++) {
        const [low, high] = spans[k]!;
        if (height > low && height < high) cost++;
      }
      const open = cost + stretch * 0.01 + (near < 2 ? 0.5 : 0);
      if (best && open >= best.cost) continue;
      // Signs need room of two heights; closer than that only where nothing else is left.
      const total = open + (besideStub(order, a, height) ? 0.4 : 0);
      if (!best || total < best.cost) best = { height, cost: total };
    }
    if (!best) continue;
    taken.push(best.height);
    clutchHeight.set(clutch.id, best.height);
    for (const k of ends) {
      spans[k] = [Math.min(spans[k]![0], best.height), Math.max(spans[k]![1], best.height)];
      crossed[k] = within(runs[k]!, ...spans[k]);
    }
    crossings = Math.floor(best.cost + 1e-9);
    if (crossed.reduce((sum, n) => sum + n, 0) >= below) return null;
  }
  if (crossings >= below) return null;
  return { order, clutchHeight, crossings };
}

/** Half the height of a sign, with some air. */
const SIGN_ROOM = 1.1;

/** A line to the gap's side runs past the slot of a sign, right of its left riser, too close to it. */
const besideStub = (order: readonly Riser[], left: number, height: number): boolean =>
  order.some((riser, k) =>
    (k <= left ? riser.right : riser.left).some((h) => Math.abs(h - height) < SIGN_ROOM),
  );

/** Heights at which horizontal lines of other members to the gap's sides run across this riser. */
function runsAcross(order: readonly Riser[], at: number): readonly number[] {
  const heights: number[] = [];
  for (let k = 0; k < order.length; k++)
    if (k !== at) heights.push(...(at < k ? order[k]!.left : order[k]!.right));
  return heights;
}

/** How many of these heights lie between two. */
function within(heights: readonly number[], low: number, high: number): number {
  let count = 0;
  for (const height of heights) if (height >= low && height <= high) count++;
  return count;
}
