import type { OilPipe } from './oilShapes';

/** A passage to be routed: its ports by their place and the channel they open into. */
export interface Wire {
  readonly id: string;
  readonly ports: readonly {
    readonly part: string;
    readonly x: number;
    readonly channel: number;
    readonly side: 'top' | 'bottom';
    /** How far its part ends before the row does. */
    readonly inset: number;
  }[];
}

/** Horizontal tracks between two rows. */
export interface Channel {
  readonly top: number;
  readonly tracks: ReadonlyMap<string, number>;
}

/** Between neighbouring tracks, and passages that cross a row. */
const TRACK = 8;
const CROSSING = 8;
const CLEAR = 6;
const MARGIN = 10;

/** A passage's point in a channel: where something leaves it upward or downward. */
interface Tap {
  readonly x: number;
  /** `up`: to the row above the channel. */
  readonly way: 'up' | 'down';
}

/**
 * Routes passages: each has one track in every channel between its highest and its lowest port, and crosses the rows between by the
 * nearest free gap. Tracks are given from the top, so that no two passages lie on each other where they leave a channel at
 * the same place (constrained left-edge; any text on the routing of circuits).
 */
export function routed(
  wires: readonly Wire[],
  blocks: readonly (readonly (readonly [number, number])[])[],
  heights: readonly number[],
  width: number,
) {
  const taps = new Map<number, Map<string, Tap[]>>();
  const tap = (channel: number, id: string, t: Tap) => {
    const here = taps.get(channel) ?? new Map<string, Tap[]>();
    taps.set(channel, here.set(id, [...(here.get(id) ?? []), t]));
  };
  const portsIn = new Map<number, number[]>();
  for (const p of wires.flatMap((w) => w.ports))
    portsIn.set(p.channel, [...(portsIn.get(p.channel) ?? []), p.x]);
  const crossed = blocks.map(() => new Set<number>());
  const crossings: { id: string; row: number; x: number }[] = [];
  for (const { id, ports } of wires) {
    if (ports.length === 0) continue;
    for (const p of ports) tap(p.channel, id, { x: p.x, way: p.side === 'bottom' ? 'up' : 'down' });
    const channels = ports.map((p) => p.channel);
    const own = new Set(ports.map((p) => p.x));
    for (let row = Math.min(...channels); row < Math.max(...channels); row++) {
      const xs = ports.map((p) => p.x).toSorted((a, b) => a - b);
      const x = freeNear(
        xs[Math.floor(xs.length / 2)]!,
        blocks[row]!,
        [
          // Its own row and both beside: what leaves a channel at one place must not meet what comes into it there.
          ...[row - 1, row, row + 1].flatMap((r) => [...(crossed[r] ?? [])]),
          ...[row, row + 1].flatMap((c) => portsIn.get(c) ?? []).filter((x) => !own.has(x)),
        ],
        width,
      );
      crossed[row]!.add(x);
      crossings.push({ id, row, x });
      // Channel `row` lies above the row, the next one below it.
      tap(row, id, { x, way: 'down' });
      tap(row + 1, id, { x, way: 'up' });
    }
  }
  const tops: number[] = [];
  const channels: Channel[] = [];
  let y = MARGIN;
  for (let k = 0; k <= heights.length; k++) {
    const tracks = tracksOf(taps.get(k) ?? new Map());
    const used = new Set(tracks.values()).size;
    channels.push({ top: y, tracks });
    y += used > 0 ? (used + 1) * TRACK : k > 0 && k < heights.length ? 2 * TRACK : 0;
    if (k < heights.length) {
      tops.push(y);
      y += heights[k]!;
    }
  }
  const bottoms = tops.map((t, k) => t + heights[k]!);
  const trackAt = (channel: number, id: string) =>
    channels[channel]!.top + (channels[channel]!.tracks.get(id)! + 1) * TRACK;
  const pipes = wires
    .filter((w) => w.ports.length > 0)
    .map(({ id, ports }): OilPipe => {
      const pieces: [number, number, number, number][] = [];
      for (const [channel, here] of taps) {
        const mine = here.get(id);
        if (!mine) continue;
        const at = trackAt(channel, id);
        const xs = mine.map((m) => m.x);
        pieces.push([Math.min(...xs), at, Math.max(...xs), at]);
      }
      const ends = ports.map((p) => ({
        part: p.part,
        x: p.x,
        y: p.side === 'bottom' ? bottoms[p.channel - 1]! - p.inset : tops[p.channel]! + p.inset,
      }));
      ports.forEach((p, k) => pieces.push([p.x, ends[k]!.y, p.x, trackAt(p.channel, id)]));
      for (const c of crossings)
        if (c.id === id) pieces.push([c.x, trackAt(c.row, id), c.x, trackAt(c.row + 1, id)]);
      const longest = pieces
        .filter(([, y1, , y2]) => y1 === y2)
        .reduce((best, p) => (p[2] - p[0] > best[2] - best[0] ? p : best));
      return { id, pieces, ends, label: { x: (longest[0] + longest[2]) / 2, y: longest[1] } };
    });
  return { pipes, tops, height: y + MARGIN };
}

/** The free place nearest to a wanted one, between blocks and beside other crossings. */
function freeNear(
  wanted: number,
  blocks: readonly (readonly [number, number])[],
  taken: readonly number[],
  width: number,
): number {
  const free = (x: number) =>
    x >= 2 &&
    blocks.every(([a, b]) => x < a - CLEAR || x > b + CLEAR) &&
    taken.every((t) => Math.abs(t - x) >= CROSSING);
  for (let off = 0; off <= 2 * width; off++) {
    if (free(wanted + off)) return wanted + off;
    if (free(wanted - off)) return wanted - off;
  }
  return wanted;
}

/** A track for each passage of a channel, 0 on top. */
function tracksOf(here: ReadonlyMap<string, readonly Tap[]>): Map<string, number> {
  const spans = [...here].map(([id, list]) => {
    const xs = list.map((t) => t.x);
    return { id, list, from: Math.min(...xs), to: Math.max(...xs) };
  });
  /** Whether a passage has to lie above another: it goes up where the other goes down. */
  const above = (a: (typeof spans)[number], b: (typeof spans)[number]): boolean =>
    a.list.some(
      (s) =>
        s.way === 'up' && b.list.some((t) => t.way === 'down' && Math.abs(s.x - t.x) < CROSSING),
    );
  const left = new Set(spans);
  const tracks = new Map<string, number>();
  for (let track = 0; left.size > 0; track++) {
    let end = -Infinity;
    const ready = [...left].filter((s) => ![...left].some((o) => o !== s && above(o, s)));
    // A ring of wishes is broken at its first.
    const from = (ready.length > 0 ? ready : [...left].slice(0, 1)).toSorted(
      (a, b) => a.from - b.from,
    );
    for (const span of from) {
      if (span.from <= end + CROSSING) continue;
      tracks.set(span.id, track);
      left.delete(span);
      end = span.to;
    }
  }
  return tracks;
}
