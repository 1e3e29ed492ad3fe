import { openValue } from '../formats';
import { randomFromSeed, type Random } from '../numerics';
import { demoFile } from '../tests/demoFile';
import {
  binds,
  loosePairs,
  placeOf,
  sleeveClashes,
  sleevesOf,
  sleeveWith,
  solveUnit,
  unitFindings,
  withSleeveAt,
  type SleeveGroup,
  type Unit,
} from './index';

const winch = demoFile<Unit>('units/winch-manual');
const ferry = demoFile<Unit>('units/ferry-dual');
const rows = (unit: Unit) => unit.ranges.map((r) => r.apply);

test('one sleeve with two sides: at one, at the other, between, never at both', () => {
  const { sleeve, side } = sleeveWith(winch, 'S4')!;
  expect([sleeve.id, side]).toEqual(['H34', 1]);
  expect(placeOf(sleeve, ['K', 'S3'])).toBe(0);
  expect(placeOf(sleeve, ['K', 'S1'])).toBe('neutral');
  expect(placeOf(sleeve, ['S3', 'S4'])).toBe('both');
  expect(withSleeveAt(sleeve, 1, ['K', 'S3'])).toEqual(['K', 'S4']);
  expect(withSleeveAt(sleeve, 'neutral', ['K', 'S3'])).toEqual(['K']);
  expect(sleeveWith(winch, 'K')).toBeNull();
});

test('a file that tells of no sleeves has one for each dog clutch, on the shaft that they share', () => {
  const { sleeves: _told, ...old } = winch;
  expect(sleevesOf(old).map((s) => [s.id, s.hub, s.sides])).toEqual(
    ['S1', 'S2', 'S3', 'S4', 'S5', 'SR'].map((id) => [id, 'out', [id, null]]),
  );
  expect(unitFindings(old)).toEqual([]);
  expect(unitFindings(winch)).toEqual([]);
  expect(unitFindings(ferry)).toEqual([]);
});

test('a row that asks for both sides, or for two that an interlock keeps apart, is found', () => {
  const asked = (apply: string[]) => sleeveClashes(winch, apply);
  expect(asked(['K', 'S3', 'S4'])).toEqual([{ code: 'both-sides', sleeve: 'H34' }]);
  expect(asked(['S1', 'S3'])).toEqual([{ code: 'interlocked', sleeve: 'H34', other: 'H12' }]);
  for (const row of [...rows(winch)]) expect(asked(row)).toEqual([]);
  const wrong = {
    ...winch,
    ranges: [{ id: 'X', lever: 'M', gear: '9', apply: ['K', 'S1', 'S2'] }],
  };
  expect(unitFindings(wrong)).toContainEqual({
    code: 'both-sides',
    path: 'ranges[0].apply',
    values: { range: 'X', sleeve: 'H12' },
    weight: 'odd',
  });
});

// Common practice, no source: two gears in on one shaft bind; one on each input shaft of a dual clutch is how it works.
test('what binds without an interlock, and what does not', () => {
  const loose = (unit: Unit): Unit => ({
    ...unit,
    sleeves: unit.sleeves!.map(({ interlock: _lock, ...s }): SleeveGroup => s),
  });
  expect(loosePairs(loose(winch)).map((p) => p.sleeves)).toEqual([
    ['H12', 'H34'],
    ['H12', 'H5R'],
    ['H34', 'H5R'],
  ]);
  expect(loosePairs(loose(ferry)).map((p) => p.sleeves)).toEqual([
    ['H13', 'H5'],
    ['H24', 'H6R'],
  ]);
  expect(unitFindings(loose(winch)).map((f) => f.code)).toEqual(Array(3).fill('no-interlock'));
  // Without an interlock nothing stops the hand: that is what is wrong with it.
  expect(sleeveClashes(loose(winch), ['S1', 'S3'])).toEqual([]);
  expect(binds(ferry, ['S1', 'S2'])).toBe(false);
  expect(binds(ferry, ['S1', 'S3'])).toBe(true);
});

test('gears turn free whose sleeve stands elsewhere', () => {});

test('a sleeve that can’t be is refused with its path', () => {
  const refused = (sleeves: unknown): string[] => {
    const opened = openValue({ ...winch, sleeves }, 'fair-sprocket/unit');
    return opened.ok || opened.failure.cause !== 'invalid'
      ? []
      : opened.failure.problems.map((p) => `${p.path} ${p.code}`);
  };
  const one = (change: object) => [{ id: 'H', hub: 'out', sides: ['S1', 'S2'], ...change }];
  expect(refused(one({}))).toEqual([]);
  expect(refused(one({ sides: ['S1', 'S9'] }))).toEqual(['sleeves[0].sides[1] unknown-element']);
  expect(refused(one({ sides: ['S1', 'S1'] }))).toEqual(['sleeves[0].sides[1] side-twice']);
  expect(refused(one({ sides: ['S1', 'K'] }))).toEqual(['sleeves[0].sides[1] no-sleeve']);
  expect(refused(one({ sides: [null, null] }))).toEqual(['sleeves[0].sides no-side']);
  // The other side's gear is locked to another shaft.
  expect(refused(one({ hub: 'g1' }))).toEqual(['sleeves[0].hub hub-elsewhere']);
  expect(refused([...one({}), ...one({ sides: ['S3', null] })])).toEqual([
    'sleeves[1].id duplicate-id',
  ]);
});

/** A box of gear pairs on a countershaft, gears free on the output shaft, two on each sleeve, one interlock. */
function randomBox(random: Random): Unit {
  const gears = random.whole(2, 7);
  const ids = Array.from({ length: gears }, (_, k) => k + 1);
  const sides = ids.map((n) => `S${n}`);
  return {
    format: 'fair-sprocket/unit',
    version: 1,
    id: 'box',
    name: 'Box',
    members: ['in', 'cs', 'out', ...ids.map((n) => `g${n}`)].map((id) => ({ id, name: id })),
    input: 'in',
    output: 'out',
    gearsets: [
      { first: 'in', second: 'cs' },
      ...ids.map((n) => ({ first: 'cs', second: `g${n}` })),
    ].map((pair, k) => ({
      id: `M${k}`,
      kind: 'mesh' as const,
      ...pair,
      teeth: { first: random.whole(12, 45), second: random.whole(12, 45) },
    })),
    elements: ids.map((n) => ({
      id: `S${n}`,
      name: `S${n}`,
      kind: 'dog' as const,
      between: [`g${n}`, 'out'] as [string, string],
    })),
    ranges: [],
    sleeves: Array.from({ length: Math.ceil(gears / 2) }, (_, k) => ({
      id: `H${k}`,
      hub: 'out',
      sides: [sides[2 * k]!, sides[2 * k + 1] ?? null] as SleeveGroup['sides'],
      interlock: 'rails',
    })),
  };
}

test('random gearboxes: whatever the interlock lets in drives or is neutral, and whatever clashes binds', () => {
  const random = randomFromSeed('boxes');
  for (let k = 0; k < 60; k++) {
    const box = randomBox(random);
    const ids = box.elements.map((e) => e.id);
    for (let n = 0; n < 12; n++) {
      const applied = ids.filter(() => random.next() < 0.35);
      const { outcome } = solveUnit(box, applied);
      const sums = new Set(
        applied.map((id) => {
          const { teeth } = box.gearsets[1 + ids.indexOf(id)] as { teeth: Record<string, number> };
          return teeth['second']! / teeth['first']!;
        }),
      );
      if (sleeveClashes(box, applied).length === 0)
        expect(['drives', 'neutral']).toContain(outcome);
      // Two gears of one ratio do not fight.
      else if (sums.size > 1) expect(outcome).toBe('tied-up');
    }
  }
});
