import {
  add,
  divide,
  EXACT,
  fraction,
  isZero,
  multiply,
  negate,
  ONE,
  onceFor,
  oneLast,
  reduceRows,
  reduceWhole,
  signOf,
  solveExact,
  subtract,
  ZERO,
  type Fraction,
} from '../numerics';
import { elementTerms, exactRow, gearSetTerms } from './constraints';
import { carrying, motionsLeft, oneWaysAtRest, type Load, type SignsOf } from './oneWays';
import { CASE, type ShiftElement, type Unit } from './unit';

/**
 * What a unit does with a given set of elements applied: speeds from A·ω = 0, torques from the same
 * matrix transposed, Aᵀ·λ + T = 0, in exact fractions (derived here; the method is that of any text on
 * constrained mechanisms, for instance Shabana, Dynamics of Multibody Systems, ch. 3).
 *
 * Speeds are multiples of the input's speed, torques multiples of the input's torque. One-way clutches
 * are found by complementarity, all of them at once: `oneWays.ts`.
 */
export type Outcome = 'drives' | 'neutral' | 'tied-up' | 'output-held' | 'input-held';

export type ElementState = 'applied' | 'holding' | 'overrunning' | 'open' | 'shared';

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
  return solved(unit, `${load} ${[...applied].sort().join(' ')}`, () =>
    solveAnew(unit, applied, load),
  );
}

/** A drawing, a chart and what is said of them ask for the same ranges over and over. */
const solved = onceFor<Unit, Solution>();

function solveAnew(unit: Unit, applied: readonly string[], load: Load): Solution {
  for (const id of applied)
    if (!unit.elements.some((e) => e.id === id))
      throw new Error(`solveUnit: expected an element of unit "${unit.id}", got "${id}"`);
  const train = exactTrain(unit);
  const on = unit.elements.flatMap((e, k) =>
    e.kind !== 'one-way' && applied.includes(e.id) ? [k] : [],
  );
  const oneWays = unit.elements.flatMap((e, k) => (e.kind === 'one-way' ? [k] : []));
  if (oneWays.length === 0) return solveClosed(train, on, on, true);
  const motions = motionsLeft(directionsOf(train, on, oneWays), oneWays.length, EXACT);
  const { push, drives, still } = oneWaysAtRest(motions, load, EXACT);
  const resting = oneWays.filter((_k, n) => still[n]);
  const carry =
    push === 0 ? [] : carrying(on, resting, push, torqueSigns(train, [...on, ...resting], drives));
  const settled = solveClosed(train, [...on, ...resting], [...on, ...carry], push !== 0);
  return load === 'coast' ? withOverrun(unit, applied, settled) : settled;
}

/** A unit's constraints as exact rows, one for each gear set, then one for each element. */
interface ExactTrain {
  readonly unit: Unit;
  readonly columns: ReadonlyMap<string, number>;
  readonly sets: readonly Fraction[][];
  readonly elements: readonly Fraction[][];
}

function exactTrain(unit: Unit): ExactTrain {
  // The input's column goes last, so that elimination expresses the others by it.
  const order = [unit.output, ...unit.members.map((m) => m.id), unit.input].filter(
    (id, i, all) =>
      id !== CASE && (id === unit.input ? i === all.length - 1 : all.indexOf(id) === i),
  );
  const columns = new Map(order.map((id, i) => [id, i]));
  return {
    unit,
    columns,
    sets: unit.gearsets.map((set) => exactRow(gearSetTerms(set), columns)),
    elements: unit.elements.map((element) => exactRow(elementTerms(element), columns)),
  };
}

const rowsOf = ({ sets, elements }: ExactTrain, closed: readonly number[]): Fraction[][] => [
  ...sets,
  ...closed.map((k) => elements[k]!),
];

/** The motions that gears and closed elements leave, each as [ω_in, ω_out, slip of each one-way clutch…]. */
function directionsOf(
  train: ExactTrain,
  closed: readonly number[],
  oneWays: readonly number[],
): Fraction[][] {
  const { unit, columns, elements } = train;
  const width = columns.size;
  const { rows, pivots } = reduceRows(rowsOf(train, closed), width, { tiers: oneLast(width) });
  const rowOf = new Map(pivots.map((pivot, r) => [pivot, rows[r]!]));
  const speedIn = (free: number, column: number | undefined): Fraction => {
    if (column === undefined) return ZERO;
    const row = rowOf.get(column);
    return row ? negate(row[free]!) : column === free ? ONE : ZERO;
  };
  return Array.from({ length: width }, (_, c) => c)
    .filter((c) => !rowOf.has(c))
    .map((free) => [
      speedIn(free, columns.get(unit.input)),
      speedIn(free, columns.get(unit.output)),
      ...oneWays.map((k) =>
        elements[k]!.reduce(
          (sum, coefficient, c) =>
            isZero(coefficient) ? sum : add(sum, multiply(coefficient, speedIn(free, c))),
          ZERO,
        ),
      ),
    ]);
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

/**
 * On coast a one-way clutch that held on drive runs over, although its speed floats with the engine's: the
 * road turns the output faster than the engine would.
 */
function withOverrun(unit: Unit, applied: readonly string[], coast: Solution): Solution {
  if (coast.outcome !== 'neutral') return coast;
  const drive = solveUnit(unit, applied, 'drive');
  const elements = new Map(coast.elements);
  for (const [id, result] of drive.elements)
    if (
      (result.state === 'holding' || result.state === 'shared') &&
      elements.get(id)?.state === 'open'
    )
      elements.set(id, { state: 'overrunning', torque: ZERO });
  return { ...coast, elements };
}

/**
 * Speeds, outcome and torques with every element's state given.
 * @param closed elements that turn as one
 * @param holding those of them that can carry torque
 * @param loaded the train stands up to the input torque
 */
function solveClosed(
  train: ExactTrain,
  closed: readonly number[],
  holding: readonly number[],
  loaded: boolean,
): Solution {
  const { unit } = train;
  const motion = readMotion(rowsOf(train, closed), train.columns, unit);
  const drives = motion.outcome === 'drives';
  const blocked = motion.outcome === 'tied-up' || motion.outcome === 'input-held';
  const lambdas = loaded && (drives || blocked) ? torques(train, holding, drives) : null;
  const setCount = unit.gearsets.length;
  const elements = new Map<string, ElementResult>();
  unit.elements.forEach((element, k) => {
    const index = holding.indexOf(k);
    if (index < 0) {
      const speed = element.kind === 'one-way' ? relativeSpeed(element, motion) : null;
      const overruns = speed !== null && signOf(speed) > 0;
      elements.set(element.id, { state: overruns ? 'overrunning' : 'open', torque: ZERO });
      return;
    }
    const torque = lambdas?.[setCount + index] ?? null;
    const oneWay = element.kind === 'one-way';
    const shared = torque === null && lambdas !== null && (drives || oneWay);
    elements.set(element.id, { state: shared ? 'shared' : oneWay ? 'holding' : 'applied', torque });
  });
  const moving = drives ? lambdas : null;
  const setTorques = new Map(unit.gearsets.map((set, i) => [set.id, moving?.[i] ?? null]));
  const external = moving?.[setCount + holding.length] ?? null;
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
  const { rows: reduced, pivots } = reduceRows(rows, width, { tiers: oneLast(width) });
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

/**
 * The balance of every member, unknown by unknown: λ of every row, then the external torque on the output; the input torque
 * is 1.
 * @param driving the output is loaded; where the input is blocked the train holds the engine by itself
 */
function balance(
  train: ExactTrain,
  closed: readonly number[],
  driving: boolean,
): { readonly matrix: Fraction[][]; readonly rhs: Fraction[] } {
  const { columns, unit } = train;
  const rows = rowsOf(train, closed);
  const inputColumn = columns.get(unit.input)!;
  const outputColumn = columns.get(unit.output)!;
  const matrix: Fraction[][] = [];
  const rhs: Fraction[] = [];
  for (let member = 0; member < columns.size; member++) {
    matrix.push([
      ...rows.map((row) => row[member]!),
      driving && member === outputColumn ? ONE : ZERO,
    ]);
    rhs.push(member === inputColumn ? fraction(-1) : ZERO);
  }
  return { matrix, rhs };
}

function torques(
  train: ExactTrain,
  closed: readonly number[],
  driving: boolean,
): (Fraction | null)[] | null {
  const { matrix, rhs } = balance(train, closed, driving);
  return solveExact(matrix, rhs, matrix[0]?.length ?? 0);
}

/**
 * Signs of the elements' torques, for any choice of those elements that carry: gear sets and output are taken out once, and
 * what is left are a few equations between the elements alone.
 * @param all elements that may carry
 * @returns for each of the unit's elements the sign of its torque; `null` where statics leave it open
 */
function torqueSigns(train: ExactTrain, all: readonly number[], driving: boolean): SignsOf {
  const { matrix, rhs } = balance(train, all, driving);
  const sets = train.unit.gearsets.length;
  const width = sets + all.length + 1;
  const isElement = (column: number) => column >= sets && column < width - 1;
  const tiers = [
    ...Array.from({ length: width }, (_v, c) => (isElement(c) ? 1 : 0)),
    // The right-hand side: a row that names nothing else contradicts the others.
    2,
  ];
  const between = reduceWhole(
    matrix.map((row, r) => [...row, rhs[r]!]),
    width + 1,
    { tiers },
  ).filter(({ pivot }) => isElement(pivot) || pivot === width);
  const whole = (value: bigint) => fraction(value);
  const column = new Map(all.map((k, i) => [k, sets + i]));
  return (carrying) => {
    const x = solveExact(
      between.map(({ entries }) => carrying.map((k) => whole(entries[column.get(k)!]!))),
      between.map(({ entries }) => whole(entries[width]!)),
      carrying.length,
    );
    return train.unit.elements.map((_e, k) => {
      const index = carrying.indexOf(k);
      if (index < 0) return 0;
      const torque = x?.[index] ?? null;
      return torque && signOf(torque);
    });
  };
}
