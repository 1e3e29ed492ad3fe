import { evaluate } from 'mathjs';
import { fraction, toNumber, toText } from '../numerics';
import {
  ARRANGEMENTS,
  checkTeeth,
  PORTS,
  readSet,
  roleOf,
  sameArrangement,
  shownSpeeds,
  solveSet,
  tipGap,
  toothRatio,
  withRole,
  workedSteps,
  type MathToken,
  type PlanetarySet,
  type Roles,
} from './index';

const single = (sun: number, pinion: number, ring: number, pinions = 4): PlanetarySet => ({
  kind: 'single-pinion',
  teeth: { sun, pinion, ring },
  pinions,
});
const pair = (sun: number, inner: number, outer: number, ring: number): PlanetarySet => ({
  kind: 'double-pinion',
  teeth: { sun, inner, outer, ring },
  pinions: 3,
});
const roles = (
  drives: Roles['drives'],
  driven: Roles['driven'],
  reaction = 'held' as Roles['reaction'],
) => ({
  drives,
  driven,
  reaction,
});

// Published: the planetary-train example of Shigley's Mechanical Engineering Design (sun 20, pinion 30,
// ring 80 held, sun at 100 rev/min → arm 20 rev/min the same way, pinion 33⅓ the other way). Page from memory.
test('the worked planetary example of a machine-design textbook', () => {
  const solution = solveSet(single(20, 30, 80), roles('sun', 'carrier'));
  expect(toText(solution.ratio!)).toBe('5');
  expect(100 * toNumber(solution.speeds.carrier!)).toBe(20);
  const againstCarrier = toNumber(solution.pinions[0]!.speed!) * 100;
  expect(againstCarrier + 20).toBeCloseTo(-100 / 3, 12);
});

// Published: the six ratio formulas of one set, e = Nr/Ns, as in any automatic-transmission text.
test.each([
  ['sun', 'carrier', (e: number) => 1 + e],
  ['ring', 'carrier', (e: number) => 1 + 1 / e],
  ['carrier', 'sun', (e: number) => 1 / (1 + e)],
  ['carrier', 'ring', (e: number) => 1 / (1 + 1 / e)],
  ['sun', 'ring', (e: number) => -e],
  ['ring', 'sun', (e: number) => -1 / e],
] as const)('%s drives, %s driven', (drives, driven, formula) => {
  const solution = solveSet(single(30, 20, 70), roles(drives, driven));
  expect(toNumber(solution.ratio!)).toBeCloseTo(formula(70 / 30), 12);
});

// Published: Müller, Epicyclic Drive Trains: a double-pinion set behaves as a single one with e negative.
test.each([
  ['sun', 'carrier', (e: number) => 1 - e],
  ['ring', 'carrier', (e: number) => 1 - 1 / e],
  ['sun', 'ring', (e: number) => e],
] as const)('double pinion: %s drives, %s driven', (drives, driven, formula) => {
  const solution = solveSet(pair(30, 18, 18, 78), roles(drives, driven));
  expect(toNumber(solution.ratio!)).toBeCloseTo(formula(78 / 30), 12);
});

test('any two locked turn as one; with nothing held nothing is driven', () => {
  for (const drives of ['sun', 'ring', 'carrier'] as const)
    for (const driven of (['sun', 'ring', 'carrier'] as const).filter((p) => p !== drives)) {
      expect(solveSet(single(30, 20, 70), roles(drives, driven, 'locked')).effect).toBe('direct');
      expect(solveSet(single(30, 20, 70), roles(drives, driven, 'free')).effect).toBe('neutral');
    }
});

test('shaft torques sum to zero and power in equals power out', () => {
  const setup = {
    set: single(30, 20, 70),
    roles: roles('sun', 'carrier'),
    inputSpeedRpm: 1200,
    inputTorqueNm: 150,
  };
  const reading = readSet(setup, solveSet(setup.set, setup.roles));
  expect(reading.carrier).toEqual({ speedRpm: 360, torqueNm: -500 });
  expect(reading.ring.torqueNm).toBe(350);
  const sum = Object.values(reading).reduce((s, r) => s + r.torqueNm!, 0);
  const power = Object.values(reading).reduce((s, r) => s + r.torqueNm! * r.speedRpm!, 0);
  expect([sum, power]).toEqual([0, 0]);
});

// Published: tooth conditions of planetary sets (Dudley's Handbook of Practical Gear Design; memory for the page).
test.each([
  ['buildable', single(30, 20, 70, 4), []],
  ['coaxial', single(30, 20, 71, 3), ['coaxial', 'assembly']],
  ['assembly', single(30, 20, 70, 3), ['assembly']],
  ['neighbours', single(20, 30, 80, 5), ['neighbours']],
  ['neighbours just clear', single(20, 30, 80, 4), []],
  ['pair', pair(30, 18, 18, 78), []],
  ['pair that cannot reach', pair(30, 10, 10, 78), ['pair-does-not-close']],
  ['ring below sun', single(50, 20, 40, 3), ['ring-not-larger']],
  ['just enough teeth', single(8, 8, 24, 1), []],
  ['half a tooth', single(12.5, 20, 70, 3), ['teeth-not-whole']],
  ['no teeth', single(0, -3, 1e9, 3), ['teeth-too-few', 'teeth-too-few', 'teeth-too-many']],
])('tooth conditions: %s', (_name, set, codes) => {
  expect(checkTeeth(set).map((f) => f.code)).toEqual(codes);
});

// By rolling, not by the rule (derived here): pinions stand at the same places again after 1/n turn of the carrier with the ring held; the next
// one goes in there only if the sun has gone on by whole teeth meanwhile.
test('pinions that are to be equally spaced go in just where the sun has gone on by whole teeth', () => {
  let [fits, not] = [0, 0];
  const look = (set: PlanetarySet) => {
    const turns = toNumber(solveSet(set, roles('carrier', 'sun')).speeds.sun!);
    const teeth = (set.teeth.sun * turns) / set.pinions!;
    const whole = Math.abs(teeth - Math.round(teeth)) < 1e-9;
    if (whole) fits++;
    else not++;
    const found = checkTeeth(set).some((f) => f.code === 'assembly');
    expect([set.teeth, set.pinions, found]).toEqual([set.teeth, set.pinions, !whole]);
  };
  for (let sun = 20; sun <= 31; sun++)
    for (let pinion = 14; pinion <= 21; pinion++)
      for (const pinions of [2, 3, 4, 5]) {
        look(single(sun, pinion, sun + 2 * pinion, pinions));
        look({ ...pair(sun, pinion, pinion, sun + 3 * pinion), pinions });
      }
  expect(Math.min(fits, not)).toBeGreaterThan(200);
});

test('findings carry the numbers that would do; a ratio alone is accepted', () => {
  expect(checkTeeth(single(30, 20, 71, 1))[0]).toEqual({
    code: 'coaxial',
    path: 'teeth.ring',
    values: { ring: 71, needed: 70, sun: 30, pinion: 20 },
  });
  expect(checkTeeth({ kind: 'single-pinion', teeth: { sun: 30, ring: 72 }, pinions: 3 })).toEqual(
    [],
  );
  expect(tipGap(single(30, 20, 70, 4))).toBeCloseTo(50 * Math.SQRT1_2 - 22, 12);
  // Two stand across the set from each other: twice the centre distance less a tip diameter.
  expect(tipGap(single(30, 20, 70, 2))).toBeCloseTo(2 * 25 - 22, 12);
  // One alone has no neighbour; the pairs of a double-pinion set lie as their maker wants them.
  expect(tipGap(single(30, 20, 70, 1))).toBeNull();
  expect(tipGap({ ...pair(30, 20, 20, 90), pinions: 3 })).toBeNull();
});

/** Evaluates a line's right side, as the reader would on paper. */
function value(tokens: readonly MathToken[], set: PlanetarySet): number {
  const text = tokens
    .map((t): string => {
      switch (t.t) {
        case 'number':
          return `(${t.value})`;
        case 'teeth':
          return `(${set.teeth[t.part]})`;
        case 'sign':
          return { '+': '+', '−': '-', '·': '*', '=': '=', '(': '(', ')': ')' }[t.sign];
        case 'fraction':
          return `((${value(t.over, set)})/(${value(t.under, set)}))`;
        case 'speed':
        case 'ratio':
          return 'NaN';
      }
    })
    .join('');
  return Number(evaluate(text));
}

test('every worked line from "divide" on states the same number as the solver', () => {
  for (const set of [single(30, 20, 70), pair(30, 18, 18, 78)])
    for (const r of ARRANGEMENTS) {
      const steps = workedSteps(set, r);
      expect(steps[0]!.code).toBe('constraint');
      expect(steps.at(-1)!.code).toBe('result');
      const expected = toNumber(solveSet(set, r).ratio!);
      for (const step of steps.filter((s) => ['split', 'numbers', 'result'].includes(s.code))) {
        const lastEquals = step.line.findLastIndex((t) => t.t === 'sign' && t.sign === '=');
        expect(value(step.line.slice(lastEquals + 1), set)).toBeCloseTo(expected, 12);
      }
    }
});

test('a struck-out line holds with the solved speeds', () => {
  const set = single(30, 20, 70);
  const steps = workedSteps(set, roles('carrier', 'ring'));
  expect(steps.map((s) => s.code)).toEqual([
    'constraint',
    'held',
    'struck-out',
    'divide',
    'numbers',
    'result',
  ]);
  expect(toText(solveSet(set, roles('carrier', 'ring')).ratio!)).toBe(toText(fraction(70, 100)));
});

test('a part takes a role, and the one that had it takes its place', () => {
  const reactions = ['held', 'locked', 'free'] as const;
  for (const drives of PORTS)
    for (const driven of PORTS.filter((p) => p !== drives))
      for (const reaction of reactions)
        for (const port of PORTS)
          for (const wanted of ['drives', 'driven', ...reactions] as const) {
            const before = { drives, driven, reaction };
            const now = withRole(before, port, wanted);
            expect(roleOf(now, port)).toBe(wanted);
            const rest = PORTS.map((p) => roleOf(now, p)).filter((r) => r !== wanted);
            expect(rest).toHaveLength(2);
            expect(new Set(rest).size).toBe(2);
            const isReaction = (r: string) => reactions.some((x) => x === r);
            const had = PORTS.find((p) =>
              isReaction(wanted) ? isReaction(roleOf(before, p)) : roleOf(before, p) === wanted,
            )!;
            if (had !== port) expect(roleOf(now, had)).toBe(roleOf(before, port));
          }
});

test('two setups are one arrangement: as they are named, or with any two parts locked', () => {
  for (const [k, a] of ARRANGEMENTS.entries())
    expect(ARRANGEMENTS.filter((b) => sameArrangement(a, b))).toEqual([ARRANGEMENTS[k]]);
  expect(sameArrangement(roles('sun', 'ring', 'locked'), roles('ring', 'carrier', 'locked'))).toBe(
    true,
  );
  expect(sameArrangement(roles('sun', 'ring'), roles('ring', 'sun'))).toBe(false);
});

// By hand, e = 80/20 = 4: ring held 1 : 1/5 : 0; nothing held, the load on the carrier stands and the ring runs back at 1/4.
test('speeds to show: as solved, and the load stands where nothing is held', () => {
  const set = single(20, 30, 80);
  expect(toNumber(toothRatio(set))).toBe(4);
  expect(shownSpeeds(set, roles('sun', 'carrier'))).toEqual({ sun: 1, carrier: 0.2, ring: 0 });
  expect(shownSpeeds(set, roles('sun', 'carrier', 'free'))).toEqual({
    sun: 1,
    carrier: 0,
    ring: -0.25,
  });
  expect(shownSpeeds(set, roles('sun', 'carrier', 'locked'))).toEqual({
    sun: 1,
    carrier: 1,
    ring: 1,
  });
});
