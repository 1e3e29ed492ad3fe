import { compileTrain, type CompiledTrain } from './fastSpeeds';
import type { Load, Outcome } from './solve';
import type { Unit } from './unit';

/**
 * Outcomes in floating point for many sets of applied elements: the fast twin of `solveUnit`.
 *
 * A row of A is on or off for each element, so what the train does is a function of one bit mask. Each mask is
 * eliminated once and kept; a range, a fault of an element or a load then only picks masks. One pass gives
 * speeds and torques (Gauss–Jordan with partial pivoting; any numerical text): the rows are carried beside the
 * identity, and the combination that leaves only ω_out and ω_in is λ, up to the ratio. A combination that
 * leaves nothing says which torques are open.
 */
export interface Motion {
  readonly outcome: Outcome;
  /** ω_in/ω_out; NaN unless it drives. */
  readonly ratio: number;
  /** ω/ω_in, in the order of `train.members`; NaN where it floats. */
  readonly speeds: Float64Array;
  /** Torque on each element's first member, × input torque, in the unit's order; NaN where open. */
  readonly torques: Float64Array;
}

/** Bits of a mask that stay positive in 32-bit arithmetic. */
export const MOST_MASKED = 30;

export interface OutcomeTable {
  readonly train: CompiledTrain;
  /** What the train does with exactly these elements' rows on. */
  readonly motion: (mask: number) => Motion;
}

/** The one-way clutches as bits, and every choice of those that hold, fewest first. */
export interface OneWayChoices {
  readonly all: number;
  /** Fitted the wrong way round. */
  readonly reversed: number;
  readonly held: readonly number[];
}

/** @throws Error when the unit has more elements than a mask holds, or a port names no member */
export function outcomeTable(unit: Unit): OutcomeTable {
  if (unit.elements.length > MOST_MASKED)
    throw new Error(
      `outcomeTable: expected at most ${MOST_MASKED} elements, got ${unit.elements.length}`,
    );
  const train = compileTrain(unit);
  const space = new Float64Array((train.gearSetCount + unit.elements.length) ** 2 * 2 + 1024);
  const known = new Map<number, Motion>();
  return {
    train,
    motion: (mask) => {
      let motion = known.get(mask);
      if (!motion) known.set(mask, (motion = readMask(train, mask, space)));
      return motion;
    },
  };
}

export const maskOf = (unit: Unit, ids: readonly string[]): number =>
  unit.elements.reduce((mask, e, k) => (ids.includes(e.id) ? mask | (1 << k) : mask), 0);

export const oneWayMask = (unit: Unit): number =>
  unit.elements.reduce((mask, e, k) => (e.kind === 'one-way' ? mask | (1 << k) : mask), 0);

export function oneWayChoices(all: number, reversed = 0): OneWayChoices {
  const held = [0];
  for (let sub = all; sub > 0; sub = (sub - 1) & all) held.push(sub);
  return { all, reversed, held: held.sort((a, b) => bitCount(a) - bitCount(b) || a - b) };
}

function bitCount(mask: number): number {
  let count = 0;
  for (let rest = mask; rest !== 0; rest &= rest - 1) count++;
  return count;
}

/**
 * The mask of applied elements and holding one-way clutches, by the rule of `solveUnit`: the first choice that
 * drives and breaks no inequality, else the first neutral one, else the first of any outcome, else all hold.
 */
export function settle(
  table: OutcomeTable,
  applied: number,
  load: Load,
  ways: OneWayChoices,
): number {
  let neutral = -1;
  let other = -1;
  for (const held of ways.held) {
    const mask = applied | held;
    const motion = table.motion(mask);
    if (!agrees(table.train, motion, held, ways, load)) continue;
    if (motion.outcome === 'drives') return mask;
    if (motion.outcome === 'neutral') neutral = neutral < 0 ? mask : neutral;
    else other = other < 0 ? mask : other;
  }
  return neutral >= 0 ? neutral : other >= 0 ? other : applied | ways.all;
}

/** No one-way clutch turns against its way, and none holds against its way. */
function agrees(
  train: CompiledTrain,
  motion: Motion,
  held: number,
  ways: OneWayChoices,
  load: Load,
): boolean {
  for (let e = 0; e < train.elementIds.length; e++) {
    const bit = 1 << e;
    if (!(ways.all & bit)) continue;
    const way = ways.reversed & bit ? -1 : 1;
    const value = held & bit ? motion.torques[e]! : slipOf(train, motion, e);
    const sign = held & bit && load === 'coast' ? -way : way;
    if (value * sign < -SETTLED) return false;
  }
  return true;
}

/** Speeds and torques are multiples of the input's, so plain size tells zero. */
const SETTLED = 1e-9;

/** ω of an element's first member against its second. */
function slipOf({ members, coefficients, gearSetCount }: CompiledTrain, motion: Motion, e: number) {
  const from = (gearSetCount + e) * members.length;
  let slip = 0;
  for (let c = 0; c < members.length; c++) {
    const k = coefficients[from + c]!;
    if (k !== 0) slip += k * motion.speeds[c]!;
  }
  return slip;
}

/** Eliminates the rows of one mask and reads the motion off. */
function readMask(train: CompiledTrain, mask: number, a: Float64Array): Motion {
  const { coefficients, gearSetCount, elementIds } = train;
  const width = train.members.length;
  const on: number[] = [];
  for (let r = 0; r < gearSetCount; r++) on.push(r);
  for (let e = 0; e < elementIds.length; e++) if (mask & (1 << e)) on.push(gearSetCount + e);
  const rows = on.length;
  const wide = width + rows;
  const cells = a.length >= rows * wide ? a : new Float64Array(rows * wide);
  cells.fill(0, 0, rows * wide);
  on.forEach((row, r) => {
    for (let c = 0; c < width; c++) cells[r * wide + c] = coefficients[row * width + c]!;
    cells[r * wide + width + r] = 1;
  });
  const pivotRow = reduce(cells, rows, width, wide, train.zero);
  const speeds = speedsOf(cells, width, wide, pivotRow);
  const outcome = outcomeOf(cells, width, wide, pivotRow, speeds);
  const torques = new Float64Array(elementIds.length);
  if (outcome !== 'drives') {
    for (const row of on) if (row >= gearSetCount) torques[row - gearSetCount] = NaN;
    return { outcome, ratio: NaN, speeds, torques };
  }
  const ratio = 1 / speeds[0]!;
  const rank = pivotRow.reduce((n, row) => (row >= 0 ? n + 1 : n), 0);
  on.forEach((row, k) => {
    if (row < gearSetCount) return;
    let torque = ratio * cells[pivotRow[0]! * wide + width + k]!;
    for (let r = rank; r < rows; r++)
      if (Math.abs(cells[r * wide + width + k]!) > SETTLED) torque = NaN;
    torques[row - gearSetCount] = torque;
  });
  return { outcome, ratio, speeds, torques };
}

/** Gauss–Jordan in place; gives the row in which each column has its leading 1, or −1. */
function reduce(
  a: Float64Array,
  rows: number,
  width: number,
  wide: number,
  zero: number,
): Int8Array {
  const pivotRow = new Int8Array(width).fill(-1);
  let rank = 0;
  for (let c = 0; c < width && rank < rows; c++) {
    let best = rank;
    for (let r = rank + 1; r < rows; r++)
      if (Math.abs(a[r * wide + c]!) > Math.abs(a[best * wide + c]!)) best = r;
    const lead = a[best * wide + c]!;
    if (Math.abs(lead) <= zero) continue;
    for (let k = 0; k < wide; k++) {
      const held = a[best * wide + k]!;
      a[best * wide + k] = a[rank * wide + k]!;
      a[rank * wide + k] = held / lead;
    }
    for (let r = 0; r < rows; r++) {
      const f = r === rank ? 0 : a[r * wide + c]!;
      if (f === 0) continue;
      for (let k = 0; k < wide; k++) a[r * wide + k]! -= f * a[rank * wide + k]!;
      a[r * wide + c] = 0;
    }
    pivotRow[c] = rank++;
  }
  return pivotRow;
}

/** ω/ω_in of each column; NaN where a free column other than the input's takes part. */
function speedsOf(a: Float64Array, width: number, wide: number, pivotRow: Int8Array): Float64Array {
  const last = width - 1;
  const speeds = new Float64Array(width);
  const inputMoves = pivotRow[last]! < 0;
  for (let c = 0; c < width; c++) {
    const row = pivotRow[c]!;
    if (row < 0) {
      speeds[c] = c === last ? 1 : NaN;
      continue;
    }
    let value = inputMoves ? -a[row * wide + last]! : 0;
    for (let k = c + 1; k < width; k++)
      if (pivotRow[k]! < 0 && (k !== last || !inputMoves) && Math.abs(a[row * wide + k]!) > SETTLED)
        value = NaN;
    speeds[c] = Math.abs(value) <= SETTLED ? 0 : value;
  }
  return speeds;
}

function outcomeOf(
  a: Float64Array,
  width: number,
  wide: number,
  pivotRow: Int8Array,
  speeds: Float64Array,
): Outcome {
  const row = pivotRow[0]!;
  let outputStands = row >= 0;
  for (let k = 1; k < width && outputStands; k++)
    if (pivotRow[k]! < 0 && Math.abs(a[row * wide + k]!) > SETTLED) outputStands = false;
  if (pivotRow[width - 1]! >= 0) return outputStands ? 'tied-up' : 'input-held';
  if (outputStands) return 'output-held';
  return Number.isNaN(speeds[0]) ? 'neutral' : 'drives';
}
