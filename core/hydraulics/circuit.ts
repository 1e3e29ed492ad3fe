import type { OilCondition } from './condition';
import { OIL_SOUND } from './condition';
import { fixturesOf, type Fixture } from './fixtures';
import { netUp, opensAbove, type OilRunning, type OnSpool } from './laws';
import {
  balance,
  exhaustOf,
  flowThrough,
  OPEN,
  workspace,
  type Asked,
  type NetworkPart,
  type Workspace,
} from './network';
import { isSpool, PAN, partsOf, type HydraulicPlan, type Solenoid, type Spool } from './plan';
import { portFlows } from './portFlows';
import { openPorts, type OpenWay, type Placed } from './ports';

/** Oil from one passage to another, or from and to the pan; m³/s, below zero back. */
export interface Passing {
  /** The part that it goes through; empty for what leaks. */
  readonly part: string;
  readonly from: string;
  readonly to: string;
  readonly flow: number;
}

/**
 * A plan under given circumstances: which way each spool stands, and the pressure in every passage. Spools of shift valves
 * stand at an end; where both ends push back, they are in balance between. Where each end holds, they stay where they
 * stood: that is what a valve remembers, and why it comes down later than it went up.
 */
export interface OilState {
  readonly pressures: ReadonlyMap<string, number>;
  /** Everything that flows from one passage to another. */
  readonly passing: readonly Passing[];
  /** Valves from 0 (down) to 1 (up), and solenoids that remember from 0 (shut) to 1 (open). */
  readonly spools: Spools;
  /** Elements whose piston presses on its plates. */
  readonly applied: readonly string[];
  /** Whether spools and pressures came to rest. */
  readonly settled: boolean;
}

/** Where valves stand, by their ids: 0 down, 1 up. */
export type Spools = ReadonlyMap<string, number>;

export interface Circuit {
  readonly plan: HydraulicPlan;
  readonly condition: OilCondition;
  /**
   * @param stood where the spools stood before; down where nothing is said
   * @param range that the control unit commands, where there is one: by its id
   */
  readonly at: (running: OilRunning, stood?: Spools, range?: string) => OilState;
  /** The same with the shift valves held where a gear has them, whatever the speed; 1 is the first. */
  readonly inGear: (running: OilRunning, gear: number, range?: string) => OilState;
  /** Pa in a passage with the valves held so, without what flows: for work that asks for many. */
  readonly pressuresIn: (running: OilRunning, gear: number) => (line: string) => number;
}

/** Where the shift valves of a plan stand in a gear; everything else is at rest. */
export const spoolsIn = (plan: HydraulicPlan, gear: number): Spools =>
  new Map(partsOf(plan, 'shift-valve').map((v) => [v.id, v.gear < gear ? 1 : 0]));

/** The gear in which the shift valves of a plan stand, 1 for the first. */
export const gearStood = (plan: HydraulicPlan, spools: Spools): number =>
  1 + partsOf(plan, 'shift-valve').filter((v) => (spools.get(v.id) ?? 0) > 0.5).length;

/** Rounds of spools and pressures; a plan that has not come to rest by then never does. */
const MOST_ROUNDS = 24;

/** A network for one place of all spools: passages that wide-open ports join are one node. */
interface Joined {
  readonly ways: readonly OpenWay[];
  readonly openings: readonly Placed[];
  readonly nodeOf: Int32Array;
  /** Openings of spools in between, then the fixtures. */
  readonly network: readonly NetworkPart[];
  readonly room: Workspace;
  last: Float64Array;
}

/** Pressures of one place of all spools: by a passage's number, and by its name. */
interface Balanced {
  readonly joined: Joined;
  readonly at: (line: number) => number;
  readonly named: (line: string) => number;
  readonly settled: boolean;
}

export function circuitOf(plan: HydraulicPlan, condition: OilCondition = OIL_SOUND): Circuit {
  const lines = plan.lines.map((l) => l.id);
  const lineAt = new Map(lines.map((id, k) => [id, k]));
  const place = (id: string): number => (id === PAN ? OPEN : (lineAt.get(id) ?? OPEN));
  const nameOf = (line: number): string => (line === OPEN ? PAN : lines[line]!);
  const valves = plan.parts.filter(isSpool);
  const switched = partsOf(plan, 'solenoid').filter((p) => p.above);
  const pistons = partsOf(plan, 'piston');
  const fixtures = fixturesOf(plan, condition, place);
  const known = new Map<string, Joined>();
  const joinedFor = (running: OilRunning, spools: Spools, range: string): Joined => {
    const kicked = partsOf(plan, 'kick-down-valve').map((v) => running.throttle >= v.opensAt);
    const key = [running.lever, range, ...kicked, ...spools.values()].join(' ');
    let joined = known.get(key);
    if (!joined) {
      if (known.size > MOST_KNOWN) known.clear();
      joined = joinedBy(
        openPorts(plan, condition, running, spools, range, place),
        fixtures,
        lines.length,
      );
      known.set(key, joined);
    }
    return joined;
  };
  const standing = (stood: Spools | undefined) =>
    new Map(
      [...valves, ...switched].map((v) => [
        v.id,
        condition.stuck.get(v.id) ?? Math.round(stood?.get(v.id) ?? 0),
      ]),
    );
  const balanced = (running: OilRunning, spools: Spools, range: string): Balanced => {
    const joined = joinedFor(running, spools, range);
    const { nodeOf, network, room, openings } = joined;
    fixtures.forEach(({ part }, k) => copyNumbers(part, network[openings.length + k]!));
    const result = balance(network, joined.last.length, joined.last, room);
    joined.last = result.pressures;
    const at = (line: number) => (line === OPEN ? 0 : result.pressures[nodeOf[line]!]!);
    return { joined, at, named: (id) => at(place(id)), settled: result.balanced };
  };
  const stateOf = ({ joined, at, named, settled }: Balanced, spools: Spools): OilState => {
    const pressures = Float64Array.from(lines, (_l, k) => at(k));
    return {
      pressures: new Map(lines.map((id, k) => [id, pressures[k]!])),
      passing: passingOf([...joined.openings, ...fixtures], pressures, joined.ways, nameOf),
      spools,
      applied: pistons.filter((p) => named(p.line) * p.area > p.returnForce).map((p) => p.element),
      settled,
    };
  };
  const heldIn = (running: OilRunning, gear: number, range: string) => {
    for (const fixture of fixtures) fixture.set(running);
    const spools = standing(spoolsIn(plan, gear));
    return { spools, found: balanced(running, spools, range) };
  };
  const moving = (running: OilRunning, stood: Spools | undefined, range: string): OilState => {
    for (const fixture of fixtures) fixture.set(running);
    const spools = standing(stood);
    for (const part of switched)
      if (!condition.stuck.has(part.id))
        spools.set(part.id, switchedTo(part, spools.get(part.id)!, running, range));
    const seen = new Set<string>();
    for (let round = 1; ; round++) {
      const found = balanced(running, spools, range);
      const moved = moveSpools(valves, spools, condition, found.named);
      const now = [...spools.values()].join(' ');
      // The same places again: it swings and never comes to rest.
      const swings = moved && (seen.has(now) || round >= MOST_ROUNDS);
      seen.add(now);
      if (!moved || swings) return stateOf({ ...found, settled: found.settled && !swings }, spools);
    }
  };
  return {
    plan,
    condition,
    at: (running, stood, range = '') => moving(running, stood, range),
    inGear(running, gear, range = '') {
      const { spools, found } = heldIn(running, gear, range);
      return stateOf(found, spools);
    },
    pressuresIn: (running, gear) => heldIn(running, gear, '').found.named,
  };
}
const MOST_KNOWN = 200;

/** Takes over the numbers that follow from what goes on. */
function copyNumbers(from: NetworkPart, to: NetworkPart): void {
  if (from.kind === 'source' && to.kind === 'source') to.flow = from.flow;
  else if (from.kind === 'opening' && to.kind === 'opening')
    [to.forth, to.back] = [from.forth, from.back];
  else if (from.kind === 'reducer' && to.kind === 'reducer') to.asked.rest = from.asked.rest;
}

/** The same part between nodes instead of passages. */
function onNodes(part: NetworkPart, node: (line: number) => number): NetworkPart {
  const on = ({ rest, by }: Asked): Asked => ({
    rest,
    by: by.map((b) => ({ ...b, node: node(b.node) })),
  });
  switch (part.kind) {
    case 'source':
      return { ...part, to: node(part.to) };
    case 'spill':
      return { ...part, from: node(part.from), asked: on(part.asked) };
    case 'reducer':
      return { ...part, from: node(part.from), to: node(part.to), asked: on(part.asked) };
    case 'opening':
      return { ...part, from: node(part.from), to: node(part.to) };
  }
}

function joinedBy(
  { ways, openings }: { ways: readonly OpenWay[]; openings: readonly Placed[] },
  fixtures: readonly Fixture[],
  lines: number,
): Joined {
  const root = Int32Array.from({ length: lines }, (_v, k) => k);
  const find = (k: number): number => {
    let at = k;
    while (root[at] !== at) at = root[at]!;
    return at;
  };
  for (const { from, to } of ways) if (to !== OPEN) root[find(from)] = find(to);
  const numbers = new Map<number, number>();
  const nodeOf = Int32Array.from({ length: lines }, (_v, k) => {
    const r = find(k);
    if (!numbers.has(r)) numbers.set(r, numbers.size);
    return numbers.get(r)!;
  });
  const node = (line: number) => (line === OPEN ? OPEN : nodeOf[line]!);
  return {
    ways,
    openings,
    nodeOf,
    network: [...openings, ...fixtures].map(({ part }) => onNodes(part, node)),
    room: workspace(numbers.size),
    last: new Float64Array(numbers.size),
  };
}

/** A solenoid that a control unit opens from one speed on and shuts below a lower one. */
function switchedTo(
  { opensIn, above }: Solenoid,
  was: number,
  { throttle, outputRpm }: OilRunning,
  range: string,
): number {
  if (!above || !opensIn.includes(range)) return 0;
  const { on, off } = opensAbove(above, throttle);
  return outputRpm > on ? 1 : outputRpm < off ? 0 : was;
}

/** Moves every spool to where its forces push it; says whether one moved. */
function moveSpools(
  valves: readonly Spool[],
  spools: Map<string, number>,
  condition: OilCondition,
  pressure: (line: string) => number,
): boolean {
  let moved = false;
  for (const valve of valves) {
    if (condition.stuck.has(valve.id)) continue;
    const was = spools.get(valve.id)!;
    const now = placeOf(valve, was, {
      governor: pressure(valve.governor.line),
      throttle: pressure(valve.throttle.line),
      kick: valve.kick ? pressure(valve.kick.line) : 0,
      passed: pressure(valve.difference.line),
    });
    if (Math.abs(now - was) <= SAME_PLACE) continue;
    spools.set(valve.id, now);
    moved = true;
  }
  return moved;
}
const SAME_PLACE = 1e-3;

/** Where a spool goes from where it stands. */
function placeOf(valve: Spool, was: number, on: OnSpool): number {
  const [down, up] = [netUp(valve, on, 0), netUp(valve, on, 1)];
  if (down > 0 && up < 0) return down / (down - up);
  if (down <= 0 && up >= 0) return was >= 0.5 ? 1 : 0;
  return up > 0 ? 1 : 0;
}

/** Everything that flows, through ports between joined passages too. */
function passingOf(
  parts: readonly Placed[],
  pressures: Float64Array,
  ways: readonly OpenWay[],
  nameOf: (line: number) => string,
): Passing[] {
  const into = new Float64Array(pressures.length);
  const takes = (line: number, flow: number) => {
    if (line !== OPEN) into[line]! += flow;
  };
  const passing: Passing[] = [];
  const passes = (part: string, from: number, to: number, flow: number) => {
    takes(from, -flow);
    takes(to, flow);
    passing.push({ part, from: nameOf(from), to: nameOf(to), flow });
  };
  for (const { id, part } of parts) {
    const flow = flowThrough(part, pressures);
    if (part.kind === 'source') passes(id, OPEN, part.to, flow);
    else passes(id, part.from, part.kind === 'spill' ? OPEN : part.to, flow);
    if (part.kind === 'reducer') passes('', part.to, OPEN, exhaustOf(part, pressures));
  }
  for (const { part, from, to, flow } of portFlows(ways, into))
    passing.push({ part, from: nameOf(from), to: nameOf(to), flow });
  return passing;
}
