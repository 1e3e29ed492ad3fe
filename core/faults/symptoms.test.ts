import { randomFromSeed } from '../numerics';
import type { Unit } from '../geartrain';
import { randomUnit } from '../geartrain/tests/randomUnit';
import { ravigneaux, simpson } from '../geartrain/tests/textbookUnits';
import {
  chartReason,
  checksOf,
  cheapestPlan,
  cheapestSplit,
  faultKey,
  lookAlikes,
  nextChecks,
  oddReadings,
  readingOf,
  signatureOf,
  suspects,
  symptomTable,
  type Check,
  type Fault,
  type Reading,
  type SymptomRow,
} from './index';

const SIMPSON: Unit = {
  ...simpson(33, 72),
  ranges: [
    { id: 'D1', lever: 'D', gear: '1', apply: ['C1'] },
    { id: 'D2', lever: 'D', gear: '2', apply: ['C1', 'B1'] },
    { id: 'D3', lever: 'D', gear: '3', apply: ['C1', 'C2'] },
    { id: 'L1', lever: '1', gear: '1', apply: ['C1', 'B2'] },
    { id: 'R', lever: 'R', gear: 'R', apply: ['C2', 'B2'] },
  ],
};
const RAVIGNEAUX: Unit = {
  ...ravigneaux(30, 36, 78),
  ranges: [
    { id: 'D1', lever: 'D', gear: '1', apply: ['Ca', 'Bc'] },
    { id: 'D2', lever: 'D', gear: '2', apply: ['Ca', 'Bb'] },
    { id: 'D3', lever: 'D', gear: '3', apply: ['Ca', 'Cb'] },
    { id: 'D4', lever: 'D', gear: '4', apply: ['Cc', 'Bb'] },
    { id: 'R', lever: 'R', gear: 'R', apply: ['Cb', 'Bc'] },
  ],
};

const drives = (unit: Unit, target: string, kind: Fault['kind']) =>
  symptomTable(unit, [{ target, kind }]).rows[0]!.cells.map((c) => c.drive);
const coasts = (unit: Unit, target: string, kind: Fault['kind']) =>
  symptomTable(unit, [{ target, kind }]).rows[0]!.cells.map((c) => c.coast);

/*
 * Hand-derived, Simpson arrangement with equal sets (common practice, no source; derived here, not copied from output).
 * C1 joins input and front ring, C2 input and sun shell, B1 holds the sun, B2 holds the rear carrier, F1 stops the rear
 * carrier from turning backward. Low: C1 pushes the front ring, the sun is driven backward, the rear carrier wants to go
 * backward and F1 holds it (B2 beside it in L). Second: the sun stands, the rear carrier runs forward. Third: all as one.
 * Reverse: C2 drives the sun, B2 holds the rear carrier.
 *
 *   C1 gone   1 2 3 L neutral, R good            C2 gone   3 falls back to first (F1 still holds), R neutral
 *   B1 gone   2 falls back to first               B2 gone   L drives by F1 but does not brake, R neutral
 *   F1 gone   1 neutral; 2 3 L R good             B1 stuck  1 becomes second; 3 binds (sun held and driven);
 *                                                           L: carrier and sun held, binds; R binds
 */
test('the symptom table of the Simpson arrangement, derived by hand', () => {
  const [ok, no, low, bind] = ['right', 'neutral', 'wrong-ratio', 'binds'] as const;
  expect(drives(SIMPSON, 'C1', 'will-not-apply')).toEqual([no, no, no, no, ok]);
  expect(drives(SIMPSON, 'C2', 'will-not-apply')).toEqual([ok, ok, low, ok, no]);
  expect(drives(SIMPSON, 'B1', 'will-not-apply')).toEqual([ok, low, ok, ok, ok]);
  expect(drives(SIMPSON, 'B2', 'will-not-apply')).toEqual([ok, ok, ok, ok, no]);
  expect(coasts(SIMPSON, 'B2', 'will-not-apply')[3]).toBe('no-braking');
  expect(drives(SIMPSON, 'F1', 'will-not-hold')).toEqual([no, ok, ok, ok, ok]);
  expect(drives(SIMPSON, 'B1', 'stuck-on')).toEqual([low, ok, bind, bind, bind]);
  // Falling back to first: the ratio of first, 2 + ρ with ρ = 33/72.
  const third = symptomTable(SIMPSON, [{ target: 'C2', kind: 'will-not-apply' }]).rows[0]!
    .cells[2]!;
  expect(third.ratio).toBeCloseTo(2 + 33 / 72, 9);
  // A seized low one-way clutch brakes in first, and binds where its carrier has to turn.
  expect(drives(SIMPSON, 'F1', 'seized')).toEqual([ok, bind, bind, ok, ok]);
  expect(coasts(SIMPSON, 'F1', 'seized')[0]).toBe('brakes');
});

/*
 * Hand-derived, Ravigneaux arrangement without one-way clutches. Ca small sun, Cb large sun, Cc carrier in; Bb holds the
 * large sun, Bc the carrier. Each range needs both of its elements, so whatever is gone leaves its ranges neutral; stuck on,
 * it binds with the two others where three conditions meet two freedoms.
 */
test('the symptom table of the Ravigneaux arrangement, derived by hand', () => {
  const [ok, no, bind] = ['right', 'neutral', 'binds'] as const;
  expect(drives(RAVIGNEAUX, 'Ca', 'will-not-apply')).toEqual([no, no, no, ok, ok]);
  expect(drives(RAVIGNEAUX, 'Cb', 'will-not-apply')).toEqual([ok, ok, no, ok, no]);
  expect(drives(RAVIGNEAUX, 'Cc', 'will-not-apply')).toEqual([ok, ok, ok, no, ok]);
  expect(drives(RAVIGNEAUX, 'Bb', 'will-not-apply')).toEqual([ok, no, ok, no, ok]);
  expect(drives(RAVIGNEAUX, 'Bc', 'will-not-apply')).toEqual([no, ok, ok, ok, no]);
  expect(drives(RAVIGNEAUX, 'Bb', 'stuck-on')).toEqual([bind, ok, bind, ok, bind]);
  expect(drives(RAVIGNEAUX, 'Bc', 'stuck-on')).toEqual([ok, bind, bind, bind, ok]);
  // Three clutches that join the input: already one piece in third, so the third clutch changes nothing there.
  expect(drives(RAVIGNEAUX, 'Cc', 'stuck-on')[2]).toBe('right');
});

// Facts of the trade: an air check tells a clutch that does not apply from one that does not let go; by hand a one-way
// clutch turns one way only; a stripped link is seen.
test('what each check reads of each fault', () => {
  const read = (id: string, target: string, kind: Fault['kind']) => {
    const check = checksOf(SIMPSON).find((c) => c.id === id)!;
    return readingOf(check, symptomTable(SIMPSON, [{ target, kind }]).rows[0]!);
  };
  expect(read('air C1', 'C1', 'will-not-apply')).toBe('does-not-apply');
  expect(read('air C1', 'C1', 'stuck-on')).toBe('does-not-release');
  expect(read('air C1', 'C2', 'will-not-apply')).toBe('works');
  expect(read('hand F1', 'F1', 'will-not-hold')).toBe('turns-both-ways');
  expect(read('hand F1', 'F1', 'seized')).toBe('locked');
  expect(read('hand F1', 'F1', 'reversed')).toBe('wrong-way-round');
  expect(read('hand F1', 'C1', 'stuck-on')).toBe('holds-one-way');
  expect(read('look P1.sun', 'P1.sun', 'broken')).toBe('stripped');
  expect(read('look P1.sun', 'P2.sun', 'broken')).toBe('whole');
  // A look inside needs the unit out; a drive needs neither lift nor removal.
  for (const { kind, lift, removal } of checksOf(SIMPSON))
    expect([kind, lift, removal]).toEqual([
      kind,
      kind !== 'road',
      kind === 'hand' || kind === 'look',
    ]);
});

test('look-alikes read alike, and no two groups do', () => {
  for (const unit of [SIMPSON, RAVIGNEAUX]) {
    const table = symptomTable(unit);
    const groups = lookAlikes(table);
    expect(groups.flat()).toHaveLength(table.rows.length);
    const signatures = groups.map((g) => new Set(g.map(signatureOf)));
    for (const s of signatures) expect(s.size).toBe(1);
    expect(new Set(signatures.map((s) => [...s][0])).size).toBe(groups.length);
  }
});

// Common practice, no source: 3 and R gone, 1 and 2 good: only what is on in 3 and R and in no good range.
test('what the bad ranges have in common, cleared by the good ones', () => {
  const reason = chartReason(SIMPSON, ['D3', 'R'], ['D1', 'D2', 'L1']);
  expect(reason.left).toEqual(['C2']);
  // The error to avoid: C1 works in all of these bad ranges, but also in a good one.
  const second = chartReason(SIMPSON, ['D2', 'D3'], ['D1']);
  expect(second.inAllBad).toContain('C1');
  expect(second.cleared).toContain('C1');
  expect(second.left).not.toContain('C1');
  expect(chartReason(SIMPSON, [], ['D1']).inAllBad).toEqual([]);
});

test('the cheapest check that splits two, against looking at all', () => {
  const checks = checksOf(SIMPSON);
  const { rows } = symptomTable(SIMPSON);
  for (const a of rows)
    for (const b of rows) {
      const splits = checks.filter((c) => readingOf(c, a) !== readingOf(c, b));
      const found = cheapestSplit(checks, a, b);
      if (splits.length === 0) expect(found).toBeNull();
      else expect(found!.minutes).toBe(Math.min(...splits.map((c) => c.minutes)));
    }
});

// Slow twin: every subset of the checks.
function byTryingAll(checks: readonly Check[], rows: readonly SymptomRow[]): number {
  const pairs = rows.flatMap((a, i) => rows.slice(i + 1).map((b) => [a, b] as const));
  const splits = pairs
    .map(([a, b]) =>
      checks.reduce((m, c, k) => (readingOf(c, a) !== readingOf(c, b) ? m | (1 << k) : m), 0),
    )
    .filter((m) => m !== 0);
  let best = Infinity;
  for (let mask = 0; mask < 1 << checks.length; mask++) {
    if (!splits.every((s) => (s & mask) !== 0)) continue;
    const minutes = checks.reduce((s, c, k) => (mask & (1 << k) ? s + c.minutes : s), 0);
    best = Math.min(best, minutes);
  }
  return best;
}

test('the cheapest plan costs what exhaustive search finds', () => {
  const random = randomFromSeed('plans');
  const all = { rows: symptomTable(SIMPSON).rows, checks: checksOf(SIMPSON) };
  for (let n = 0; n < 25; n++) {
    const rows = all.rows.filter(() => random.next() < 0.45);
    const checks = all.checks.filter(() => random.next() < 0.75).slice(0, 13);
    const plan = cheapestPlan(checks, rows);
    expect(plan.exact).toBe(true);
    expect([n, plan.minutes]).toEqual([n, byTryingAll(checks, rows)]);
    for (const [a, b] of plan.inseparable)
      expect(checks.every((c) => readingOf(c, rows[a]!) === readingOf(c, rows[b]!))).toBe(true);
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
    const { rows } = symptomTable(unit);
    if (rows.length === 0) continue;
    const truth = rows[random.whole(0, rows.length - 1)]!;
    const readings: Reading[] = [];
    const weightOf = () =>
      suspects(rows, readings).find((s) => faultKey(s.row.faults) === faultKey(truth.faults))!;
    let before = weightOf().weight;
    for (const check of checksOf(unit)) {
      if (random.next() < 0.5) continue;
      readings.push({ check, value: readingOf(check, truth) });
      const now = weightOf();
      expect(now.fits).toBe(true);
      expect(now.weight).toBeGreaterThanOrEqual(before - 1e-12);
      before = now.weight;
      const fitting = rows.filter((r) => readings.every((x) => readingOf(x.check, r) === x.value));
      const told = suspects(rows, readings).filter((s) => s.fits);
      expect(told.map((s) => faultKey(s.row.faults)).sort()).toEqual(
        fitting.map((r) => faultKey(r.faults)).sort(),
      );
    }
    expect(oddReadings(rows, readings)).toEqual([]);
  }
});

test('weights add up, priors count, and a wrong reading does not rule out for ever', () => {
  const { rows } = symptomTable(SIMPSON);
  const all = suspects(rows, []);
  expect(all.reduce((s, x) => s + x.weight, 0)).toBeCloseTo(1, 12);
  const road = checksOf(SIMPSON).find((c) => c.id === 'road D1')!;
  const neutral = readingOf(
    road,
    rows.find((r) => faultKey(r.faults) === 'C1=will-not-apply')!,
  );
  const told = suspects(rows, [{ check: road, value: neutral }]);
  expect(told[0]!.fits).toBe(true);
  expect(told.at(-1)!.weight).toBeGreaterThan(0);
  const priors = { ...Object.fromEntries(rows.flatMap((r) => r.faults).map((f) => [f.kind, 1])) };
  const even = suspects(rows, [], priors as never);
  for (const s of even) expect(s.weight).toBeCloseTo(1 / rows.length, 12);
});

// Information never hurts, and a check that reads the same for all says nothing.
test('the next check says most for its minutes', () => {
  const { rows } = symptomTable(SIMPSON);
  const checks = checksOf(SIMPSON);
  const known = suspects(rows, []);
  const next = nextChecks(known, checks, []);
  expect(next[0]!.check.kind).toBe('road');
  for (let k = 1; k < next.length; k++)
    expect(next[k]!.worth).toBeLessThanOrEqual(next[k - 1]!.worth + 1e-15);
  for (const n of next) expect(n.bits).toBeGreaterThan(0);
  const one = rows.slice(0, 1);
  expect(nextChecks(suspects(one, []), checks, [])).toEqual([]);
  const done = [{ check: next[0]!.check, value: 'x' }];
  expect(nextChecks(known, checks, done).some((n) => n.check === next[0]!.check)).toBe(false);
});

test('contradictory readings: the odd one is named', () => {
  const { rows } = symptomTable(SIMPSON);
  const checks = checksOf(SIMPSON);
  const truth = rows.find((r) => faultKey(r.faults) === 'C1=will-not-apply')!;
  const readings = ['road D1', 'road D2', 'road R', 'air C1'].map((id) => {
    const check = checks.find((c) => c.id === id)!;
    return { check, value: readingOf(check, truth) };
  });
  expect(oddReadings(rows, readings)).toEqual([]);
  const air = checks.find((c) => c.id === 'air B1')!;
  const wrong = { check: air, value: 'does-not-release' };
  expect(oddReadings(rows, [...readings, wrong])).toEqual([wrong]);
});
