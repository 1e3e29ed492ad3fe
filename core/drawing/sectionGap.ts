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
    for (let height = 1.5; height < levels.top - 2; height++) {
      const near = Math.min(Infinity, ...taken.map((h) => Math.abs(h - height)));
      if (near < 1) continue;
      const stretched = spans.map((s, k): [number, number] =>
        k === a || k === b ? [Math.min(s[0], height), Math.max(s[1], height)] : s,
      );
      let cost = stubCrossings(order, stretched);
      for (let k = a + 1; k < b; k++)
        if (height > stretched[k]![0] && height < stretched[k]![1]) cost++;
      // Prefer the height that stretches the risers least.
      const stretch = [a, b].reduce(
        (sum, k) => sum + Math.max(0, spans[k]![0] - height, height - spans[k]![1]),
        0,
      );
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

/** Horizontal lines to the gap's sides that run across another member's riser. */
function stubCrossings(order: readonly Riser[], spans: readonly [number, number][]): number {
  let count = 0;
  order.forEach((riser, k) => {
    for (let other = 0; other < order.length; other++) {
      if (other === k) continue;
      const [low, high] = spans[other]!;
      const heights = other < k ? riser.left : riser.right;
      for (const height of heights) if (height >= low && height <= high) count++;
    }
  });
  return count;
}
