import { add, isZero, multiply, negate, signOf, subtract, ZERO, type Fraction } from '../numerics';
import { gearSetTerms } from './constraints';
import type { Solution } from './solve';
import { CASE, portsOf, ringOwner, type Unit } from './unit';

/**
 * Where the power goes: torque × speed at every port of every gear set and across every clutch, as multiples
 * of the input's power, without losses (derived here from the solution's speeds and torques).
 *
 * Signs: + into the gear set; across a clutch, + from its first member to its second. Power that goes round in
 * a circle, through gear sets and back, loads teeth without reaching the output (R. H. Macmillan, Power flow
 * and loss in differential mechanisms, J. Mech. Eng. Sci. 3, 1961; memory).
 */
export interface PowerFlow {
  readonly ports: readonly PortPower[];
  /** Power that rolls through the teeth of each set as seen from its carrier; `null` where torque is open. */
  readonly rolling: ReadonlyMap<string, Fraction | null>;
  readonly clutches: ReadonlyMap<string, Fraction | null>;
  /** Power going round in a circle; zero when every path leads to the output. */
  readonly circulating: Fraction;
  /** Members that circulating power runs through, in its order. */
  readonly loop: readonly string[];
}

export interface PortPower {
  readonly set: string;
  readonly port: string;
  readonly member: string;
  readonly power: Fraction | null;
}

/** @param solution of this unit; its outcome must be `drives`, else all powers are `null` */
export function powerFlow(unit: Unit, solution: Solution): PowerFlow {
  const speedOf = (member: string) =>
    member === CASE ? ZERO : (solution.speeds.get(member) ?? null);
  const product = (torque: Fraction | null, speed: Fraction | null) =>
    torque && speed ? multiply(torque, speed) : torque && isZero(torque) ? ZERO : null;
  const ports: PortPower[] = [];
  const rolling = new Map<string, Fraction | null>();
  for (const set of unit.gearsets) {
    const lambda = solution.setTorques.get(set.id) ?? null;
    const torques = gearSetTerms(set).map(
      ({ coefficient }) => lambda && multiply(lambda, { num: BigInt(-coefficient), den: 1n }),
    );
    portsOf(set).forEach(({ port, member }, k) =>
      ports.push({
        set: set.id,
        port,
        member,
        power: product(torques[k] ?? null, speedOf(member)),
      }),
    );
    const first = set.kind === 'mesh' ? set.first : set.sun;
    const frame = set.kind === 'mesh' ? CASE : set.carrier;
    const [a, b] = [speedOf(first), speedOf(frame)];
    rolling.set(set.id, product(torques[0] ?? null, a && b && subtract(a, b)));
  }
  const clutches = new Map<string, Fraction | null>();
  for (const element of unit.elements) {
    const torque = solution.elements.get(element.id)?.torque ?? null;
    clutches.set(element.id, product(torque && negate(torque), speedOf(element.between[0])));
  }
  return { ports, rolling, clutches, ...circulation(unit, ports, clutches) };
}

/** Two sets of one Ravigneaux arrangement pass power on inside; they are one place. */
function nodeOf(unit: Unit, id: string): string {
  const set = unit.gearsets.find((g) => g.id === id);
  return `gear set ${set && set.kind !== 'mesh' ? ringOwner(unit, set).id : id}`;
}

type Edges = Map<string, Map<string, Fraction>>;

/** Cancels every circle in the graph of powers; what was cancelled went round and round. */
function circulation(
  unit: Unit,
  ports: readonly PortPower[],
  clutches: PowerFlow['clutches'],
): Pick<PowerFlow, 'circulating' | 'loop'> {
  const edges: Edges = new Map();
  const flow = (from: string, to: string, power: Fraction | null) => {
    if (!power || isZero(power)) return;
    const [a, b, size] = signOf(power) > 0 ? [from, to, power] : [to, from, negate(power)];
    const row = edges.get(a) ?? new Map<string, Fraction>();
    row.set(b, add(row.get(b) ?? ZERO, size));
    edges.set(a, row);
  };
  const net = new Map<string, { member: string; node: string; power: Fraction | null }>();
  for (const { set, member, power } of ports) {
    const node = nodeOf(unit, set);
    const before = net.get(`${member} ${node}`);
    const sum = before ? before.power && power && add(before.power, power) : power;
    net.set(`${member} ${node}`, { member, node, power: sum });
  }
  for (const { member, node, power } of net.values()) flow(member, node, power);
  for (const { id, between } of unit.elements)
    flow(between[0], between[1], clutches.get(id) ?? null);
  let circulating = ZERO;
  let loop: string[] = [];
  for (let circle = findCircle(edges); circle; circle = findCircle(edges)) {
    const size = cancel(edges, circle);
    if (signOf(subtract(size, circulating)) > 0) {
      circulating = size;
      loop = circle.filter((node) => unit.members.some((m) => m.id === node));
    }
  }
  return { circulating, loop };
}

/** Depth-first search for a directed circle; nodes in the order of the flow. */
function findCircle(edges: Edges): string[] | null {
  const done = new Set<string>();
  const visit = (node: string, path: string[]): string[] | null => {
    const at = path.indexOf(node);
    if (at >= 0) return path.slice(at);
    if (done.has(node)) return null;
    for (const next of edges.get(node)?.keys() ?? []) {
      const circle = visit(next, [...path, node]);
      if (circle) return circle;
    }
    done.add(node);
    return null;
  };
  for (const node of edges.keys()) {
    const circle = visit(node, []);
    if (circle) return circle;
  }
  return null;
}

/** Takes the smallest power of a circle away from all of its edges. */
function cancel(edges: Edges, circle: readonly string[]): Fraction {
  const pairs = circle.map((node, k) => [node, circle[(k + 1) % circle.length]!] as const);
  const sizes = pairs.map(([a, b]) => edges.get(a)!.get(b)!);
  const least = sizes.reduce((m, s) => (signOf(subtract(s, m)) < 0 ? s : m));
  pairs.forEach(([a, b], k) => {
    const left = subtract(sizes[k]!, least);
    if (isZero(left)) edges.get(a)!.delete(b);
    else edges.get(a)!.set(b, left);
  });
  return least;
}
