import { randomFromSeed } from '../numerics';
import type { Unit } from '../geartrain';
import { randomUnit } from '../geartrain/tests/randomUnit';
import {
  agrees,
  cheapestPlan,
  cheapestSplit,
  faultKey,
  fittingPairs,
  ARRIVES,
  nextChecks,
  oddReadings,
  priceAlone,
  readingOf,
  rigOfUnit,
  setMinutes,
  suspects,
  tellsApart,
  type Candidate,
  type Check,
  type Reading,
} from './index';
import { FAULT_SPECS, type FaultKind } from './fault';
import { AUTOMATIC, COUPLING, furnished, SIMPSON } from './tests/rigs';

const simple = furnished(rigOfUnit(SIMPSON));

test('the cheapest check that splits two, against looking at all', () => {
  const { checks } = simple.shop;
  for (const a of simple.all) {
    const found = simple.all.map((b) => cheapestSplit(checks, a, b));
    const least = simple.all.map((b) =>
      Math.min(...checks.filter((c) => tellsApart(c, a, b)).map(priceAlone)),
    );
    expect(found.map((c) => (c ? priceAlone(c) : Infinity))).toEqual(least);
  }
});

// Slow twin: every subset of the checks.
function byTryingAll(checks: readonly Check[], rows: readonly Candidate[]): number {
  const pairs = rows.flatMap((a, i) => rows.slice(i + 1).map((b) => [a, b] as const));
  const splits = pairs
    .map(([a, b]) => checks.reduce((m, c, k) => (tellsApart(c, a, b) ? m | (1 << k) : m), 0))
    .filter((m) => m !== 0);
  let best = Infinity;
  for (let mask = 0; mask < 1 << checks.length; mask++) {
    if (!splits.every((s) => (s & mask) !== 0)) continue;
    best = Math.min(best, setMinutes(checks.filter((_c, k) => mask & (1 << k))));
  }
  return best;
}

test('the cheapest plan costs what exhaustive search finds', () => {
  const random = randomFromSeed('plans');
  for (let n = 0; n < 25; n++) {
    const rows = simple.all.filter(() => random.next() < 0.2);
    const checks = simple.shop.checks.filter(() => random.next() < 0.5).slice(0, 13);
    const plan = cheapestPlan(checks, rows);
    expect(plan.exact).toBe(true);
    expect([n, plan.minutes]).toEqual([n, byTryingAll(checks, rows)]);
    for (const [a, b] of plan.inseparable)
      expect(checks.some((c) => tellsApart(c, rows[a]!, rows[b]!))).toBe(false);
  }
});

function randomRanges(seed: string): Unit {
  const random = randomFromSeed(seed);
  const drawn = randomUnit(random, true);
  const controlled = drawn.elements.filter((e) => e.kind !== 'one-way').map((e) => e.id);
  const ranges = Array.from({ length: 4 }, (_, n) => ({
    id: `D${n}`,
    lever: 'D',
    gear: String(n),
    apply: controlled.filter(() => random.next() < 0.6),
  }));
  return { ...drawn, ranges };
}

// Against brute force on random units: a fault that explains the readings is never ruled out, and the true fault's weight
// never falls on readings without noise.
test('the true fault stays, and its weight only grows', () => {
  for (let k = 0; k < 25; k++) {
    const unit = randomRanges(`diagnosis-${k}`);
    const random = randomFromSeed(`order-${k}`);
    trueFaultStays(furnished(rigOfUnit(unit)), random);
  }
});

// The same with figures: pressures, delays, stall speeds and torques that are read to a tolerance.
test.each([
  ['an automatic unit with its converter', AUTOMATIC],
  ['an all-wheel coupling', COUPLING],
])('the true fault stays: %s', (name, rig) => {
  const bench = furnished(rig);
  for (let k = 0; k < 4; k++) trueFaultStays(bench, randomFromSeed(`${name} ${k}`));
});

function trueFaultStays(
  { shop, all }: ReturnType<typeof furnished>,
  random: ReturnType<typeof randomFromSeed>,
): void {
  if (all.length === 0) return;
  const truth = all[random.whole(0, all.length - 1)]!;
  const readings: Reading[] = [];
  const weightOf = () => suspects(all, readings).find((s) => s.candidate === truth)!;
  let before = weightOf().weight;
  for (const check of shop.checks) {
    if (random.next() < 0.6) continue;
    readings.push({ check, answer: readingOf(check, truth) });
    const now = weightOf();
    expect(now.fits).toBe(true);
    expect(now.weight).toBeGreaterThanOrEqual(before - 1e-12);
    before = now.weight;
  }
  // Brute force: whoever agrees with every reading fits, and nobody else.
  const fitting = all.filter((c) =>
    readings.every((r) => agrees(r.check, r.answer, readingOf(r.check, c))),
  );
  const told = suspects(all, readings).filter((s) => s.fits);
  expect(new Set(told.map((s) => s.candidate))).toEqual(new Set(fitting));
  expect(oddReadings(all, readings)).toEqual([]);
}

test('weights add up, priors count, and a wrong reading does not rule out for ever', () => {
  const { all, shop } = simple;
  expect(suspects(all, []).reduce((s, x) => s + x.weight, 0)).toBeCloseTo(1, 12);
  const road = shop.checks.find((c) => c.id === 'road D1')!;
  const told = suspects(all, [{ check: road, answer: { word: 'neutral' } }]);
  expect(told[0]!.fits).toBe(true);
  expect(told.at(-1)!.weight).toBeGreaterThan(0);
  const of = (priors: object) =>
    suspects(all, [], priors)
      .filter((s) => s.candidate.faults[0]!.kind === 'burnt')
      .reduce((s, x) => s + x.weight, 0);
  expect(of({ burnt: 60 })).toBeGreaterThan(of({}));
  expect(of({ burnt: 0.001 })).toBeLessThan(of({}) / 100);
});

// Common practice, no source: the usual faults are told apart by how often they are met, not by how many steps they have.
test('the levels of one fault share its prior: as many levels as you like are one fault', () => {
  const { all } = simple;
  const weights = new Map<string, number>();
  for (const { candidate, weight } of suspects(all, [])) {
    const [fault] = candidate.faults;
    const key = `${fault!.target} ${fault!.kind}`;
    weights.set(key, (weights.get(key) ?? 0) + weight);
  }
  const share = (kind: FaultKind) =>
    [...weights].filter(([key]) => key === `C1 ${kind}`)[0]![1] / FAULT_SPECS[kind].prior;
  expect(FAULT_SPECS.slips.levels).toHaveLength(3);
  expect(FAULT_SPECS.burnt.levels).toBeUndefined();
  expect(share('slips')).toBeCloseTo(share('burnt'), 12);
});

// Information never hurts, and a check that reads the same for all says nothing.
test('the next check says most for its minutes', () => {
  const { all, shop } = simple;
  const known = suspects(all, []);
  const next = nextChecks(known, shop.checks, []);
  expect(next[0]!.check.removal).toBe(false);
  for (let k = 1; k < next.length; k++)
    expect(next[k]!.worth).toBeLessThanOrEqual(next[k - 1]!.worth + 1e-15);
  for (const n of next) expect(n.bits).toBeGreaterThan(0);
  expect(nextChecks(suspects(all.slice(0, 1), []), shop.checks, [])).toEqual([]);
  // With the unit out nothing is driven, and nothing is offered that would have to be.
  const out = nextChecks(known, shop.checks, [], { ...ARRIVES, unit: 'out', place: 'stands' });
  expect(out.length).toBeGreaterThan(0);
  expect(out.length).toBeLessThan(next.length);
  expect(out.filter((n) => n.check.kind === 'road')).toEqual([]);
  const done = [{ check: next[0]!.check, answer: { word: 'x' } }];
  expect(nextChecks(known, shop.checks, done).some((n) => n.check === next[0]!.check)).toBe(false);
});

// Closed form: two even suspects and a check that always tells them apart say one bit, less what a wrong reading costs.
test('one even question says one bit', () => {
  const { all, shop } = simple;
  const of = (key: string) => all.find((c) => faultKey(c.faults) === key)!;
  const two = [of('C1=burnt'), of('C2=burnt')].map((candidate) => ({
    candidate,
    weight: 0.5,
    fits: true,
  }));
  const road = shop.checks.find((c) => c.id === 'road D1')!;
  const [next] = nextChecks(two, [road], []);
  const e = 0.01;
  const share = (1 - e) / (1 - e + e);
  const left = -share * Math.log2(share) - (1 - share) * Math.log2(1 - share);
  expect(next!.bits).toBeCloseTo(1 - left, 6);
});

test('contradictory readings: the odd one is named', () => {
  const { all, shop } = simple;
  const truth = all.find((c) => faultKey(c.faults) === 'C1=will-not-apply')!;
  const readings = ['road D1', 'road D2', 'road R', 'air C1'].map((id): Reading => {
    const check = shop.checks.find((c) => c.id === id)!;
    return { check, answer: readingOf(check, truth) };
  });
  expect(oddReadings(all, readings)).toEqual([]);
  const air = shop.checks.find((c) => c.id === 'air B1')!;
  const wrong = { check: air, answer: { word: 'does-not-release' } };
  expect(oddReadings(all, [...readings, wrong])).toEqual([wrong]);
});

test('two faults at once: the true pair is among those that fit', () => {
  const { all, shop } = simple;
  const pair = [
    { target: 'C2', kind: 'burnt' as const },
    { target: 'B1', kind: 'stuck-on' as const },
  ];
  const now = shop.machine(pair);
  const readings = shop.checks
    .filter((c) => c.kind === 'road' || c.kind === 'air' || c.kind === 'pan')
    .map((check): Reading => ({ check, answer: shop.answer(now, check) }));
  expect(suspects(all, readings).some((s) => s.fits)).toBe(false);
  const fitting = [...fittingPairs(shop, readings)].map((c) => faultKey(c.faults));
  expect(fitting).toContain(faultKey(pair));
  expect(fitting.length).toBeLessThan(10);
});
