import { randomFromSeed } from '../numerics';
import type { Unit } from '../geartrain';
import { randomUnit } from '../geartrain/tests/randomUnit';
import {
  agrees,
  chartReason,
  drivingOf,
  examine,
  faultKey,
  faultPairs,
  fittingPairs,
  machineOf,
  openShop,
  readingOf,
  rigOfUnit,
  signatureOf,
  symptomTable,
  worksIn,
  type Reading,
} from './index';
import { asSeen, RAVIGNEAUX, SIMPSON } from './tests/rigs';

/** Random units with ranges, from a seed that a failing test shows. */
function drawn(seed: string, oneWays: boolean): Unit {
  const random = randomFromSeed(seed);
  const unit = randomUnit(random, oneWays);
  const controlled = unit.elements.filter((e) => e.kind !== 'one-way').map((e) => e.id);
  const ranges = Array.from({ length: 4 }, (_v, n) => ({
    id: `D${n}`,
    lever: 'D',
    gear: String(n),
    apply: controlled.filter(() => random.next() < 0.6),
  }));
  return { ...unit, ranges };
}

// Against brute force: every pair of faults tried with every reading, one by one.
test('pairs that fit are those that give every reading, and no others', () => {
  for (let k = 0; k < 6; k++) {
    const unit = drawn(`pairs-${k}`, true);
    const shop = openShop(rigOfUnit(unit));
    const random = randomFromSeed(`pick-${k}`);
    const pairs = faultPairs(shop.faults);
    const truth = pairs[random.whole(0, pairs.length - 1)]!;
    const checks = shop.checks.filter((c) => c.kind === 'road' || c.kind === 'air');
    const now = shop.machine(truth);
    const readings = checks.map((check): Reading => ({ check, answer: shop.answer(now, check) }));
    const slow = pairs.filter((pair) => {
      const candidate = examine(shop, pair, checks);
      return readings.every((r) => agrees(r.check, r.answer, readingOf(r.check, candidate)));
    });
    const found = [...fittingPairs(shop, readings)].map((c) => faultKey(c.faults));
    expect([k, found]).toEqual([k, slow.map(faultKey)]);
    expect([k, found]).toEqual([k, expect.arrayContaining([faultKey(truth)])]);
  }
});

test('the table of a pair is that of the machine with both, whichever comes first', () => {
  for (const unit of [SIMPSON, RAVIGNEAUX]) {
    const rig = rigOfUnit(unit);
    const driving = drivingOf(rig);
    const shop = openShop(rig);
    for (const [a, b] of faultPairs(shop.faults).filter((_p, n) => n % 17 === 0)) {
      const one = driving.cells(machineOf(rig, [a!, b!]));
      const other = driving.cells(machineOf(rig, [b!, a!]));
      expect([faultKey([a!, b!]), signatureOf({ cells: one })]).toEqual([
        faultKey([a!, b!]),
        signatureOf({ cells: other }),
      ]);
    }
  }
});

/*
 * The expert’s reasoning on the chart, as a theorem: where no one-way clutch can step in, an element that does not come on
 * changes only ranges in which it works. So it works in every bad range, and the good ranges it works in, if any, are those in
 * which it was not needed.
 */
test('an element that fails works in every range that it spoils', () => {
  for (let k = 0; k < 40; k++) {
    const unit = drawn(`chart-${k}`, false);
    const elements = unit.elements.map((e) => e.id);
    const rows = symptomTable(
      rigOfUnit(unit),
      elements.map((target) => [{ target, kind: 'will-not-apply' as const }]),
    ).rows;
    rows.forEach(({ cells }, n) => {
      const bad = cells.filter((c) => c.drive !== 'right').map((c) => c.range);
      const applied = bad.every((r) =>
        unit.ranges.find((x) => x.id === r)!.apply.includes(elements[n]!),
      );
      expect([k, elements[n], applied]).toEqual([k, elements[n], true]);
      if (bad.length === 0) return;
      const reason = chartReason(unit, asSeen(bad, []));
      const works = bad.every((r) => worksIn(unit, r).includes(elements[n]!));
      expect([k, elements[n], reason.inAllBad.includes(elements[n]!)]).toEqual([
        k,
        elements[n],
        works,
      ]);
    });
  }
});

test('good ranges only ever clear: with more of them no more is left', () => {
  for (let k = 0; k < 20; k++) {
    const unit = drawn(`clear-${k}`, true);
    const [a, b, c, d] = unit.ranges.map((r) => r.id) as [string, string, string, string];
    const few = chartReason(unit, asSeen([a], [b]));
    const more = chartReason(unit, asSeen([a], [b, c, d]));
    expect(more.left.every((id) => few.left.includes(id))).toBe(true);
    expect([...more.left, ...more.cleared].sort()).toEqual([...more.inAllBad].sort());
    const both = chartReason(unit, asSeen([a, c], [b]));
    expect(both.inAllBad.every((id) => few.inAllBad.includes(id))).toBe(true);
  }
});
