import { boxedSolver, randomFromSeed } from './index';

const SEED = 'boxed';

interface Problem {
  readonly w: Float64Array[];
  readonly b: Float64Array;
  readonly low: Float64Array;
  readonly high: Float64Array;
}

/** A random symmetric positive definite problem with boxes of every kind. */
function problem(seed: string, m: number): Problem {
  const random = randomFromSeed(seed);
  const part = () => random.whole(-1000, 1000) / 1000;
  const root = Array.from({ length: m }, () => Array.from({ length: m }, part));
  const w = root.map((r, i) =>
    Float64Array.from(root, (c, j) => r.reduce((s, v, k) => s + v * c[k]!, i === j ? 0.05 : 0)),
  );
  const b = Float64Array.from({ length: m }, part);
  const low = new Float64Array(m);
  const high = new Float64Array(m);
  for (let k = 0; k < m; k++) {
    const kind = random.whole(0, 3);
    const c = Math.abs(part()) * 2;
    low[k] = kind === 0 ? 0 : kind === 1 ? -Infinity : -c;
    high[k] = kind === 0 || kind === 1 ? Infinity : kind === 2 ? c : -c;
    if (kind === 3) low[k] = high[k]!;
  }
  return { w, b, low, high };
}

const speeds = ({ w, b }: Problem, p: Float64Array): number[] =>
  w.map((row, k) => row.reduce((s, v, j) => s + v * p[j]!, b[k]!));

/** What must hold at the answer, the box and the speed as one. */
function satisfied(q: Problem, p: Float64Array): boolean {
  const v = speeds(q, p);
  return v.every((vk, k) => {
    const [pk, lk, hk] = [p[k]!, q.low[k]!, q.high[k]!];
    const slack = 1e-7;
    if (pk < lk - slack || pk > hk + slack) return false;
    if (lk === hk) return true;
    if (Math.abs(pk - lk) <= slack) return vk >= -slack;
    if (Math.abs(pk - hk) <= slack) return vk <= slack;
    return Math.abs(vk) <= slack;
  });
}

// Slow twin: every choice of free, low and high is tried; a positive definite problem has one answer.
function byTryingAll(q: Problem): number[] | null {
  const m = q.b.length;
  for (let code = 0; code < 3 ** m; code++) {
    const choice = Array.from({ length: m }, (_v, k) => Math.floor(code / 3 ** k) % 3);
    const p = new Float64Array(m);
    const free: number[] = [];
    let bounded = true;
    choice.forEach((c, k) => {
      if (c === 0) free.push(k);
      else p[k] = c === 1 ? q.low[k]! : q.high[k]!;
      if (c !== 0 && !Number.isFinite(p[k]!)) bounded = false;
    });
    if (!bounded) continue;
    const a = free.map((i) => [
      ...free.map((j) => q.w[i]![j]!),
      -(q.b[i]! + choice.reduce((s, c, j) => (c === 0 ? s : s + q.w[i]![j]! * p[j]!), 0)),
    ]);
    const x = gauss(a);
    free.forEach((k, i) => (p[k] = x[i]!));
    if (satisfied(q, p)) return [...p];
  }
  return null;
}

function gauss(a: number[][]): number[] {
  const n = a.length;
  for (let c = 0; c < n; c++) {
    const top = a
      .slice(c)
      .reduce((t, r, k) => (Math.abs(r[c]!) > Math.abs(a[t]![c]!) ? c + k : t), c);
    [a[c], a[top]] = [a[top]!, a[c]!];
    for (let r = 0; r < n; r++) {
      if (r === c) continue;
      const share = a[r]![c]! / a[c]![c]!;
      a[r] = a[r]!.map((v, k) => v - share * a[c]![k]!);
    }
  }
  return a.map((r, k) => r[n]! / r[k]!);
}

test.each(Array.from({ length: 60 }, (_v, k) => [`${SEED} ${k}`, 1 + (k % 5)] as const))(
  'the same answer as trying every choice: %s',
  (seed, m) => {
    const q = problem(seed, m);
    const p = new Float64Array(m);
    expect(boxedSolver(q.w).solve(q.b, q.low, q.high, p)).toBeGreaterThan(0);
    const slow = byTryingAll(q);
    expect(slow).not.toBeNull();
    slow!.forEach((v, k) => expect(p[k]).toBeCloseTo(v, 6));
  },
);

test('large problems satisfy box and speed, and a kept guess takes one solve', () => {
  for (let k = 0; k < 40; k++) {
    const q = problem(`${SEED} large ${k}`, 14);
    const p = new Float64Array(14);
    const solver = boxedSolver(q.w);
    expect(solver.solve(q.b, q.low, q.high, p)).toBeGreaterThan(0);
    expect([k, satisfied(q, p)]).toEqual([k, true]);
    expect(solver.solve(q.b, q.low, q.high, p)).toBe(1);
  }
});

// By hand: one mass that slides at 3 against friction. W = 1/m with m = 2 kg; within 4 N·s it is not stopped.
test('a sliding block', () => {
  const solver = boxedSolver([Float64Array.of(0.5)]);
  const p = new Float64Array(1);
  solver.solve(Float64Array.of(3), Float64Array.of(-4), Float64Array.of(4), p);
  expect(p[0]).toBe(-4);
  solver.solve(Float64Array.of(3), Float64Array.of(-9), Float64Array.of(9), p);
  expect(p[0]).toBeCloseTo(-6, 12);
});

test('an empty problem is solved, a crooked one is refused', () => {
  const none = new Float64Array(0);
  expect(boxedSolver([]).solve(none, none, none, none)).toBe(1);
  expect(() => boxedSolver([new Float64Array(2)])).toThrow('square');
});
