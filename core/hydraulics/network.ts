import { findRoot, solveDense } from '../numerics';
import { orificeFlow, orificeSlope } from './laws';

/**
 * Pressures in a network of openings (derived here): at every node what flows in is what flows out. All flows rise with
 * the pressure before them and fall with the one behind, so the network is monotone; a Newton step that does not bring the flows
 * nearer to balance is halved, and where none does, every node is balanced by itself in turn.
 */

/** Where a branch ends at the pan. */
export const OPEN = -1;

/** A way between two nodes: with its own openings for either direction. */
export interface Branch {
  readonly kind: 'opening';
  readonly from: number;
  readonly to: number;
  /** k while it flows from the first to the second, and back. */
  forth: number;
  back: number;
}

/** m³/s that comes from the pan into a node, whatever its pressure. */
export interface Source {
  readonly kind: 'source';
  readonly to: number;
  flow: number;
}

/** Opens from a node to the pan as its pressure exceeds what is asked, fully a share of it higher. */
export interface Spill {
  readonly kind: 'spill';
  readonly from: number;
  readonly orifice: number;
  /** What is asked: rest + Σ p·gain. */
  readonly asked: Asked;
}

/** Opens towards its outlet while that is below what is asked, and from there to the pan while it is above. */
export interface Reducer {
  readonly kind: 'reducer';
  readonly from: number;
  readonly to: number;
  readonly orifice: number;
  readonly asked: Asked;
}

export interface Asked {
  rest: number;
  readonly by: readonly { readonly node: number; readonly gain: number }[];
}
export type NetworkPart = Branch | Source | Spill | Reducer;

/** Share of the asked pressure over which a spool in balance opens fully: how stiff its spring is (memory). */
const BAND = 0.03;
const LEAST_BAND = 2e3;
/** Every passage seeps a little, so that one which nothing feeds is empty. */
const SEEP = 1e-11;

const MOST_STEPS = 60;
const MOST_HALVINGS = 12;
/** Of the flow that is about, and m³/s. */
const BALANCED = 1e-7;
const BALANCED_FLOW = 1e-12;
const MOST_PRESSURE = 1e9;

export interface Balance {
  readonly pressures: Float64Array;
  readonly steps: number;
  /** Whether every node came into balance. */
  readonly balanced: boolean;
}

const pressureAt = (p: Float64Array, node: number): number => (node === OPEN ? 0 : p[node]!);

/** What is asked of a spool, and the band over which it opens. */
function askedOf({ rest, by }: Asked, p: Float64Array): { asked: number; band: number } {
  let asked = rest;
  for (const { node, gain } of by) asked += gain * pressureAt(p, node);
  return { asked, band: Math.max(LEAST_BAND, BAND * asked) };
}

const clamp = (x: number): number => (x < 0 ? 0 : x > 1 ? 1 : x);

/** m³/s through a part, from its first-named end to the other. */
export function flowThrough(part: NetworkPart, p: Float64Array): number {
  switch (part.kind) {
    case 'source':
      return part.flow;
    case 'opening': {
      const difference = pressureAt(p, part.from) - pressureAt(p, part.to);
      return orificeFlow(difference >= 0 ? part.forth : part.back, difference);
    }
    case 'spill': {
      const { asked, band } = askedOf(part.asked, p);
      const at = pressureAt(p, part.from);
      return orificeFlow(part.orifice * clamp((at - asked) / band), at);
    }
    case 'reducer': {
      const { asked, band } = askedOf(part.asked, p);
      const open = clamp((asked - pressureAt(p, part.to)) / band);
      return orificeFlow(part.orifice * open, pressureAt(p, part.from) - pressureAt(p, part.to));
    }
  }
}

/** m³/s that a reducer lets out of its outlet to the pan. */
export function exhaustOf(part: Reducer, p: Float64Array): number {
  const { asked, band } = askedOf(part.asked, p);
  const at = pressureAt(p, part.to);
  return orificeFlow(part.orifice * clamp((at - asked) / band), at);
}

/** What flows into every node, and by how much that changes with every pressure. */
class Sums {
  readonly n: number;
  readonly p: Float64Array;
  readonly flows: Float64Array;
  /** Left out where only the flows are asked for. */
  readonly slopes: Float64Array | null;

  constructor(p: Float64Array, flows: Float64Array, slopes: Float64Array | null) {
    [this.n, this.p, this.flows, this.slopes] = [p.length, p, flows, slopes];
    flows.fill(0);
    slopes?.fill(0);
    for (let k = 0; k < p.length; k++) this.through(k, OPEN, SEEP);
  }

  private slope(node: number, by: number, value: number): void {
    if (node !== OPEN && by !== OPEN) this.slopes![node * this.n + by]! += value;
  }

  /** Through an opening from one node to another. @returns the pressure between them */
  through(from: number, to: number, k: number): number {
    const difference = pressureAt(this.p, from) - pressureAt(this.p, to);
    const flow = orificeFlow(k, difference);
    if (from !== OPEN) this.flows[from]! -= flow;
    if (to !== OPEN) this.flows[to]! += flow;
    if (this.slopes) {
      const steep = orificeSlope(k, difference);
      this.slope(from, from, -steep);
      this.slope(from, to, steep);
      this.slope(to, from, steep);
      this.slope(to, to, -steep);
    }
    return difference;
  }

  /** Through an opening that a spool in balance sets. @param turning its share over the pressure that it feels */
  spooled(
    from: number,
    to: number,
    k: number,
    open: number,
    turning: number,
    felt: number,
    asked: Asked,
  ): void {
    const difference = this.through(from, to, k * open);
    if (!this.slopes || turning === 0) return;
    const opens = orificeFlow(k, difference) * turning;
    this.slope(from, felt, -opens);
    this.slope(to, felt, opens);
    for (const { node, gain } of asked.by) {
      this.slope(from, node, opens * gain);
      this.slope(to, node, -opens * gain);
    }
  }
}

function assemble(
  parts: readonly NetworkPart[],
  p: Float64Array,
  flows: Float64Array,
  slopes: Float64Array | null,
): void {
  const sums = new Sums(p, flows, slopes);
  for (const part of parts) {
    switch (part.kind) {
      case 'source':
        if (part.to !== OPEN) flows[part.to]! += part.flow;
        break;
      case 'opening': {
        const forth = pressureAt(p, part.from) >= pressureAt(p, part.to);
        sums.through(part.from, part.to, forth ? part.forth : part.back);
        break;
      }
      case 'spill': {
        const { asked, band } = askedOf(part.asked, p);
        const x = (pressureAt(p, part.from) - asked) / band;
        const turning = x > 0 && x < 1 ? 1 / band : 0;
        sums.spooled(part.from, OPEN, part.orifice, clamp(x), turning, part.from, part.asked);
        break;
      }
      case 'reducer': {
        const { asked, band } = askedOf(part.asked, p);
        const x = (asked - pressureAt(p, part.to)) / band;
        const turning = Math.abs(x) < 1 ? 1 / band : 0;
        if (x >= 0)
          sums.spooled(part.from, part.to, part.orifice, clamp(x), -turning, part.to, part.asked);
        else sums.spooled(part.to, OPEN, part.orifice, clamp(-x), turning, part.to, part.asked);
        break;
      }
    }
  }
}

const worstOf = (flows: Float64Array): number => {
  let worst = 0;
  for (const f of flows) worst = Math.max(worst, Math.abs(f));
  return worst;
};

/** Room for the numbers of one size of network, so that a solution allocates next to nothing. */
export interface Workspace {
  readonly flows: Float64Array;
  readonly slopes: Float64Array;
  readonly step: Float64Array;
  readonly trial: Float64Array;
}
export const workspace = (n: number): Workspace => ({
  flows: new Float64Array(n),
  slopes: new Float64Array(n * n),
  step: new Float64Array(n),
  trial: new Float64Array(n),
});

/** What was, as far as spools in balance now ask for the same. */
function guessed(parts: readonly NetworkPart[], start: Float64Array): Float64Array {
  const p = Float64Array.from(start);
  if (p.every((v) => v === 0)) fillAll(parts, p);
  const reducers = parts.filter((part) => part.kind === 'reducer');
  const outlets = new Map(
    reducers.map((r) => [r.to, Math.min(askedOf(r.asked, p).asked, pressureAt(p, r.from))]),
  );
  for (const [node, pressure] of outlets) if (node !== OPEN) p[node] = pressure;
  const least = parts.reduce(
    (best, part) =>
      part.kind === 'spill' && part.from !== OPEN
        ? Math.min(best, askedOf(part.asked, p).asked / Math.max(1, p[part.from]!))
        : best,
    Infinity,
  );
  // A line that was empty tells nothing.
  if (least > 0.2 && least < 5)
    for (let k = 0; k < p.length; k++) if (!outlets.has(k)) p[k]! *= least;
  return p;
}

/** From nothing: what a spill asks for, and the same wherever it leads to and can't get away. */
function fillAll(parts: readonly NetworkPart[], p: Float64Array): void {
  const drained = new Set(
    parts.flatMap((part) =>
      part.kind === 'opening' && part.to === OPEN && part.forth >= DRAINS ? [part.from] : [],
    ),
  );
  const spills = parts.filter((part) => part.kind === 'spill' && part.from !== OPEN);
  for (const spill of spills)
    if (spill.kind === 'spill' && p[spill.from] === 0)
      p[spill.from] = askedOf(spill.asked, p).asked;
  for (let again = true; again;) {
    again = false;
    for (const part of parts) {
      if (part.kind !== 'opening' || part.to === OPEN || part.from === OPEN) continue;
      if (p[part.from]! <= p[part.to]! || drained.has(part.to) || part.forth <= 0) continue;
      p[part.to] = p[part.from]!;
      again = true;
    }
  }
}
/** k of a way to the pan behind which nothing presses. */
const DRAINS = 1e-6;

/** @param start pressures to begin with; they are not changed */
export function balance(
  parts: readonly NetworkPart[],
  n: number,
  start: Float64Array,
  room: Workspace = workspace(n),
): Balance {
  const { flows, slopes, step, trial } = room;
  const p = guessed(parts, start);
  const supply = parts.reduce((sum, part) => sum + (part.kind === 'source' ? part.flow : 0), 0);
  const close = Math.max(BALANCED_FLOW, BALANCED * supply);
  assemble(parts, p, flows, slopes);
  let worst = worstOf(flows);
  let steps = 0;
  for (; steps < MOST_STEPS && worst > close; steps++) {
    for (let k = 0; k < n; k++) step[k] = -flows[k]!;
    let took = 0;
    if (solveDense(slopes, step, n))
      for (let t = 1, k = 0; k < MOST_HALVINGS; k++, t /= 2) {
        for (let i = 0; i < n; i++)
          trial[i] = Math.min(MOST_PRESSURE, Math.max(0, p[i]! + t * step[i]!));
        assemble(parts, trial, flows, null);
        const now = worstOf(flows);
        if (now < worst * (1 - 1e-4 * t)) {
          p.set(trial);
          took = t;
          break;
        }
      }
    if (took === 0) inTurn(parts, p, n, flows);
    assemble(parts, p, flows, slopes);
    worst = worstOf(flows);
  }
  return { pressures: p, steps, balanced: worst <= close };
}

const NEAR_PA = 1e-3;

/** Every node brought into balance by itself, one after the other. */
function inTurn(
  parts: readonly NetworkPart[],
  p: Float64Array,
  n: number,
  flows: Float64Array,
): void {
  for (let k = 0; k < n; k++) {
    let [low, high] = [0, Math.max(1e6, 2 * p[k]!)];
    const inflow = (pressure: number) => {
      p[k] = pressure;
      assemble(parts, p, flows, null);
      return flows[k]!;
    };
    while (high < MOST_PRESSURE && inflow(high) > 0) [low, high] = [high, 4 * high];
    p[k] = findRoot(inflow, low, high, NEAR_PA).x;
  }
}
