import { Matrix, SVD, solve } from 'ml-matrix';
import { gearSetTerms } from '../constraints';
import { CASE, type Unit } from '../unit';

/**
 * A train stepped through time as a check on `solveUnit`, by another method and with a general-purpose library: members
 * have inertias, input and output are braked by drag, and after each step the speeds are moved to the nearest ones
 * (by kinetic energy) that gears, applied elements and one-way clutches allow.
 */
export interface SteppedTrain {
  /** Steady speeds of input and output under these torques, with these drags. */
  readonly run: (torque: Ends, drag: Ends) => Ends;
}

export interface Ends {
  readonly input: number;
  readonly output: number;
}

const STEP = 1e4;
const MOST_STEPS = 400;
const SWEEPS = 400;

export function steppedTrain(
  unit: Unit,
  applied: readonly string[],
  inertia: (k: number) => number,
): SteppedTrain {
  const names = unit.members.map((m) => m.id);
  const row = (terms: readonly { member: string; coefficient: number }[]) => {
    const cells = new Array<number>(names.length).fill(0);
    for (const t of terms) if (t.member !== CASE) cells[names.indexOf(t.member)]! += t.coefficient;
    return cells;
  };
  const joint = ([a, b]: readonly [string, string]) =>
    row([
      { member: a, coefficient: 1 },
      { member: b, coefficient: -1 },
    ]);
  const ties = [
    ...unit.gearsets.map((set) => row(gearSetTerms(set)).map((v) => v / 50)),
    ...unit.elements
      .filter((e) => e.kind !== 'one-way' && applied.includes(e.id))
      .map((e) => joint(e.between)),
  ];
  const ways = unit.elements.filter((e) => e.kind === 'one-way').map((e) => joint(e.between));
  const free = freeMotions(ties, names.length);
  const [input, output] = [names.indexOf(unit.input), names.indexOf(unit.output)];
  return {
    run(torque, drag) {
      const mass = names.map((_n, k) => inertia(k));
      const weight = mass.map(
        (m, k) => m + STEP * ((k === input ? drag.input : 0) + (k === output ? drag.output : 0)),
      );
      const move = nearest(free, ways, weight);
      let speeds = names.map(() => 0);
      for (let step = 0; step < MOST_STEPS; step++) {
        const pushed = speeds.map((w, k) => {
          const t = (k === input ? torque.input : 0) + (k === output ? torque.output : 0);
          return (mass[k]! * w + STEP * t) / weight[k]!;
        });
        const next = move(pushed);
        const change = Math.max(...next.map((w, k) => Math.abs(w - speeds[k]!)));
        speeds = next;
        if (change < 1e-13) break;
      }
      return { input: speeds[input]!, output: speeds[output]! };
    },
  };
}

function freeMotions(ties: readonly number[][], width: number): Matrix {
  if (ties.length === 0) return Matrix.eye(width);
  const padded = [
    ...ties,
    ...Array.from({ length: width }, () => new Array<number>(width).fill(0)),
  ];
  const svd = new SVD(new Matrix(padded));
  const keep = svd.diagonal.flatMap((s, k) => (s < 1e-9 ? [k] : []));
  const v = svd.rightSingularVectors;
  return new Matrix(
    Array.from({ length: width }, (_, r) => (keep.length ? keep.map((k) => v.get(r, k)) : [0])),
  );
}

/** The nearest speeds x to v with x in the span of `free` and ways·x ≥ 0, weighed by `weight`: the dual by sweeps. */
function nearest(free: Matrix, ways: readonly number[][], weight: readonly number[]) {
  const weighed = Matrix.diag([...weight]).mmul(free);
  const h = free.transpose().mmul(weighed);
  const solid = h.clone();
  for (let k = 0; k < solid.rows; k++) solid.set(k, k, solid.get(k, k) || 1);
  const inverse = solve(solid, Matrix.eye(solid.rows));
  const g = ways.length ? new Matrix(ways.map((w) => [...w])).mmul(free) : null;
  const spread = g ? inverse.mmul(g.transpose()) : null;
  const q = g && spread ? g.mmul(spread) : null;
  const lambda = ways.map(() => 0);
  return (v: readonly number[]): number[] => {
    const y = inverse.mmul(weighed.transpose().mmul(Matrix.columnVector([...v])));
    if (g && spread && q) {
      const slip = g.mmul(y).to1DArray();
      for (let sweep = 0; sweep < SWEEPS; sweep++)
        for (let i = 0; i < lambda.length; i++) {
          if (q.get(i, i) < 1e-12) continue;
          const now = lambda.reduce((sum, l, j) => sum + q.get(i, j) * l, slip[i]!);
          lambda[i] = Math.max(0, lambda[i]! - now / q.get(i, i));
        }
      y.add(spread.mmul(Matrix.columnVector(lambda)));
    }
    return free.mmul(y).to1DArray();
  };
}
