import fc from 'fast-check';
import type { GearSet } from '../geartrain';
import { odexSolver } from '../vehicle/tests/odex';
import { train, type Rubbing, type TrainSpec } from './index';

/** The same cases every time. */
const SEED = 20261125;

const two = (i1: number, i2: number, kind: Rubbing['kind'] = 'both-ways'): TrainSpec => ({
  members: [
    { id: 'a', inertia: i1 },
    { id: 'b', inertia: i2 },
  ],
  gearsets: [],
  elements: [{ id: 'k', between: ['a', 'b'], kind }],
  springs: [],
});

/** Steps until the slip is gone or the time is up. */
function slipOut(
  spec: TrainSpec,
  h: number,
  start: ReadonlyMap<string, number>,
  torques: readonly number[],
  capacity: (slip: number) => number,
  most = 5,
) {
  const machine = train(spec, h);
  const state = machine.start(start);
  let [time, heat, work] = [0, 0, 0];
  let all = true;
  const before = machine.energy(state).kinetic;
  while (Math.abs(state.slips[0]!) > 1e-9 && time < most) {
    all &&= machine.step(
      state,
      Float64Array.from(torques),
      Float64Array.of(capacity(state.slips[0]!)),
    );
    time += h;
    heat += state.heats[0]!;
    work += state.work.outside;
  }
  expect(all).toBe(true);
  return { time, heat, work, state, gained: machine.energy(state).kinetic - before };
}

// Published: Shigley, chapter on clutches: t = Δω / [(Tc − Te)/I₁ + (Tc − TL)/I₂]; with Te on the first and −TL on the
// second. By hand: I₁ 0.3, I₂ 1.2, Δω 100, Te 60, TL 40, Tc 200: t = 100/(140/0.3 + 160/1.2) = 0.16667 s.
test('slip time of two inertias under steady torques', () => {
  const closed = 100 / (140 / 0.3 + 160 / 1.2);
  expect(closed).toBeCloseTo(0.166667, 5);
  for (const h of [1e-3, 1e-4]) {
    const run = slipOut(two(0.3, 1.2), h, new Map([['a', 100]]), [60, -40], () => 200);
    expect(Math.abs(run.time - closed)).toBeLessThanOrEqual(h);
  }
});

// Published: Shigley: with no outside torque the heat is ½·I₁·I₂/(I₁ + I₂)·Δω², whatever the clutch's torque.
test('heat of two inertias does not depend on how fast they are brought together', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.05, max: 5, noNaN: true }),
      fc.double({ min: 0.05, max: 5, noNaN: true }),
      fc.double({ min: 10, max: 400, noNaN: true }),
      fc.double({ min: 20, max: 2000, noNaN: true }),
      (i1, i2, slip, capacity) => {
        const run = slipOut(two(i1, i2), 1e-3, new Map([['a', slip]]), [0, 0], () => capacity, 60);
        const closed = ((i1 * i2) / (i1 + i2) / 2) * slip * slip;
        expect(Math.abs(run.heat - closed) / closed).toBeLessThan(1e-9);
      },
    ),
    { seed: SEED, numRuns: 40 },
  );
});

// Order of the scheme: capacity that falls with slip changes within a step, and there halving the step halves the error.
// Closed form for C = c₀ + c₁·s: ds/dt = −(c₀ + c₁·s)·k, so s(t) = (s₀ + c₀/c₁)·e^{−c₁kt} − c₀/c₁.
test('halving the step halves the error', () => {
  const [i1, i2, s0, c0, c1] = [0.3, 1.2, 100, 80, -0.4];
  const k = 1 / i1 + 1 / i2;
  const at = (t: number) => (s0 + c0 / c1) * Math.exp(-c1 * k * t) - c0 / c1;
  const T = 0.2;
  const error = (h: number) => {
    const machine = train(two(i1, i2), h);
    const state = machine.start(new Map([['a', s0]]));
    for (let n = 0; n < Math.round(T / h); n++)
      machine.step(state, new Float64Array(2), Float64Array.of(c0 + c1 * state.slips[0]!));
    return state.slips[0]! - at(T);
  };
  const errors = [4e-3, 2e-3, 1e-3, 5e-4].map((h) => Math.abs(error(h)));
  for (let n = 1; n < errors.length; n++) {
    expect(errors[n - 1]! / errors[n]!).toBeGreaterThan(1.8);
    expect(errors[n - 1]! / errors[n]!).toBeLessThan(2.2);
  }
});

// Reference: a general-purpose extrapolation solver (odex), its event found by hand here: the slip is integrated until
// it is gone (by halving on the end time), then both go on as one.
test('an engagement with an engine that gives less the faster it turns, against an ODE library', () => {
  const [i1, i2, load] = [0.25, 0.9, 35];
  const engine = (w: number) => 150 - 0.3 * w;
  const capacity = (slip: number) => 260 - 0.5 * slip;
  const sliding = (_t: number, [a, b]: number[]) => {
    const c = capacity(a! - b!);
    return [(engine(a!) - c) / i1, (c - load) / i2];
  };
  const solver = odexSolver(2, 1e-10);
  const start = [220, 20];
  const slipAt = (t: number) => {
    const { y } = solver.solve(sliding, 0, [...start], t);
    return { slip: y[0]! - y[1]!, y };
  };
  let [low, high] = [0, 1];
  for (let n = 0; n < 45; n++) {
    const middle = (low + high) / 2;
    if (slipAt(middle).slip > 0) low = middle;
    else high = middle;
  }
  const lockedAt = low;
  const at = slipAt(lockedAt).y;
  const locked = odexSolver(1, 1e-10).solve(
    (_t, [w]) => [(engine(w!) - load) / (i1 + i2)],
    lockedAt,
    [at[0]!],
    1,
  ).y[0]!;
  const h = 1e-4;
  const machine = train(two(i1, i2), h);
  const state = machine.start(
    new Map([
      ['a', 220],
      ['b', 20],
    ]),
  );
  let mine = Infinity;
  for (let n = 0; n < 1 / h; n++) {
    machine.step(
      state,
      Float64Array.of(engine(state.speeds[0]!), -load),
      Float64Array.of(capacity(Math.abs(state.slips[0]!))),
    );
    if (mine === Infinity && Math.abs(state.slips[0]!) < 1e-9) mine = (n + 1) * h;
  }
  expect(Math.abs(mine - lockedAt)).toBeLessThan(3 * h);
  expect(Math.abs(state.speeds[0]! - locked) / locked).toBeLessThan(2e-4);
});

// Reference: the same library on a shaft that twists behind the clutch; the event (no slip left) found by hand again,
// and beyond it engine and gear go on as one.
test('an engagement onto a twisting shaft, against an ODE library', () => {
  const [i1, i2, i3, k, d, c] = [0.3, 0.05, 2, 400, 1.5, 150];
  const spec: TrainSpec = {
    members: [
      { id: 'e', inertia: i1 },
      { id: 'g', inertia: i2 },
      { id: 'v', inertia: i3 },
    ],
    gearsets: [],
    elements: [{ id: 'k', between: ['e', 'g'], kind: 'both-ways' }],
    springs: [{ id: 's', between: ['g', 'v'], stiffness: k, damping: d }],
  };
  const sliding = (_t: number, [, g, v, twist]: number[]) => {
    const shaft = k * twist! + d * (g! - v!);
    return [(20 - c) / i1, (c - shaft) / i2, (shaft - 5) / i3, g! - v!];
  };
  const at = (t: number) => odexSolver(4, 1e-10).solve(sliding, 0, [120, 0, 0, 0], t).y;
  // The slip swings with the shaft: the first time that it is gone, coarsely, then by halving.
  let high = 0.001;
  while (at(high)[0]! > at(high)[1]!) high += 0.001;
  let low = high - 0.001;
  for (let n = 0; n < 40; n++) {
    const middle = (low + high) / 2;
    const y = at(middle);
    if (y[0]! > y[1]!) low = middle;
    else high = middle;
  }
  const locked = at(low);
  const end = low + 0.02;
  const reference = odexSolver(3, 1e-10).solve(
    (_t, [g, v, twist]) => {
      const shaft = k * twist! + d * (g! - v!);
      return [(20 - shaft) / (i1 + i2), (shaft - 5) / i3, g! - v!];
    },
    low,
    locked.slice(1),
    end,
  ).y;
  const h = 1e-5;
  const machine = train(spec, h);
  const state = machine.start(new Map([['e', 120]]));
  let mine = Infinity;
  for (let n = 0; n < Math.round(end / h); n++) {
    machine.step(state, Float64Array.of(20, 0, -5), Float64Array.of(c));
    if (mine === Infinity && Math.abs(state.slips[0]!) < 1e-9) mine = (n + 1) * h;
  }
  expect(Math.abs(mine - low)).toBeLessThan(3 * h);
  expect(Math.abs(state.speeds[1]! - reference[0]!)).toBeLessThan(0.05);
  expect(Math.abs(state.speeds[2]! - reference[1]!)).toBeLessThan(0.05);
  expect(state.twists[0]).toBeCloseTo(reference[2]!, 3);
});

const planet: GearSet = {
  id: 'P',
  kind: 'single-pinion',
  sun: 's',
  carrier: 'c',
  ring: 'r',
  teeth: { sun: 30, ring: 70 },
};
const geared = (elements: readonly Rubbing[]): TrainSpec => ({
  members: [
    { id: 's', inertia: 0.1 },
    { id: 'r', inertia: 0.05 },
    { id: 'c', inertia: 1.5 },
  ],
  gearsets: [planet],
  elements,
  springs: [{ id: 'x', between: ['c', 'case'], stiffness: 50, damping: 0.2 }],
});

// First law: work in = kinetic + sprung + heat + damped, to rounding, for any capacities, any torques and any step.
test('the energy balance closes to rounding, whatever rubs', () => {
  const elements: Rubbing[] = [
    { id: 'b', between: ['r', 'case'], kind: 'both-ways' },
    { id: 'k', between: ['s', 'c'], kind: 'both-ways' },
    { id: 'f', between: ['r', 'case'], kind: 'one-way' },
  ];
  const torque = fc.double({ min: -300, max: 300, noNaN: true });
  fc.assert(
    fc.property(
      fc.array(fc.tuple(torque, torque, fc.nat(200), fc.nat(200)), { minLength: 5, maxLength: 40 }),
      fc.constantFrom(1e-4, 1e-3, 1e-2),
      (steps, h) => {
        const machine = train(geared(elements), h);
        const state = machine.start(
          new Map([
            ['s', 80],
            ['c', 10],
          ]),
        );
        const begin = machine.energy(state);
        const total = { work: 0, heat: 0, damped: 0, moved: 0 };
        for (const [s, c, brake, clutch] of steps) {
          const caps = Float64Array.of(brake, clutch, Infinity);
          expect(machine.step(state, Float64Array.of(s, 0, c), caps)).toBe(true);
          total.work += state.work.outside;
          total.damped += state.work.damped;
          total.heat += state.heats.reduce((a, b) => a + b, 0);
          total.moved += Math.abs(state.work.outside);
          // Gears hold.
          const gear = 30 * state.speeds[0]! + 70 * state.speeds[1]! - 100 * state.speeds[2]!;
          expect(Math.abs(gear)).toBeLessThan(1e-6);
        }
        const end = machine.energy(state);
        const kept = end.kinetic - begin.kinetic + end.sprung - begin.sprung;
        const scale = total.moved + begin.kinetic;
        // What rubs gives no energy, but for a step in which the slip changes its sign.
        expect(total.heat / scale).toBeGreaterThan(-1e-3);
        expect(Math.abs(total.work - kept - total.heat - total.damped) / scale).toBeLessThan(1e-7);
      },
    ),
    { seed: SEED, numRuns: 40 },
  );
});

// Trade fact: a one-way clutch runs over one way and locks the other.
test('a one-way element lets its first member run on and catches it', () => {
  const run = (torque: number) => {
    const machine = train(two(1, 2, 'one-way'), 1e-3);
    const state = machine.start(new Map());
    for (let n = 0; n < 1000; n++)
      machine.step(state, Float64Array.of(torque, 0), Float64Array.of(Infinity));
    return state;
  };
  const over = run(10);
  expect(over.speeds[0]).toBeCloseTo(10, 9);
  expect(over.speeds[1]).toBe(0);
  expect(over.torques[0]).toBe(0);
  // Pushed back, both turn as one: −10/(1 + 2) rad/s².
  const held = run(-10);
  expect(held.speeds[0]).toBeCloseTo(-10 / 3, 6);
  expect(held.speeds[1]).toBeCloseTo(-10 / 3, 6);
  expect(held.torques[0]).toBeCloseTo(20 / 3, 5);
});

// Closed form: a free spring keeps its energy whatever the step; ω = √(k/I) in the limit.
test('an undamped spring neither gains nor loses', () => {
  const spec: TrainSpec = {
    members: [{ id: 'm', inertia: 0.5 }],
    gearsets: [],
    elements: [],
    springs: [{ id: 's', between: ['m', 'case'], stiffness: 800, damping: 0 }],
  };
  for (const h of [1e-3, 0.05, 1]) {
    const machine = train(spec, h);
    const state = machine.start(new Map([['m', 3]]));
    const energy = () => machine.energy(state).kinetic + machine.energy(state).sprung;
    const before = energy();
    for (let n = 0; n < 500; n++) machine.step(state, new Float64Array(1), new Float64Array(0));
    expect(Math.abs(energy() - before) / before).toBeLessThan(1e-9);
  }
  const h = 1e-4;
  const machine = train(spec, h);
  const state = machine.start(new Map([['m', 3]]));
  const quarter = Math.PI / 2 / Math.sqrt(800 / 0.5);
  for (let n = 0; n < Math.round(quarter / h); n++)
    machine.step(state, new Float64Array(1), new Float64Array(0));
  expect(Math.abs(state.speeds[0]!)).toBeLessThan(0.01);
});

test('doubled brakes share, and a bad step leaves everything as it was', () => {
  const spec = geared([
    { id: 'b1', between: ['r', 'case'], kind: 'both-ways' },
    { id: 'b2', between: ['r', 'case'], kind: 'both-ways' },
  ]);
  const machine = train(spec, 1e-3);
  const state = machine.start(new Map());
  machine.step(state, Float64Array.of(50, 0, 0), Float64Array.of(Infinity, Infinity));
  expect(state.torques[0]).toBeCloseTo(state.torques[1]!, 3);
  const kept = [...state.speeds];
  expect(machine.step(state, Float64Array.of(NaN, 0, 0), Float64Array.of(1, 1))).toBe(false);
  expect([...state.speeds]).toEqual(kept);
  expect(() => train(spec, 0)).toThrow('step');
  expect(() => train({ ...spec, members: [{ id: 's', inertia: 0 }] }, 1)).toThrow('inertia');
  expect(() =>
    train({ ...spec, elements: [{ id: 'q', between: ['z', 'case'], kind: 'one-way' }] }, 1),
  ).toThrow('z');
});
