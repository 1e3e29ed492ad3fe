import { FLOATING, lessScaled } from '../numerics';
import { compileTrain, type CompiledTrain } from './fastSpeeds';
import { carrying, motionsLeft, oneWaysAtRest, type Load, type MotionsLeft } from './oneWays';
import type { Outcome } from './solve';
import type { Unit } from './unit';

/**
 * Outcomes in floating point for many sets of applied elements: the fast twin of `solveUnit`.
 *
 * A row of A is on or off for each element, so what the train does is a function of one bit mask. Each mask is
 * eliminated once and kept; a range, a fault of an element or a load then only picks masks. One pass gives
 * speeds and torques (Gauss–Jordan with partial pivoting; any numerical text), from the gear sets' rows, which are on in every
 * mask and are reduced once: the rows are carried beside the
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
  /** What it does with these applied, once its one-way clutches have found their places; the twin of `solveUnit`. */
  readonly settle: (applied: number, load: Load, ways: OneWays) => Settled;
}

/** The one-way clutches that can hold, as bits. */
export interface OneWays {
  readonly all: number;
  /** Fitted the wrong way round. */
  readonly reversed: number;
}

export interface Settled {
  readonly motion: Motion;
  /** Elements on: applied, or holding by themselves. */
  readonly mask: number;
}

/** @throws Error when the unit has more elements than a mask holds, or a port names no member */
export function outcomeTable(unit: Unit): OutcomeTable {
  if (unit.elements.length > MOST_MASKED)
    throw new Error(
      `outcomeTable: expected at most ${MOST_MASKED} elements, got ${unit.elements.length}`,
    );
  const train = compileTrain(unit);
  const space = new Float64Array((train.gearSetCount + unit.elements.length) ** 2 * 2 + 1024);
  const sets = reducedSets(train);
  const known = new Map<number, Motion>();
  const motion = (mask: number): Motion => {
    let found = known.get(mask);
    if (!found) known.set(mask, (found = readMotion(train, eliminated(train, sets, mask, space))));
    return found;
  };
  /** One map for each choice of one-way clutches, by what is applied. */
  const places = new Map<number, Map<number, Places>>();
  return {
    train,
    motion,
    settle(applied, load, ways) {
      if (ways.all === 0) return { motion: motion(applied), mask: applied };
      const chosen = ways.all * 2 ** MOST_MASKED + (ways.reversed & ways.all);
      let known = places.get(chosen);
      if (!known) places.set(chosen, (known = new Map<number, Places>()));
      let found = known.get(applied);
      if (!found) {
        const at = eliminated(train, sets, applied, space);
        found = {
          motions: motionsLeft(directionsOf(train, at, ways), bitsOf(ways.all).length, FLOATING),
        };
        known.set(applied, found);
      }
      return (found[load] ??= settled(motion, found.motions, applied, load, ways));
    },
  };
}

/** Where the one-way clutches of a train stand with some elements applied, as far as it has been asked. */
interface Places {
  readonly motions: MotionsLeft<number>;
  drive?: Settled;
  coast?: Settled;
}

export const maskOf = (unit: Unit, ids: readonly string[]): number =>
  unit.elements.reduce((mask, e, k) => (ids.includes(e.id) ? mask | (1 << k) : mask), 0);

export const oneWaysOf = (unit: Unit): OneWays => ({
  all: unit.elements.reduce((mask, e, k) => (e.kind === 'one-way' ? mask | (1 << k) : mask), 0),
  reversed: 0,
});

const bitsOf = (mask: number): number[] => {
  const bits: number[] = [];
  for (let rest = mask, k = 0; rest !== 0; rest >>>= 1, k++) if (rest & 1) bits.push(k);
  return bits;
};

const maskOfBits = (bits: readonly number[]): number => bits.reduce((m, k) => m | (1 << k), 0);

function settled(
  motion: (mask: number) => Motion,
  motions: MotionsLeft<number>,
  applied: number,
  load: Load,
  { all, reversed }: OneWays,
): Settled {
  const oneWays = bitsOf(all);
  const { push, still } = oneWaysAtRest(motions, load, FLOATING);
  const resting = oneWays.filter((_k, n) => still[n]);
  const closed = applied | maskOfBits(resting);
  const turning = motion(closed);
  if (push === 0 || resting.length === 0) return { motion: turning, mask: applied };
  if (turning.outcome !== 'drives') return { motion: turning, mask: closed };
  // Most often nothing is redundant, and every one that rests carries.
  if (resting.every((k) => turning.torques[k]! !== 0 && !Number.isNaN(turning.torques[k])))
    return { motion: turning, mask: closed };
  const signsOf = (on: readonly number[]) => {
    const { torques } = motion(maskOfBits(on));
    return Array.from(torques, (t, k) =>
      Number.isNaN(t) ? null : Math.sign(t) * (reversed & (1 << k) ? -1 : 1),
    );
  };
  const mask = applied | maskOfBits(carrying(bitsOf(applied), resting, push, signsOf));
  return { motion: { ...turning, torques: motion(mask).torques }, mask };
}

/** The rows of one mask in reduced form, with what made each beside it. */
interface Eliminated {
  readonly cells: Float64Array;
  readonly rows: number;
  readonly wide: number;
  /** Row of the table in each place. */
  readonly on: readonly number[];
  /** Row in which each column leads, or −1. */
  readonly pivotRow: Int8Array;
}

/** The rows of the gear sets alone, in reduced form. */
function reducedSets({ coefficients, gearSetCount: sets, members }: CompiledTrain): Eliminated {
  const width = members.length;
  const wide = width + sets;
  const cells = new Float64Array(sets * wide);
  const on = Array.from({ length: sets }, (_v, r) => r);
  for (const r of on) {
    cells.set(coefficients.subarray(r * width, (r + 1) * width), r * wide);
    cells[r * wide + width + r] = 1;
  }
  const pivotRow = new Int8Array(width).fill(-1);
  reduce(cells, sets, width, wide, pivotRow);
  return { cells, rows: sets, wide, on, pivotRow };
}

function eliminated(
  train: CompiledTrain,
  sets: Eliminated,
  mask: number,
  space: Float64Array,
): Eliminated {
  const { coefficients, gearSetCount, elementIds } = train;
  const width = train.members.length;
  const on = [...sets.on];
  for (let e = 0; e < elementIds.length; e++) if (mask & (1 << e)) on.push(gearSetCount + e);
  const rows = on.length;
  const wide = width + rows;
  const cells = space.length >= rows * wide ? space : new Float64Array(rows * wide);
  cells.fill(0, 0, rows * wide);
  for (let r = 0; r < gearSetCount; r++)
    for (let c = 0; c < sets.wide; c++) cells[r * wide + c] = sets.cells[r * sets.wide + c]!;
  for (let r = gearSetCount; r < rows; r++) {
    const from = on[r]! * width;
    for (let c = 0; c < width; c++) cells[r * wide + c] = coefficients[from + c]!;
    cells[r * wide + width + r] = 1;
  }
  const pivotRow = sets.pivotRow.slice();
  reduce(cells, rows, width, wide, pivotRow);
  return { cells, rows, wide, on, pivotRow };
}

/** The motions that are left, each as [ω_in, ω_out, slip of each one-way clutch…]. */
function directionsOf(
  { coefficients, gearSetCount, members }: CompiledTrain,
  { cells, wide, pivotRow }: Eliminated,
  { all, reversed }: OneWays,
): number[][] {
  const width = members.length;
  const directions: number[][] = [];
  for (let free = 0; free < width; free++) {
    if (pivotRow[free]! >= 0) continue;
    const speed = (c: number) =>
      pivotRow[c]! >= 0 ? -cells[pivotRow[c]! * wide + free]! : c === free ? 1 : 0;
    const slips = bitsOf(all).map((e) => {
      const from = (gearSetCount + e) * width;
      let slip = 0;
      for (let c = 0; c < width; c++) slip = lessScaled(slip, -coefficients[from + c]!, speed(c));
      return reversed & (1 << e) ? -slip : slip;
    });
    directions.push([speed(width - 1), speed(0), ...slips]);
  }
  return directions;
}

/** Reads a motion off: in the reduced rows a number is zero or it is not, as `lessScaled` has seen to it. */
function readMotion(
  { members, gearSetCount, elementIds }: CompiledTrain,
  { cells, rows, wide, on, pivotRow }: Eliminated,
): Motion {
  const width = members.length;
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
    for (let r = rank; r < rows; r++) if (cells[r * wide + width + k] !== 0) torque = NaN;
    torques[row - gearSetCount] = torque;
  });
  return { outcome, ratio, speeds, torques };
}

/**
 * Gauss–Jordan in place.
 * @param pivotRow the row in which each column has its leading 1, or −1: those of rows that are reduced already, which stand first, and in the end all
 */
function reduce(
  a: Float64Array,
  rows: number,
  width: number,
  wide: number,
  pivotRow: Int8Array,
): void {
  let rank = 0;
  for (let c = 0; c < width; c++) if (pivotRow[c]! >= 0) rank++;
  for (let c = 0; c < width; c++) {
    let row = pivotRow[c]!;
    if (row < 0) {
      if (rank === rows) continue;
      let best = rank;
      for (let r = rank + 1; r < rows; r++)
        if (Math.abs(a[r * wide + c]!) > Math.abs(a[best * wide + c]!)) best = r;
      const lead = a[best * wide + c]!;
      if (lead === 0) continue;
      for (let k = 0; k < wide; k++) {
        const held = a[best * wide + k]!;
        a[best * wide + k] = a[rank * wide + k]!;
        a[rank * wide + k] = held / lead;
      }
      row = pivotRow[c] = rank++;
    }
    for (let r = 0; r < rows; r++) {
      const f = r === row ? 0 : a[r * wide + c]!;
      if (f === 0) continue;
      for (let k = c; k < wide; k++) {
        const b = a[row * wide + k]!;
        if (b !== 0) a[r * wide + k] = lessScaled(a[r * wide + k]!, f, b);
      }
      a[r * wide + c] = 0;
    }
  }
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
      if (pivotRow[k]! < 0 && (k !== last || !inputMoves) && a[row * wide + k] !== 0) value = NaN;
    speeds[c] = value + 0;
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
    if (pivotRow[k]! < 0 && a[row * wide + k] !== 0) outputStands = false;
  if (pivotRow[width - 1]! >= 0) return outputStands ? 'tied-up' : 'input-held';
  if (outputStands) return 'output-held';
  return Number.isNaN(speeds[0]) ? 'neutral' : 'drives';
}
