import {
  add,
  divide,
  fraction,
  isZero,
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
import { solveUnit, type Load, type Solution } from './solve';
import { CASE, type GearSet, type Unit } from './unit';

/**
 * Efficiency with losses in the teeth: each mesh passes on a share of the power that rolls through it as seen
 * from the carrier, so the loss depends on which way that power goes (H. W. Müller, Epicyclic Drive Trains,
 * ch. 4, "basic efficiency"; memory). Bearings, churning and slipping are not counted.
 *
 * Method: in the torque equations the ring's coefficient becomes Nr·η^w, w = +1 where power rolls from sun to
 * ring, −1 the other way, 0 where the set turns as one. The directions are found by trying: those of the train
 * without loss first, then all others. If none agrees with its own result while power comes out, the train
 * locks itself.
 */
export type EfficiencyResult =
  | {
      readonly kind: 'turns';
      /** Power out / power in, 0 to 1. */
      readonly efficiency: number;
      /** Torque at the end that is driven, as a multiple of the torque at the end that drives. */
      readonly torqueRatio: number;
    }
  | { readonly kind: 'self-locking' }
  /** It does not drive, or the torque split is open. */
  | { readonly kind: 'open' };

/** One mesh of hardened ground gears, 0.98 to 0.99 (memory); as a whole fraction of a thousand. */
export const MESH_EFFICIENCY = 0.985;

/** More sets than this are not tried in every combination of directions. */
const MOST_TRIED = 12;

type Direction = -1 | 0 | 1;

/**
 * @param mesh efficiency of one mesh, 0.5 to 1
 * @throws Error when `mesh` is outside that range
 */
export function efficiency(
  unit: Unit,
  applied: readonly string[],
  load: Load = 'drive',
  mesh: number = MESH_EFFICIENCY,
): EfficiencyResult {
  if (!(mesh >= 0.5 && mesh <= 1))
    throw new Error(`efficiency: expected a mesh efficiency from 0.5 to 1, got ${mesh}`);
  const solution = solveUnit(unit, applied, load);
  if (solution.outcome !== 'drives' || !solution.ratio) return { kind: 'open' };
  const model = lossModel(unit, solution, load, fraction(Math.round(mesh * 1e6), 1e6));
  const plain = solveWith(
    model,
    model.sets.map(() => 0),
  );
  if (!plain) return { kind: 'open' };
  const tried = new Set<string>();
  let directions = directionsOf(model, plain);
  for (let step = 0; step <= 2 * model.sets.length; step++) {
    const key = directions.join();
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

interface LossModel {
  readonly unit: Unit;
  readonly sets: readonly { set: GearSet; relative: Fraction; eta: Fraction }[];
  readonly ties: readonly (readonly Term[])[];
  readonly ratio: Fraction;
  readonly load: Load;
}

function lossModel(unit: Unit, solution: Solution, load: Load, mesh: Fraction): LossModel {
  const speedOf = (member: string) =>
    member === CASE ? ZERO : (solution.speeds.get(member) ?? ZERO);
  const sets = unit.gearsets.map((set) => {
    const frame = set.kind === 'mesh' ? CASE : set.carrier;
    const first = set.kind === 'mesh' ? set.first : set.sun;
    const meshes = { mesh: 1, 'single-pinion': 2, 'double-pinion': 3 }[set.kind];
    return {
      set,
      relative: subtract(speedOf(first), speedOf(frame)),
      eta: power(mesh, meshes),
    };
  });
  const closed = unit.elements.filter((e) => {
    const state = solution.elements.get(e.id)?.state;
    return state === 'applied' || state === 'holding' || state === 'shared';
  });
  return { unit, sets, ties: closed.map(elementTerms), ratio: solution.ratio!, load };
}

const power = (base: Fraction, n: number): Fraction =>
  n === 0 ? ONE : multiply(base, power(base, n - 1));

/** Torque coefficients of a set: [first, second, frame]; they sum to zero, so that torques balance. */
function torqueTerms({ set, eta }: LossModel['sets'][number], w: Direction) {
  const [first, second] = gearSetTerms(set);
  const share = w === 0 ? ONE : w > 0 ? eta : divide(ONE, eta);
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
function solveWith(model: LossModel, directions: readonly Direction[]): Loaded | null {
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
function directionsOf(model: LossModel, { sets }: Loaded): Direction[] {
  return model.sets.map(({ set, relative }, k) => {
    const lambda = sets[k];
    if (!lambda || isZero(lambda) || isZero(relative)) return 0;
    const coefficient = gearSetTerms(set)[0]!.coefficient;
    return (-signOf(lambda) * signOf(relative) * Math.sign(coefficient)) as Direction;
  });
}

/** The result, when these directions lead to themselves and power comes out at the driven end. */
function agreeing(model: LossModel, directions: readonly Direction[]): EfficiencyResult | null {
  const loaded = solveWith(model, directions);
  if (!loaded?.out) return null;
  if (directionsOf(model, loaded).join() !== directions.join()) return null;
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

/** Every other combination of directions of the sets that carry rolling power. */
function* everyDirection(model: LossModel, plain: readonly Direction[]): Generator<Direction[]> {
  const loaded = model.sets.flatMap((_s, k) => (plain[k] === 0 ? [] : [k]));
  if (loaded.length > MOST_TRIED) return;
  for (let bits = 0; bits < 2 ** loaded.length; bits++) {
    const directions = model.sets.map((): Direction => 0);
    loaded.forEach((k, bit) => (directions[k] = bits & (1 << bit) ? 1 : -1));
    yield directions;
  }
}
