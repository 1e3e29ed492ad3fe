import {
  divide,
  fraction,
  isZero,
  negate,
  ONE,
  reduceRows,
  signOf,
  solveExact,
  subtract,
  ZERO,
  type Fraction,
} from '../numerics';
import { elementTerms, exactRow, gearSetTerms } from './constraints';
import { CASE, type ShiftElement, type Unit } from './unit';

/**
 * What a unit does with a given set of elements applied: speeds from A·ω = 0, torques from the same
 * matrix transposed, Aᵀ·λ + T = 0, in exact fractions (derived here; the method is that of any text on
 * constrained mechanisms, for instance Shabana, Dynamics of Multibody Systems, ch. 3).
 *
 * Speeds are multiples of the input's speed, torques multiples of the input's torque. One-way clutches
 * are found by complementarity: ωa ≥ ωb, torque on a ≥ 0, one of the two zero.
 */
export type Outcome = 'drives' | 'neutral' | 'tied-up' | 'output-held' | 'input-held';

export type ElementState = 'applied' | 'holding' | 'overrunning' | 'open' | 'shared';

/** `drive`: the engine pushes. `coast`: the road pushes and the engine drags. */
export type Load = 'drive' | 'coast';

export interface ElementResult {
  readonly state: ElementState;
  /** Torque on the first-named member, × input torque; `null` where statics leave it open. */
  readonly torque: Fraction | null;
}

export interface Solution {
  readonly outcome: Outcome;
  /** ω_in / ω_out when it drives; negative in reverse. */
  readonly ratio: Fraction | null;
  /** Torque the output delivers, × input torque; + ratio, since no loss is counted here. */
  readonly outputTorque: Fraction | null;
  /** ω / ω_in of each member; `null` when it floats. */
  readonly speeds: ReadonlyMap<string, Fraction | null>;
  readonly elements: ReadonlyMap<string, ElementResult>;
  /** Torque factor λ of each gear set: a port feels its tooth coefficient × λ. */
  readonly setTorques: ReadonlyMap<string, Fraction | null>;
  /** Ways in which the whole could still move on its own. */
  readonly freedom: number;
}

/**
 * @param applied ids of the applied elements; one-way clutches are left out
 * @throws Error when an id in `applied` is not an element of the unit, or a port names no member
 */
export function solveUnit(unit: Unit, applied: readonly string[], load: Load = 'drive'): Solution {
  for (const id of applied)
    if (!unit.elements.some((e) => e.id === id))
      throw new Error(`solveUnit: expected an element of unit "${unit.id}", got "${id}"`);
  const fixed = unit.elements.filter((e) => e.kind !== 'one-way' && applied.includes(e.id));
  const oneWays = unit.elements.filter((e) => e.kind === 'one-way');
  if (oneWays.length === 0) return solveFixed(unit, fixed, []);
  const { holding, solution } = settleOneWays(unit, fixed, oneWays, load);
  const sharing = oneWays.filter(
    (o) => !holding.includes(o) && sharesReaction(unit, fixed, holding, o, solution, load),
  );
  const settled = sharing.length > 0 ? solveFixed(unit, fixed, [...holding, ...sharing]) : solution;
  return load === 'coast' ? withOverrun(unit, applied, settled) : settled;
}

interface Settled {
  readonly holding: readonly ShiftElement[];
  readonly solution: Solution;
}

/**
 * Tries every combination of holding one-way clutches, fewest first. The first that drives and breaks no
 * inequality is the answer, since a loaded output pushes back; else the first neutral one; else the first
 * of any outcome. When all break one, everything binds.
 */
function settleOneWays(
  unit: Unit,
  fixed: readonly ShiftElement[],
  oneWays: readonly ShiftElement[],
  load: Load,
): Settled {
  let neutral: Settled | null = null;
  let other: Settled | null = null;
  for (const holding of subsets(oneWays)) {
    const solution = solveFixed(unit, fixed, holding);
    if (!oneWaysAgree(oneWays, holding, solution, load)) continue;
    if (solution.outcome === 'drives') return { holding, solution };
    if (solution.outcome === 'neutral') neutral ??= { holding, solution };
    else other ??= { holding, solution };
  }
  return neutral ?? other ?? { holding: oneWays, solution: solveFixed(unit, fixed, oneWays) };
}

function subsets<T>(items: readonly T[]): T[][] {
  const all = Array.from({ length: 2 ** items.length }, (_, mask) =>
    items.filter((_item, bit) => mask & (1 << bit)),
  );
  return all.sort((a, b) => a.length - b.length);
}

/** ω of the first member against the second, × input speed; `null` when it floats. */
function relativeSpeed(
  element: ShiftElement,
  { speeds }: Pick<Solution, 'speeds'>,
): Fraction | null {
  const speedOf = (member: string) => (member === CASE ? ZERO : speeds.get(member));
  const a = speedOf(element.between[0]);
  const b = speedOf(element.between[1]);
  return a && b ? subtract(a, b) : null;
}

/** Torque of an element in the direction in which it acts while the engine pushes (drive) or drags (coast). */
function push(torque: Fraction, load: Load): number {
  return signOf(torque) * (load === 'drive' ? 1 : -1);
}

function oneWaysAgree(
  oneWays: readonly ShiftElement[],
  holding: readonly ShiftElement[],
  solution: Solution,
  load: Load,
): boolean {
  return oneWays.every((element) => {
    if (holding.includes(element)) {
      const torque = solution.elements.get(element.id)?.torque;
      return !torque || push(torque, load) >= 0;
    }
    const speed = relativeSpeed(element, solution);
    return !speed || signOf(speed) >= 0;
  });
}

/**
 * A one-way clutch beside an applied brake or clutch: neither can turn, and if the reaction goes the way
 * it holds, both take a share that statics can't tell.
 */
function sharesReaction(
  unit: Unit,
  fixed: readonly ShiftElement[],
  holding: readonly ShiftElement[],
  oneWay: ShiftElement,
  solution: Solution,
  load: Load,
): boolean {
  const speed = relativeSpeed(oneWay, solution);
  if (solution.outcome !== 'drives' || !speed || signOf(speed) !== 0) return false;
  return fixed.some((element) => {
    const others = fixed.filter((e) => e !== element);
    const swapped = solveFixed(unit, others, [...holding, oneWay]);
    const torque = swapped.elements.get(oneWay.id)?.torque;
    return (
      swapped.outcome === 'drives' &&
      torque !== undefined &&
      torque !== null &&
      push(torque, load) > 0
    );
  });
}

/**
 * On coast a one-way clutch that held on drive runs over, although its speed floats with the engine's: the
 * road turns the output faster than the engine would.
 */
function withOverrun(unit: Unit, applied: readonly string[], coast: Solution): Solution {
  if (coast.outcome !== 'neutral') return coast;
  const drive = solveUnit(unit, applied, 'drive');
  const elements = new Map(coast.elements);
  for (const [id, result] of drive.elements)
    if (result.state === 'holding' && elements.get(id)?.state === 'open')
      elements.set(id, { state: 'overrunning', torque: ZERO });
  return { ...coast, elements };
}

/** Speeds, outcome and torques with every element's state given. */
function solveFixed(
  unit: Unit,
  fixed: readonly ShiftElement[],
  holding: readonly ShiftElement[],
): Solution {
  // The input's column goes last, so that elimination expresses the others by it.
  const order = [unit.output, ...unit.members.map((m) => m.id), unit.input].filter(
    (id, i, all) =>
      id !== CASE && (id === unit.input ? i === all.length - 1 : all.indexOf(id) === i),
  );
  const columns = new Map(order.map((id, i) => [id, i]));
  const closed = [...fixed, ...holding];
  const rows = [...unit.gearsets.map(gearSetTerms), ...closed.map(elementTerms)].map((terms) =>
    exactRow(terms, columns),
  );
  const motion = readMotion(rows, columns, unit);
  const lambdas = motion.outcome === 'drives' ? torques(rows, columns, unit) : null;
  const setCount = unit.gearsets.length;
  const elements = new Map<string, ElementResult>();
  for (const element of unit.elements) {
    const index = closed.indexOf(element);
    if (index < 0) {
      elements.set(element.id, { state: 'open', torque: ZERO });
      continue;
    }
    const torque = lambdas?.[setCount + index] ?? null;
    const shared = lambdas !== null && torque === null;
    const state = shared ? 'shared' : element.kind === 'one-way' ? 'holding' : 'applied';
    elements.set(element.id, { state, torque });
  }
  for (const element of unit.elements) {
    if (element.kind !== 'one-way' || closed.includes(element)) continue;
    const speed = relativeSpeed(element, motion);
    if (speed && signOf(speed) > 0)
      elements.set(element.id, { state: 'overrunning', torque: ZERO });
  }
  const setTorques = new Map(unit.gearsets.map((set, i) => [set.id, lambdas?.[i] ?? null]));
  const external = lambdas?.[rows.length] ?? null;
  return { ...motion, outputTorque: external && negate(external), elements, setTorques };
}

type Motion = Pick<Solution, 'outcome' | 'ratio' | 'speeds' | 'freedom'>;

/** The null space of A, seen from (ω_in, ω_out). */
function readMotion(
  rows: readonly Fraction[][],
  columns: ReadonlyMap<string, number>,
  unit: Unit,
): Motion {
  const width = columns.size;
  const inputColumn = width - 1;
  const { rows: reduced, pivots } = reduceRows(rows, width);
  const freedom = width - pivots.length;
  const inputMoves = !pivots.includes(inputColumn);
  const rowOf = new Map(pivots.map((pivot, r) => [pivot, reduced[r]!]));
  // A member's speed is −(row's entries) · (free columns); it is settled when only the input's remains.
  const share = (column: number): Fraction | null => {
    const row = rowOf.get(column);
    if (!row) return column === inputColumn ? ONE : null;
    const floats = row.some((v, c) => c !== column && c !== inputColumn && !isZero(v));
    return floats ? null : negate(row[inputColumn]!);
  };
  const outputColumn = columns.get(unit.output)!;
  const outputShare = share(outputColumn);
  const speeds = new Map<string, Fraction | null>();
  for (const member of unit.members) {
    const column = columns.get(member.id);
    const held = column === undefined || (inputMoves ? null : stands(rowOf.get(column), column));
    if (held) speeds.set(member.id, ZERO);
    else speeds.set(member.id, inputMoves ? share(column) : null);
  }
  const outputStands = stands(rowOf.get(outputColumn), outputColumn);
  const none = { ratio: null, speeds, freedom };
  if (!inputMoves) return { outcome: outputStands ? 'tied-up' : 'input-held', ...none };
  if (outputStands) return { outcome: 'output-held', ...none };
  if (outputShare === null) return { outcome: 'neutral', ...none };
  return { outcome: 'drives', ratio: divide(ONE, outputShare), speeds, freedom };
}

/** A pivot row with no other entry: the member can't turn. */
const stands = (row: readonly Fraction[] | undefined, column: number): boolean =>
  row !== undefined && row.every((v, c) => c === column || isZero(v));

/** λ of every row, then the external torque on the output, for an input torque of 1. */
function torques(
  rows: readonly Fraction[][],
  columns: ReadonlyMap<string, number>,
  unit: Unit,
): (Fraction | null)[] | null {
  const inputColumn = columns.get(unit.input)!;
  const outputColumn = columns.get(unit.output)!;
  const matrix: Fraction[][] = [];
  const rhs: Fraction[] = [];
  for (let member = 0; member < columns.size; member++) {
    matrix.push([...rows.map((row) => row[member]!), member === outputColumn ? ONE : ZERO]);
    rhs.push(member === inputColumn ? fraction(-1) : ZERO);
  }
  return solveExact(matrix, rhs, rows.length + 1);
}
