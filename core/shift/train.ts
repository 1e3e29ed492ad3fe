import { CASE, gearSetTerms, type GearSet } from '../geartrain';
import { boxedSolver, fraction, reduceRows, toNumber, ZERO } from '../numerics';

/**
 * A drivetrain over time: rigid gears, inertias, springs, and elements that rub. Velocity-level time stepping with
 * boxed impulses (published: D. E. Stewart and J. C. Trinkle, Int. J. Numer. Methods Eng. 39, 1996; memory for the
 * pages): no event is hunted for, sticking and slipping come out.
 *
 *   M·(ω⁺ − ω) = h·T + Aᵀλ + Σ jᵀ·τ·h + Jᵀp      A·ω⁺ = 0      p boxed against the slip J·ω⁺
 *
 * Gears leave by ω = N·q with N the null space of A. Springs are taken at the middle of the step,
 * τ = −k·(φ + h/4·(r + r⁺)) − d·(r + r⁺)/2, which keeps their energy to the last digits whatever the step. Works are
 * counted with the mean of both speeds, which makes work in = kinetic + sprung + heat hold exactly.
 *
 * Signs: an element's slip is the speed of its first member over its second; p acts on the first. A one-way
 * element pushes its first member forward only. Range: any step; first order where torques change within a step.
 */
export interface Spin {
  readonly id: string;
  /** kg·m², above zero. */
  readonly inertia: number;
}

export interface Rubbing {
  readonly id: string;
  readonly between: readonly [string, string];
  /** `one-way` pushes only. */
  readonly kind: 'both-ways' | 'one-way';
}

export interface Spring {
  readonly id: string;
  readonly between: readonly [string, string];
  /** N·m/rad and N·m·s/rad. */
  readonly stiffness: number;
  readonly damping: number;
}

export interface TrainSpec {
  readonly members: readonly Spin[];
  readonly gearsets: readonly GearSet[];
  readonly elements: readonly Rubbing[];
  readonly springs: readonly Spring[];
}

/** Where a train is now. Arrays are in the order of the spec; they are written in place by each step. */
export interface TrainState {
  readonly speeds: Float64Array;
  readonly twists: Float64Array;
  /** Slip of each element, rad/s, and its torque in the last step, N·m. */
  readonly slips: Float64Array;
  readonly torques: Float64Array;
  /** J in the last step: rubbed away in each element, and lost in dampers. */
  readonly heats: Float64Array;
  readonly work: { outside: number; damped: number };
}

export interface Train {
  /** At these speeds, made to agree with the gears; twists at rest. @param speeds rad/s by member */
  readonly start: (speeds: ReadonlyMap<string, number>) => TrainState;
  /**
   * One step of `h` as given to `train`.
   * @param torques N·m from outside on each member @param capacities N·m of each element, 0 or above
   * @returns false when no impulses satisfy the bounds, or a number is no longer finite: the state is as before
   */
  readonly step: (state: TrainState, torques: Float64Array, capacities: Float64Array) => boolean;
  /** J in members and in springs. */
  readonly energy: (state: TrainState) => { kinetic: number; sprung: number };
  readonly indexOf: ReadonlyMap<string, number>;
}

/** A tiny give of every element, as a share of the least mobility, so that doubled elements share their load. */
const GIVE = 1e-9;

/** @throws Error on a step or an inertia that is not above zero, or a port that names no member */
export function train(spec: TrainSpec, h: number): Train {
  if (!(h > 0)) throw new Error(`train: expected a step above zero, got ${h}`);
  const { members, elements, springs } = spec;
  const n = members.length;
  const indexOf = new Map(members.map((m, k) => [m.id, k]));
  for (const m of members)
    if (!(m.inertia > 0))
      throw new Error(`train: expected an inertia of "${m.id}", got ${m.inertia}`);
  const row = (between: readonly [string, string]): Float64Array => {
    const r = new Float64Array(n);
    between.forEach((id, k) => {
      if (id === CASE) return;
      const at = indexOf.get(id);
      if (at === undefined) throw new Error(`train: expected a member, got "${id}"`);
      r[at]! += k === 0 ? 1 : -1;
    });
    return r;
  };
  const basis = nullSpace(spec, indexOf);
  const q = basis.length;
  const reduce = (r: Float64Array): Float64Array =>
    Float64Array.from(basis, (column) => dot(column, r));
  const springRows = springs.map((s) => row(s.between));
  const elementRows = elements.map((e) => row(e.between));
  const reducedElements = elementRows.map(reduce);
  const reducedSprings = springRows.map(reduce);
  const drag = springs.map((s) => h * ((s.stiffness * h) / 4 + s.damping / 2));
  const mass = matrix(q, (i, j) =>
    members.reduce((sum, m, k) => sum + basis[i]![k]! * m.inertia * basis[j]![k]!, 0),
  );
  const coupled = (sign: number) =>
    matrix(q, (i, j) =>
      reducedSprings.reduce((sum, s, k) => sum + sign * drag[k]! * s[i]! * s[j]!, mass[i]![j]!),
    );
  const inverse = invert(coupled(1));
  const before = coupled(-1);
  const m = elements.length;
  // One column of A⁺⁻¹·Jᵀ for each element, and W = J·A⁺⁻¹·Jᵀ.
  const answers = reducedElements.map((j) => times(inverse, j));
  const w = matrix(m, (i, j) => dot(reducedElements[i]!, answers[j]!));
  const least = Math.min(...w.map((r, k) => r[k]!).filter((v) => v > 0), Infinity);
  w.forEach((r, k) => (r[k]! += GIVE * (Number.isFinite(least) ? least : 1)));
  const solver = boxedSolver(w);
  const [b, low, high, p] = [0, 0, 0, 0].map(() => new Float64Array(m)) as Four;
  const [force, coordinates, next, load] = [n, q, q, q].map((k) => new Float64Array(k)) as Four;
  const nextSpeeds = new Float64Array(n);

  // Each column of N belongs to a member of its own, whose speed is the coordinate.
  const freeMember = basis.map((column, k) =>
    column.findIndex((v, i) => v === 1 && basis.every((c, j) => j === k || c[i] === 0)),
  );

  function step(state: TrainState, torques: Float64Array, capacities: Float64Array): boolean {
    const { speeds, twists, slips } = state;
    for (let k = 0; k < n; k++) force[k] = h * torques[k]!;
    for (let s = 0; s < springs.length; s++) {
      const impulse = h * springs[s]!.stiffness * twists[s]!;
      const r = springRows[s]!;
      for (let k = 0; k < n; k++) force[k]! -= impulse * r[k]!;
    }
    for (let i = 0; i < q; i++) coordinates[i] = speeds[freeMember[i]!]!;
    for (let i = 0; i < q; i++) {
      let sum = dot(basis[i]!, force);
      for (let j = 0; j < q; j++) sum += before[i]![j]! * coordinates[j]!;
      load[i] = sum;
    }
    for (let i = 0; i < q; i++) next[i] = dot(inverse[i]!, load);
    for (let e = 0; e < m; e++) {
      const c = capacities[e]! * h;
      b[e] = dot(reducedElements[e]!, next);
      low[e] = elements[e]!.kind === 'one-way' ? 0 : -c;
      high[e] = c;
    }
    if (m > 0 && solver.solve(b, low, high, p) < 0) return false;
    for (let e = 0; e < m; e++) for (let i = 0; i < q; i++) next[i]! += answers[e]![i]! * p[e]!;
    for (let k = 0; k < n; k++) {
      let sum = 0;
      for (let i = 0; i < q; i++) sum += basis[i]![k]! * next[i]!;
      if (!Number.isFinite(sum)) return false;
      nextSpeeds[k] = sum;
    }
    let outside = 0;
    for (let k = 0; k < n; k++) outside += (h * torques[k]! * (speeds[k]! + nextSpeeds[k]!)) / 2;
    let damped = 0;
    for (let s = 0; s < springs.length; s++) {
      const mean = (dot(springRows[s]!, speeds) + dot(springRows[s]!, nextSpeeds)) / 2;
      damped += h * springs[s]!.damping * mean * mean;
      twists[s]! += h * mean;
    }
    for (let e = 0; e < m; e++) {
      const slip = dot(elementRows[e]!, nextSpeeds);
      state.heats[e] = (-p[e]! * (slips[e]! + slip)) / 2;
      state.torques[e] = p[e]! / h;
      slips[e] = slip;
    }
    speeds.set(nextSpeeds);
    state.work.outside = outside;
    state.work.damped = damped;
    return true;
  }

  return {
    indexOf,
    step,
    start(given) {
      const speeds = new Float64Array(n);
      // The free members take the speeds given; the gears tell the rest.
      freeMember.forEach((at, k) => {
        const value = given.get(members[at]!.id) ?? 0;
        for (let i = 0; i < n; i++) speeds[i]! += basis[k]![i]! * value;
      });
      return {
        speeds,
        twists: new Float64Array(springs.length),
        slips: Float64Array.from(elementRows, (r) => dot(r, speeds)),
        torques: new Float64Array(m),
        heats: new Float64Array(m),
        work: { outside: 0, damped: 0 },
      };
    },
    energy: ({ speeds, twists }) => ({
      kinetic: members.reduce((sum, s, k) => sum + (s.inertia * speeds[k]! ** 2) / 2, 0),
      sprung: springs.reduce((sum, s, k) => sum + (s.stiffness * twists[k]! ** 2) / 2, 0),
    }),
  };
}

type Four = [Float64Array, Float64Array, Float64Array, Float64Array];

/** Columns of N in A·N = 0, each with a 1 at a member of its own; exact until here. */
function nullSpace(
  { members, gearsets }: TrainSpec,
  indexOf: ReadonlyMap<string, number>,
): Float64Array[] {
  const n = members.length;
  const rows = gearsets.map((set) => {
    const r = Array.from({ length: n }, () => ZERO);
    for (const { member, coefficient } of gearSetTerms(set)) {
      if (member === CASE) continue;
      const at = indexOf.get(member);
      if (at === undefined) throw new Error(`train: expected a member, got "${member}"`);
      r[at] = fraction(r[at]!.num + BigInt(coefficient));
    }
    return r;
  });
  const { rows: reduced, pivots } = reduceRows(rows, n);
  const free = members.map((_m, k) => k).filter((k) => !pivots.includes(k));
  return free.map((column) => {
    const v = new Float64Array(n);
    v[column] = 1;
    pivots.forEach((pivot, r) => (v[pivot] = -toNumber(reduced[r]![column]!)));
    return v;
  });
}

const matrix = (size: number, at: (i: number, j: number) => number): Float64Array[] =>
  Array.from({ length: size }, (_r, i) => Float64Array.from({ length: size }, (_c, j) => at(i, j)));

const dot = (a: Float64Array, b: Float64Array): number => {
  let sum = 0;
  for (let k = 0; k < a.length; k++) sum += a[k]! * b[k]!;
  return sum;
};

const times = (a: readonly Float64Array[], v: Float64Array): Float64Array =>
  Float64Array.from(a, (r) => dot(r, v));

/** Inverse of a positive definite matrix by Gauss–Jordan (small sizes only). */
function invert(a: readonly Float64Array[]): Float64Array[] {
  const n = a.length;
  const work = a.map((r, i) => Float64Array.from([...r, ...a.map((_v, j) => (i === j ? 1 : 0))]));
  for (let c = 0; c < n; c++) {
    let top = c;
    for (let r = c; r < n; r++) if (Math.abs(work[r]![c]!) > Math.abs(work[top]![c]!)) top = r;
    [work[c], work[top]] = [work[top]!, work[c]!];
    const pivot = work[c]![c]!;
    if (!(Math.abs(pivot) > 0)) throw new Error('train: the inertias leave a free motion massless');
    for (let j = 0; j < 2 * n; j++) work[c]![j]! /= pivot;
    for (let r = 0; r < n; r++) {
      const share = work[r]![c]!;
      if (r === c || share === 0) continue;
      for (let j = 0; j < 2 * n; j++) work[r]![j]! -= share * work[c]![j]!;
    }
  }
  return work.map((r) => r.slice(n));
}
