import type { Levels, Riser } from './sectionPlan';

/** The order of risers in one gap, and at what height each clutch crosses from one to the other. */
export interface GapOrder {
  readonly order: readonly Riser[];
  readonly clutchHeight: ReadonlyMap<string, number>;
  readonly crossings: number;
}

const MOST_PERMUTED = 4;

/** The order with the fewest crossings: all orders of a few risers, swaps of neighbours for more. */
export function orderGap(risers: readonly Riser[], levels: Levels): GapOrder {
  if (risers.length > MOST_PERMUTED) return swapNeighbours(risers, levels);
  let best: GapOrder | null = null;
  for (const order of permutations(risers)) {
    const candidate = clutchesIn(order, levels);
    if (!best || candidate.crossings < best.crossings) best = candidate;
    if (best.crossings === 0) break;
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

function swapNeighbours(risers: readonly Riser[], levels: Levels): GapOrder {
  // Risers that go up from the left stand nearer to the left.
  const pull = (r: Riser) => (r.left.length > 0 ? 0 : 1) + (r.right.length > 0 ? 0 : -1);
  let best = clutchesIn(
    [...risers].sort((a, b) => pull(a) - pull(b)),
    levels,
  );
  for (let changed = true; changed && best.crossings > 0;) {
    changed = false;
    for (let i = 0; i + 1 < risers.length; i++) {
      const order = [...best.order];
      [order[i], order[i + 1]] = [order[i + 1]!, order[i]!];
      const candidate = clutchesIn(order, levels);
      if (candidate.crossings >= best.crossings) continue;
      best = candidate;
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

/** Gives each clutch the height that crosses least, then counts everything. */
function clutchesIn(order: readonly Riser[], levels: Levels): GapOrder {
  const spans = order.map((riser) => reach(riser, levels));
  const clutchHeight = new Map<string, number>();
  const taken: number[] = [];
  let crossings = stubCrossings(order, spans);
  const index = (member: string) => order.findIndex((r) => r.member === member);
  for (const clutch of new Set(order.flatMap((r) => r.clutches))) {
    const [a, b] = [index(clutch.between[0]), index(clutch.between[1])].sort((p, q) => p - q) as [
      number,
      number,
    ];
    let best: { height: number; cost: number } | null = null;
    // Only the two risers that the clutch joins change with its height: what the others are crossed by is counted once.
    let still = 0;
    for (let k = 0; k < order.length; k++)
      if (k !== a && k !== b) still += crossedBy(order, k, spans[k]![0], spans[k]![1]);
    for (let height = 1.5; height < levels.top - 2; height++) {
      let near = Infinity;
      for (const h of taken) near = Math.min(near, Math.abs(h - height));
      if (near < 1) continue;
      let cost = still;
      let stretch = 0;
      for (let end = 0; end < (a === b ? 1 : 2); end++) {
        const k = end === 0 ? a : b;
        const [low, high] = spans[k]!;
        cost += crossedBy(order, k, Math.min(low, height), Math.max(high, height));
        // Prefer the height that stretches the risers least.
        stretch += Math.max(0, low - height, height - high);
      }
      for (let k = a + 1; k < b; k++) {
        const [low, high] = spans[k]!;
        if (height > low && height < high) cost++;
      }
      // Signs need room of two heights; closer than that only where nothing else is left.
      const crowded = besideStub(order, a, height) ? 0.4 : 0;
      const total = cost + stretch * 0.01 + (near < 2 ? 0.5 : 0) + crowded;
      if (!best || total < best.cost) best = { height, cost: total };
    }
    if (!best) continue;
    taken.push(best.height);
    clutchHeight.set(clutch.id, best.height);
    for (const k of [a, b])
      spans[k] = [Math.min(spans[k]![0], best.height), Math.max(spans[k]![1], best.height)];
    crossings = Math.floor(best.cost + 1e-9);
  }
  return { order, clutchHeight, crossings };
}

/** Half the height of a sign, with some air. */
const SIGN_ROOM = 1.1;

/** A line to the gap's side runs past the slot of a sign, right of its left riser, too close to it. */
const besideStub = (order: readonly Riser[], left: number, height: number): boolean =>
  order.some((riser, k) =>
    (k <= left ? riser.right : riser.left).some((h) => Math.abs(h - height) < SIGN_ROOM),
  );

/** Horizontal lines of other members to the gap's sides that run across this riser between two heights. */
function crossedBy(order: readonly Riser[], at: number, low: number, high: number): number {
  let count = 0;
  for (let k = 0; k < order.length; k++) {
    if (k === at) continue;
    const heights = at < k ? order[k]!.left : order[k]!.right;
    for (const height of heights) if (height >= low && height <= high) count++;
  }
  return count;
}

/** The same for all risers. */
const stubCrossings = (order: readonly Riser[], spans: readonly [number, number][]): number =>
  order.reduce((sum, _r, k) => sum + crossedBy(order, k, spans[k]![0], spans[k]![1]), 0);
