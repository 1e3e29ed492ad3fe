import {
  add,
  divide,
  fraction,
  multiply,
  negate,
  ONE,
  signOf,
  solveExact,
  subtract,
  toNumber,
  ZERO,
  type Fraction,
} from '../numerics';
import { elementTerms, gearSetTerms, type Term } from './constraints';
import type { Load } from './oneWays';
import { solveUnit, type Solution } from './solve';
import { CASE, ringOwner, type GearSet, type Unit } from './unit';

/**
 * Efficiency with losses in the teeth: each mesh passes on a share of the power that rolls through it as seen
 * from the carrier, so the loss depends on which way that power goes (H. W. Müller, Epicyclic Drive Trains,
 * ch. 4, "basic efficiency"; memory). Bearings, churning and slipping are not counted.
 *
 * Method: in the torque equations the ring's coefficient becomes Nr·η_s^w·η_r^v, with w = +1 where power rolls
 * from the sun to the pinions and −1 the other way, v the same from the pinions to the ring, 0 where the set
 * turns as one. In a Ravigneaux arrangement v follows the sum of both sets' power, since they have one ring:
 * what goes from sun to sun does not pass it. The directions are found by trying: those of the train without
 * loss first, then all others. If none agrees with its own result while power comes out, the train locks.
 */
export type EfficiencyResult =
  | {
      readonly kind: 'turns';
      /** Power out / power in, 0 to 1. */
      readonly efficiency: number;
      /** Size of the torque at the end that is driven, as a multiple of that at the end that drives. */
      readonly torqueRatio: number;
    }
  | { readonly kind: 'self-locking' }
  /** It does not drive, or the torque split is open. */
  | { readonly kind: 'open' };

/** Efficiency of one mesh, 0.5 to 1: two outside gears, or one inside a ring, where the teeth slide less. */
export interface MeshEfficiency {
  readonly external: number;
  readonly internal: number;
}

/** Hardened ground gears: 0.98 to 0.99, inside a ring about half the loss (memory). */
export const MESH_EFFICIENCY: MeshEfficiency = { external: 0.985, internal: 0.992 };

/** More sets than this are not tried in every combination of directions. */
const MOST_TRIED = 12;

type Direction = -1 | 0 | 1;

/** For each set: sun to pinions, then pinions to ring; two equal ones for a gear pair. */
type Directions = readonly (readonly [Direction, Direction])[];

/**
 * @throws Error when an efficiency of a mesh is outside 0.5 to 1
 */
export function efficiency(
  unit: Unit,
  applied: readonly string[],
  load: Load = 'drive',
  mesh: MeshEfficiency = MESH_EFFICIENCY,
): EfficiencyResult {
  for (const share of [mesh.external, mesh.internal])
    if (!(share >= 0.5 && share <= 1))
      throw new Error(`efficiency: expected a mesh efficiency from 0.5 to 1, got ${share}`);
  const solution = solveUnit(unit, applied, load);
  if (solution.outcome !== 'drives' || !solution.ratio) return { kind: 'open' };
  const model = lossModel(unit, solution, load, mesh);
  const plain = solveWith(
    model,
    model.sets.map(() => [0, 0] as const),
  );
  if (!plain) return { kind: 'open' };
  const tried = new Set<string>();
  let directions = directionsOf(model, plain);
  for (let step = 0; step <= 2 * model.sets.length; step++) {
    const key = String(directions);
    if (tried.has(key)) break;
    tried.add(key);
    const result = agreeing(model, directions);
    if (result) return result;
    const next = solveWith(model, directions);
    if (!next) break;
    directions = directionsOf(model, next);
  }
  for (const other of everyDirection(model, directionsOf(model, plain))) {
    const result = agreeing(model, other);
    if (result) return result;
  }
  return { kind: 'self-locking' };
}

interface LossySet {
  readonly set: GearSet;
  /** ω of the first gear against the carrier. */
  readonly relative: Fraction;
  /** Efficiencies from the sun to the (outer) pinion, and from there to the ring. */
  readonly sunSide: Fraction;
  readonly ringSide: Fraction;
  /** Sets of one ring share this. */
  readonly ring: string;
}

interface LossModel {
  readonly unit: Unit;
  readonly sets: readonly LossySet[];
  readonly ties: readonly (readonly Term[])[];
  readonly ratio: Fraction;
  readonly load: Load;
}

function lossModel(unit: Unit, solution: Solution, load: Load, mesh: MeshEfficiency): LossModel {
  const share = (of: number) => fraction(Math.round(of * 1e6), 1e6);
  const [external, internal] = [share(mesh.external), share(mesh.internal)];
  const speedOf = (member: string) =>
    member === CASE ? ZERO : (solution.speeds.get(member) ?? ZERO);
  const sunSide = (set: GearSet) => {
    if (set.kind === 'double-pinion') return multiply(external, external);
    return set.kind === 'mesh' && set.internal ? internal : external;
  };
  const sets = unit.gearsets.map((set) => {
    const frame = set.kind === 'mesh' ? CASE : set.carrier;
    const first = set.kind === 'mesh' ? set.first : set.sun;
    return {
      set,
      relative: subtract(speedOf(first), speedOf(frame)),
      sunSide: sunSide(set),
      ringSide: set.kind === 'mesh' ? ONE : internal,
      ring: set.kind === 'mesh' ? set.id : ringOwner(unit, set).id,
    };
  });
  const closed = unit.elements.filter((e) => {
    const state = solution.elements.get(e.id)?.state;
    return state === 'applied' || state === 'holding' || state === 'shared';
  });
  return { unit, sets, ties: closed.map(elementTerms), ratio: solution.ratio!, load };
}

const shareOf = (eta: Fraction, way: Direction): Fraction =>
  way === 0 ? ONE : way > 0 ? eta : divide(ONE, eta);

/** Torque coefficients of a set: [first, second, frame]; they sum to zero, so that torques balance. */
function torqueTerms({ set, sunSide, ringSide }: LossySet, [w, v]: Directions[number]) {
  const [first, second] = gearSetTerms(set);
  const share = multiply(shareOf(sunSide, w), shareOf(ringSide, v));
  const a = fraction(first!.coefficient);
  const b = multiply(fraction(second!.coefficient), share);
  const frame = set.kind === 'mesh' ? CASE : set.carrier;
  return [
    { member: first!.member, value: a },
    { member: second!.member, value: b },
    { member: frame, value: negate(add(a, b)) },
  ];
}

interface Loaded {
  /** λ of each gear set. */
  readonly sets: readonly (Fraction | null)[];
  /** Torque that the train puts on the output, × the input's torque. */
  readonly out: Fraction | null;
}

/** Torques for an input torque of +1 (drive) or −1 (coast), with the losses going these ways. */
function solveWith(model: LossModel, directions: Directions): Loaded | null {
  const { unit, sets, ties, load } = model;
  const width = sets.length + ties.length + 1;
  const members = unit.members.map((m) => m.id).filter((id) => id !== CASE);
  const matrix = members.map((id) => {
    const row: Fraction[] = Array.from({ length: width }, () => ZERO);
    sets.forEach((entry, k) => {
      for (const { member, value } of torqueTerms(entry, directions[k]!))
        if (member === id) row[k] = add(row[k]!, value);
    });
    ties.forEach((terms, k) => {
      for (const { member, coefficient } of terms)
        if (member === id)
          row[sets.length + k] = fraction(row[sets.length + k]!.num + BigInt(coefficient));
    });
    if (id === unit.output) row[width - 1] = ONE;
    return row;
  });
  const push = load === 'drive' ? -1 : 1;
  const rhs = members.map((id) => (id === unit.input ? fraction(push) : ZERO));
  const solved = solveExact(matrix, rhs, width);
  return solved && { sets: solved.slice(0, sets.length), out: solved[width - 1] ?? null };
}

/** Which way power rolls through each set: + from its first gear to its second. */
function directionsOf(model: LossModel, { sets }: Loaded): Directions {
  const rolled = model.sets.map(({ set, relative }, k) => {
    const lambda = sets[k];
    const coefficient = fraction(gearSetTerms(set)[0]!.coefficient);
    return lambda ? negate(multiply(multiply(lambda, relative), coefficient)) : ZERO;
  });
  return model.sets.map(({ ring }, k) => {
    const through = rolled.reduce(
      (sum, power, other) => (model.sets[other]!.ring === ring ? add(sum, power) : sum),
      ZERO,
    );
    return [signOf(rolled[k]!), signOf(through)] as const;
  });
}

/** The result, when these directions lead to themselves and power comes out at the driven end. */
function agreeing(model: LossModel, directions: Directions): EfficiencyResult | null {
  const loaded = solveWith(model, directions);
  if (!loaded?.out) return null;
  if (String(directionsOf(model, loaded)) !== String(directions)) return null;
  // T_out on the output from outside; its size against the input's torque of 1, by the ratio, is power.
  const torque = Math.abs(toNumber(loaded.out));
  const ratio = Math.abs(toNumber(model.ratio));
  const opposes = signOf(loaded.out) * signOf(model.ratio) * (model.load === 'drive' ? 1 : -1) < 0;
  if (!opposes) return null;
  const share = torque / ratio;
  const [result, torqueRatio] = model.load === 'drive' ? [share, torque] : [1 / share, 1 / torque];
  return result > 0 && result <= 1 + 1e-12
    ? { kind: 'turns', efficiency: Math.min(1, result), torqueRatio }
    : null;
}

/** Every other combination of directions of the sets, and of the rings, that carry rolling power. */
function* everyDirection(model: LossModel, plain: Directions): Generator<Directions> {
  const loaded = model.sets.flatMap((_s, k) => (plain[k]![0] === 0 ? [] : [k]));
  const rings = [...new Set(model.sets.map((s) => s.ring))].filter(
    (ring) => model.sets.filter((s) => s.ring === ring).length > 1,
  );
  if (loaded.length + rings.length > MOST_TRIED) return;
  for (let bits = 0; bits < 2 ** (loaded.length + rings.length); bits++) {
    const signAt = (bit: number): Direction => (bits & (1 << bit) ? 1 : -1);
    yield model.sets.map(({ ring }, k): Directions[number] => {
      const at = loaded.indexOf(k);
      const own = at < 0 ? 0 : signAt(at);
      const shared = rings.indexOf(ring);
      return [own, shared < 0 ? own : signAt(loaded.length + shared)];
    });
  }
}
