import {
  add,
  isZero,
  multiply,
  negate,
  ONE,
  signOf,
  subtract,
  ZERO,
  type Fraction,
} from '../numerics';
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
  /** `null` where the torque is open. */
  readonly clutches: ReadonlyMap<string, Fraction | null>;
  /** Elements side by side that share: only what they pass on together is known. */
  readonly together: readonly Together[];
  /** Power going round in a circle; zero when every path leads to the output. */
  readonly circulating: Fraction;
  /** Members that circulating power runs through, in its order. */
  readonly loop: readonly string[];
}

/** From the first member of `between` to its second. */
export interface Together {
  readonly elements: readonly string[];
  readonly between: readonly [string, string];
  readonly power: Fraction;
}

export interface PortPower {
  readonly set: string;
  readonly port: string;
  readonly member: string;
  /** `null` where the torque is open. */
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
  const settled = passedInside(unit, ports);
  const clutches = new Map<string, Fraction | null>();
  for (const element of unit.elements) {
    const torque = solution.elements.get(element.id)?.torque ?? null;
    clutches.set(element.id, product(torque && negate(torque), speedOf(element.between[0])));
  }
  const together = sharing(unit, solution).flatMap(({ elements, between, torque }) => {
    const power = product(negate(torque), speedOf(between[0]));
    return power ? [{ elements, between, power }] : [];
  });
  const joined = [
    ...unit.elements.map((e) => ({ between: e.between, power: clutches.get(e.id) ?? null })),
    ...together,
  ];
  return { ports: settled, rolling, clutches, together, ...circulation(unit, settled, joined) };
}

/**
 * Elements that join the same two members and share: their torques together follow from the balance of one of the
 * members, where nothing else on it is open.
 */
function sharing(unit: Unit, solution: Solution) {
  const shared = unit.elements.filter((e) => solution.elements.get(e.id)?.state === 'shared');
  const same = (a: readonly string[], b: readonly string[]) => a.every((m) => b.includes(m));
  return shared.flatMap((first) => {
    const group = shared.filter((e) => same(e.between, first.between));
    if (group[0] !== first || group.length < 2) return [];
    const ids = group.map((e) => e.id);
    for (const [side, member] of first.between.entries()) {
      const others = member === CASE ? null : torqueOn(unit, solution, member, ids);
      if (others)
        return [
          { elements: ids, between: first.between, torque: side === 0 ? negate(others) : others },
        ];
    }
    return [];
  });
}

/** Torque on a member of everything but these elements, × input torque; `null` where some of it is open. */
function torqueOn(
  unit: Unit,
  solution: Solution,
  member: string,
  but: readonly string[],
): Fraction | null {
  let sum: Fraction | null = member === unit.input ? ONE : ZERO;
  const take = (torque: Fraction | null) => (sum = sum && torque && add(sum, torque));
  if (member === unit.output) take(solution.outputTorque && negate(solution.outputTorque));
  for (const set of unit.gearsets) {
    const lambda = solution.setTorques.get(set.id) ?? null;
    for (const term of gearSetTerms(set))
      if (term.member === member)
        take(lambda && multiply(lambda, { num: BigInt(term.coefficient), den: 1n }));
  }
  for (const { id, between } of unit.elements) {
    if (but.includes(id) || !between.includes(member)) continue;
    const torque = solution.elements.get(id)?.torque ?? null;
    take(torque && (between[0] === member ? torque : negate(torque)));
  }
  return sum;
}

/**
 * Two sets of one Ravigneaux arrangement have one ring and one carrier, and the long pinions pass power from
 * set to set. What the equations let run out of one set by the ring and back into the other by the carrier
 * never leaves the pinions: it is taken out, as much as makes the powers at these ports smallest.
 */
function passedInside(unit: Unit, ports: readonly PortPower[]): PortPower[] {
  const powers: { -readonly [K in keyof PortPower]: PortPower[K] }[] = ports.map((p) => ({ ...p }));
  for (const set of unit.gearsets) {
    if (set.kind === 'mesh' || ringOwner(unit, set) === set) continue;
    const at = (id: string, port: string) =>
      powers.find((p) => p.set === id && p.port === port) ?? null;
    const owner = ringOwner(unit, set).id;
    const four = [
      at(owner, 'ring'),
      at(owner, 'carrier'),
      at(set.id, 'carrier'),
      at(set.id, 'ring'),
    ];
    const values = four.map((p) => p?.power ?? null);
    if (values.some((v) => v === null)) continue;
    const signs = [ONE, negate(ONE), ONE, negate(ONE)];
    const shifted = (by: Fraction) => values.map((v, k) => add(v!, multiply(signs[k]!, by)));
    const total = (by: Fraction) => shifted(by).reduce((sum, v) => add(sum, sizeOf(v)), ZERO);
    const best = [ZERO, ...values.map((v, k) => negate(multiply(signs[k]!, v!)))].reduce((x, y) =>
      signOf(subtract(total(y), total(x))) < 0 ? y : x,
    );
    shifted(best).forEach((v, k) => (four[k]!.power = v));
  }
  return powers;
}

const sizeOf = (value: Fraction): Fraction => (signOf(value) < 0 ? negate(value) : value);

type Edges = Map<string, Map<string, Fraction>>;

/** Cancels every circle in the graph of powers; what was cancelled went round and round. */
function circulation(
  unit: Unit,
  ports: readonly PortPower[],
  clutches: readonly { between: readonly [string, string]; power: Fraction | null }[],
): Pick<PowerFlow, 'circulating' | 'loop'> {
  const edges: Edges = new Map();
  const flow = (from: string, to: string, power: Fraction | null) => {
    if (!power || isZero(power)) return;
    const [a, b, size] = signOf(power) > 0 ? [from, to, power] : [to, from, negate(power)];
    const row = edges.get(a) ?? new Map<string, Fraction>();
    row.set(b, add(row.get(b) ?? ZERO, size));
    edges.set(a, row);
  };
  for (const { set, member, power } of ports) flow(member, `gear set ${set}`, power);
  for (const { between, power } of clutches) flow(between[0], between[1], power);
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

/** Members that each member hands power to directly, through a gear set or a clutch. */
export function powerSteps(unit: Unit, flow: PowerFlow): Map<string, Set<string>> {
  const steps = new Map<string, Set<string>>();
  const step = (from: string, to: string) => {
    const next = steps.get(from) ?? new Set<string>();
    next.add(to);
    steps.set(from, next);
  };
  for (const set of unit.gearsets) {
    const owner = set.kind === 'mesh' ? set.id : ringOwner(unit, set).id;
    const signed = flow.ports.filter((p) => {
      const other = unit.gearsets.find((g) => g.id === p.set)!;
      return (other.kind === 'mesh' ? other.id : ringOwner(unit, other).id) === owner;
    });
    const giving = signed.filter((p) => p.power && signOf(p.power) > 0);
    const taking = signed.filter((p) => p.power && signOf(p.power) < 0);
    for (const from of giving)
      for (const to of taking) if (from.member !== to.member) step(from.member, to.member);
  }
  const joined = [
    ...unit.elements.map((e) => ({ between: e.between, power: flow.clutches.get(e.id) ?? null })),
    ...flow.together,
  ];
  for (const { between, power } of joined) {
    if (!power || isZero(power)) continue;
    const [a, b] = between;
    if (signOf(power) > 0) step(a, b);
    else step(b, a);
  }
  return steps;
}
