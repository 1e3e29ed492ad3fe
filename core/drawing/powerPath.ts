import {
  CASE,
  powerFlow,
  type PowerFlow,
  type ShiftElement,
  type Solution,
  type Unit,
} from '../geartrain';
import { onceFor, toNumber, type Fraction } from '../numerics';
import type { SectionDrawing, SectionLine } from './sectionShapes';

/**
 * Where the power runs in a section drawing: each member's lines as a tree, with power put in and taken out at
 * gears, clutches and the unit's ends. What crosses a line is the sum of what lies beyond it, so branches that
 * only turn along carry none. Lines are given in the direction of the power.
 */
export interface PathSegment extends SectionLine {
  /** ω/ω_in of its member. */
  readonly speed: number;
  /** × input power, above zero. */
  readonly power: number;
}

interface Terminal {
  readonly x: number;
  readonly y: number;
  /** + into the member's lines. */
  readonly power: number;
}

/** A gear, or a carrier's pins, that joins all lines of its member that end on it. */
interface Wheel extends Terminal {
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

/** A clutch's sign, or a carrier's pins, may lie this far from the end of a line. */
const REACH = 26;
/** Less than this share of the input's power is none. */
const FAINT = 1e-9;

/** @returns nothing unless the unit drives */
export function powerPath(
  drawing: SectionDrawing,
  unit: Unit,
  solution: Solution,
  flow: PowerFlow = powerFlow(unit, solution),
): PathSegment[] {
  if (solution.outcome !== 'drives') return [];
  return unit.members.flatMap(({ id }) => {
    const speed = solution.speeds.get(id);
    if (!speed) return [];
    const net = netOnce(drawing, id, () => netOf(drawing.lines.filter((l) => l.member === id)));
    if (net.length === 0) return [];
    const wheels = wheelsOf(drawing, id, flow);
    const terminals = terminalsOf(drawing, unit, id, flow);
    return flowThrough(id, net, wheels, terminals).map(({ line, power }) => ({
      ...line,
      power,
      speed: toNumber(speed),
    }));
  });
}

/** Of elements side by side that share, each is drawn with the same part: which takes how much is open. */
function passedBy(flow: PowerFlow, { id, between }: ShiftElement): number {
  const group = flow.together.find((g) => g.elements.includes(id));
  if (!group) return size(flow.clutches.get(id));
  const way = between[0] === group.between[0] ? 1 : -1;
  return (way * size(group.power)) / group.elements.length;
}

const size = (power: Fraction | null | undefined): number => (power ? toNumber(power) : 0);

function wheelsOf(drawing: SectionDrawing, member: string, flow: PowerFlow): Wheel[] {
  return flow.ports.flatMap((port) => {
    if (port.member !== member) return [];
    const name = port.port === 'carrier' ? 'pinion' : port.port;
    const boxes = drawing.gears.filter((g) => g.set === port.set && g.port === name);
    if (boxes.length === 0) return [];
    const left = Math.min(...boxes.map((g) => g.x));
    const right = Math.max(...boxes.map((g) => g.x + g.width));
    const top = Math.min(...boxes.map((g) => g.y));
    const bottom = Math.max(...boxes.map((g) => g.y + g.height));
    const middle = { x: (left + right) / 2, y: (top + bottom) / 2 };
    return [{ ...middle, left, right, top, bottom, power: -size(port.power) }];
  });
}

function terminalsOf(
  drawing: SectionDrawing,
  unit: Unit,
  member: string,
  flow: PowerFlow,
): Terminal[] {
  const terminals: Terminal[] = [];
  if (member === unit.input) terminals.push({ ...drawing.input, power: 1 });
  if (member === unit.output) terminals.push({ ...drawing.output, power: -1 });
  for (const element of unit.elements) {
    const at = element.between.indexOf(member);
    const power = passedBy(flow, element);
    const sign = drawing.elements.find((e) => e.id === element.id);
    if (at < 0 || power === 0 || !sign || element.between.includes(CASE)) continue;
    const left = (at === 0) === sign.firstAtLeft;
    terminals.push({
      x: sign.x + (left ? -13 : 13),
      y: sign.y,
      power: at === 0 ? -power : power,
    });
  }
  return terminals;
}

interface Node {
  readonly x: number;
  readonly y: number;
  /** Inside a gear nothing is drawn. */
  readonly wheel: boolean;
  readonly next: readonly Node[];
}

/** A member's lines, split where they meet: they lie as they lie, whatever runs along them. */
const netOnce = onceFor<SectionDrawing, readonly Node[]>();

function netOf(lines: readonly SectionLine[]): Node[] {
  const nodes = new Map<string, Node & { readonly next: Node[] }>();
  for (const { x1, y1, x2, y2 } of lines)
    for (const [x, y] of [
      [x1, y1],
      [x2, y2],
    ] as const) {
      const key = `${Math.round(x)} ${Math.round(y)}`;
      if (!nodes.has(key)) nodes.set(key, { x, y, wheel: false, next: [] });
    }
  for (const l of lines) {
    const along = [...nodes.values()]
      .filter((n) => onLine(n, l))
      .sort((a, b) => Math.hypot(a.x - l.x1, a.y - l.y1) - Math.hypot(b.x - l.x1, b.y - l.y1));
    along.slice(1).forEach((node, k) => {
      const before = along[k]!;
      if (node.next.includes(before)) return;
      node.next.push(before);
      before.next.push(node);
    });
  }
  return [...nodes.values()];
}

/** Hangs gears and terminals on a member's net, and sums power over the tree. */
function flowThrough(
  member: string,
  net: readonly Node[],
  wheels: readonly Wheel[],
  terminals: readonly Terminal[],
): { line: SectionLine; power: number }[] {
  const powers = new Map<Node, number>();
  const hubsAt = new Map<Node, Node[]>();
  const hubs = wheels.map((wheel): Node => {
    const on = net.filter(
      (n) =>
        n.x >= wheel.left - 1 &&
        n.x <= wheel.right + 1 &&
        n.y >= wheel.top - 1 &&
        n.y <= wheel.bottom + 1,
    );
    const hub = { x: wheel.x, y: wheel.y, wheel: true, next: on };
    powers.set(hub, wheel.power);
    for (const node of on) hubsAt.set(node, [...(hubsAt.get(node) ?? []), hub]);
    return hub;
  });
  for (const terminal of terminals) {
    const near = net.reduce((a, b) => (distance(b, terminal) < distance(a, terminal) ? b : a));
    if (distance(near, terminal) <= REACH)
      powers.set(near, (powers.get(near) ?? 0) + terminal.power);
  }
  const found: { line: SectionLine; power: number }[] = [];
  const seen = new Set<Node>();
  const visit = (node: Node): number => {
    seen.add(node);
    let total = powers.get(node) ?? 0;
    for (const next of [...node.next, ...(hubsAt.get(node) ?? [])]) {
      if (seen.has(next)) continue;
      const beyond = visit(next);
      total += beyond;
      if (Math.abs(beyond) < FAINT || node.wheel || next.wheel) continue;
      const [from, to] = beyond > 0 ? [next, node] : [node, next];
      found.push({
        line: { member, x1: from.x, y1: from.y, x2: to.x, y2: to.y },
        power: Math.abs(beyond),
      });
    }
    return total;
  };
  for (const node of [...net, ...hubs]) if (!seen.has(node)) visit(node);
  return found;
}

const distance = (a: { x: number; y: number }, b: { x: number; y: number }): number =>
  Math.hypot(a.x - b.x, a.y - b.y);

/** Lines run straight across or straight up. */
function onLine(node: Node, l: SectionLine): boolean {
  const within = (v: number, a: number, b: number) =>
    v >= Math.min(a, b) - 0.5 && v <= Math.max(a, b) + 0.5;
  return within(node.x, l.x1, l.x2) && within(node.y, l.y1, l.y2);
}
