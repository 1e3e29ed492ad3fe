import { nullVector, PIVOT_SHARE } from '../numerics';
import { elementTerms, gearSetTerms, type Term } from './constraints';
import { CASE, type Unit } from './unit';

/**
 * Speeds in floating point, for work repeated many times: the fast twin of `solveUnit` for units whose
 * one-way clutches are given as held or open. Compile once, solve often; nothing is allocated in a solve.
 */
export interface CompiledTrain {
  /** The output stands first and the input last; speeds come out in this order. */
  readonly members: readonly string[];
  readonly elementIds: readonly string[];
  /** One row a gear set, then one row an element; row-major, `members.length` wide. */
  readonly coefficients: Float64Array;
  readonly gearSetCount: number;
  /** A pivot this small counts as zero. */
  readonly zero: number;
  readonly scratch: Float64Array;
}

/** @throws Error when a port names no member. */
export function compileTrain(unit: Unit): CompiledTrain {
  const others = unit.members
    .map((m) => m.id)
    .filter((id) => id !== CASE && id !== unit.input && id !== unit.output);
  const members = [...(unit.output === unit.input ? [] : [unit.output]), ...others, unit.input];
  const terms: Term[][] = [...unit.gearsets.map(gearSetTerms), ...unit.elements.map(elementTerms)];
  const width = members.length;
  const coefficients = new Float64Array(terms.length * width);
  terms.forEach((row, r) => {
    for (const { member, coefficient } of row) {
      if (member === CASE) continue;
      const column = members.indexOf(member);
      if (column < 0) throw new Error(`compileTrain: expected a known member, got "${member}"`);
      coefficients[r * width + column]! += coefficient;
    }
  });
  return {
    members,
    elementIds: unit.elements.map((e) => e.id),
    coefficients,
    gearSetCount: unit.gearsets.length,
    zero: PIVOT_SHARE * coefficients.reduce((most, v) => Math.max(most, Math.abs(v)), 0),
    scratch: new Float64Array(terms.length * width),
  };
}

/**
 * @param closed  bit k set: element k of the unit is applied (or holds)
 * @param out     receives ω/ω_in of each member in the order of `train.members`
 * @returns true when every speed follows from the input's; otherwise `out` is undefined
 */
export function solveSpeeds(train: CompiledTrain, closed: number, out: Float64Array): boolean {
  const width = train.members.length;
  const { coefficients, scratch, gearSetCount } = train;
  let rows = gearSetCount;
  for (let k = 0; k < gearSetCount * width; k++) scratch[k] = coefficients[k]!;
  for (let e = 0; e < train.elementIds.length; e++) {
    if (!(closed & (1 << e))) continue;
    const from = (gearSetCount + e) * width;
    for (let k = 0; k < width; k++) scratch[rows * width + k] = coefficients[from + k]!;
    rows++;
  }
  return nullVector(scratch, rows, width, train.zero, out);
}
