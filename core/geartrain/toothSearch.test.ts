import { toNumber } from '../numerics';
import {
  checkTeeth,
  searchTeeth,
  solveUnit,
  unitFindings,
  withTeeth,
  type SearchStep,
  type ToothSearch,
  type GearSet,
  type Unit,
} from './index';
import { members, UNNAMED } from './tests/textbookUnits';
import { demoUnit } from '../tests/demoFile';

const limits = { fewestSun: 20, mostRing: 100, fewestPinion: 14, keep: 5, tolerance: 0.02 };

function run(search: ToothSearch, part?: { index: number; of: number }): SearchStep {
  let last: SearchStep | undefined;
  for (const step of searchTeeth(search, part)) {
    expect(step.share).toBeGreaterThanOrEqual(last?.share ?? 0);
    last = step;
  }
  return last!;
}

const ratioOf = (unit: Unit, id: string) =>
  toNumber(solveUnit(unit, unit.ranges.find((r) => r.id === id)!.apply).ratio!);

test.each(['skerry-three', 'quay-four', 'winch-manual'])(
  'the search finds teeth that can be built and give the ratios it says: %s',
  (id) => {
    const unit = demoUnit(id);
    const wishes = unit.ranges
      .filter((r) => /^[DGR]/.test(r.id))
      .flatMap((r) => {
        const { ratio } = solveUnit(unit, r.apply);
        return ratio && ratio.num !== ratio.den ? [{ range: r.id, ratio: toNumber(ratio) }] : [];
      });
    const { found, share } = run({ unit, wishes, ...limits });
    expect(share).toBe(1);
    expect(found.length).toBeGreaterThan(0);
    expect(found[0]!.error).toBeLessThan(1e-3);
    for (const { teeth, ratios, error } of found) {
      const changed = withTeeth(unit, teeth);
      for (const set of changed.gearsets)
        if (set.kind !== 'mesh') expect(checkTeeth(set)).toEqual([]);
      expect(unitFindings(changed).filter((f) => f.code === 'centre-distance')).toEqual([]);
      wishes.forEach((wish, k) => {
        const exact = ratioOf(changed, wish.range);
        expect(ratios[k]).toBeCloseTo(exact, 9);
        expect(Math.abs(exact / wish.ratio - 1)).toBeLessThanOrEqual(error + 1e-12);
      });
    }
  },
);

// The slow twin: every buildable pair of counts of one set, tried in the open.
test('nothing better is missed on one set', () => {
  const unit = demoUnit('skerry-three');
  const wish = { range: 'D2', ratio: 1.4567 };
  const { found } = run({ unit, wishes: [wish], ...limits });
  let best = Infinity;
  for (let ring = 48; ring <= 100; ring++)
    for (let sun = 20; sun <= ring - 28; sun++) {
      const pinion = (ring - sun) / 2;
      const set = { kind: 'single-pinion' as const, teeth: { sun, pinion, ring }, pinions: 3 };
      if (checkTeeth(set).length > 0) continue;
      best = Math.min(best, Math.abs((sun + ring) / ring / wish.ratio - 1));
    }
  expect(found[0]!.error).toBeCloseTo(best, 12);
});

test('parts of the work add up to the whole', () => {
  const unit = demoUnit('skerry-three');
  const wishes = [
    { range: 'D1', ratio: 2.6 },
    { range: 'D2', ratio: 1.5 },
  ];
  const whole = run({ unit, wishes, ...limits });
  const parts = [0, 1, 2].map((index) => run({ unit, wishes, ...limits }, { index, of: 3 }));
  const best = Math.min(...parts.map((p) => p.found[0]?.error ?? Infinity));
  expect(best).toBe(whole.found[0]!.error);
});

test('a wish that can’t be met is answered with nothing; a wrong one is refused', () => {
  const unit = demoUnit('skerry-three');
  expect(run({ unit, wishes: [{ range: 'D2', ratio: 7 }], ...limits }).found).toEqual([]);
  expect(() => run({ unit, wishes: [{ range: 'ZZ', ratio: 2 }], ...limits })).toThrow(/"ZZ"/);
  expect(() => run({ unit, wishes: [{ range: 'N', ratio: 2 }], ...limits })).toThrow(
    /does not drive/,
  );
});

// The slow twin on a Ravigneaux arrangement: the ring's size matters, not only its ratio to one sun.
test('nothing better is missed where two sets share a ring', () => {
  const unit = demoUnit('quay-four');
  const [double, single] = unit.gearsets;
  if (double?.kind !== 'double-pinion' || single?.kind !== 'single-pinion')
    throw new Error('expected the demo unit’s two sets');
  const wishes = [
    { range: 'D1', ratio: 84 / 33 },
    { range: 'R', ratio: -2 },
  ];
  const few = { ...limits, fewestSun: 26, mostRing: 84 };
  let best = Infinity;
  for (let ring = 54; ring <= 84; ring++)
    for (let large = 26; ring - large >= 28; large++) {
      const pinion = (ring - large) / 2;
      const outside = { ...single, teeth: { sun: large, pinion, ring } };
      if (checkTeeth(outside).length > 0) continue;
      for (let small = 26; small < ring; small++)
        for (let inner = 14; inner <= (ring - small) / 2; inner++) {
          const inside = { ...double, teeth: { sun: small, inner, outer: pinion, ring } };
          if (checkTeeth(inside).length > 0) continue;
          const error = Math.max(
            Math.abs(ring / small / (84 / 33) - 1),
            Math.abs(ring / large / 2 - 1),
          );
          best = Math.min(best, error);
        }
    }
  const { found } = run({ unit, wishes, ...few });
  expect(best).toBeLessThan(0.02);
  expect(found[0]!.error).toBeCloseTo(best, 12);
});

// The slow twins of a set with pinion pairs alone (ratio R/(R − S) with the sun held and the carrier driving: Willis, 1841), and of one pair of gears up to the last count that is allowed.
test.each([
  ['pinion pairs', 1.61, 64],
  ['a pair of gears', -29 / 28, 29],
] as const)('nothing better is missed: %s', (name, wish, mostRing) => {
  const few = { fewestSun: 20, mostRing, fewestPinion: 14, keep: 5, tolerance: 0.05 };
  const found = (gearset: GearSet, apply: string[]) => {
    const unit: Unit = {
      ...UNNAMED,
      id: 'one',
      members: members('in', 'out', 'x'),
      input: 'in',
      output: 'out',
      gearsets: [gearset],
      elements: [
        { id: 'B', kind: 'brake', between: ['x', 'case'], name: '' },
        { id: 'C', kind: 'clutch', between: ['in', 'x'], name: '' },
      ],
      ranges: [{ id: 'D', lever: 'D', gear: '1', apply }],
    };
    return run({ unit, wishes: [{ range: 'D', ratio: wish }], ...few }).found[0]!.error;
  };
  let best = Infinity;
  const tries = (ratio: number) => {
    best = Math.min(best, Math.abs(ratio / wish - 1));
  };
  const { fewestSun, fewestPinion } = few;
  if (name === 'a pair of gears') {
    for (let first = fewestPinion; first <= mostRing; first++)
      for (let second = fewestPinion; second <= mostRing; second++) tries(-second / first);
    const teeth = { first: 20, second: 20 };
    const mesh = { id: 'G', kind: 'mesh', first: 'in', second: 'out', teeth } as const;
    expect(found(mesh, [])).toBeCloseTo(best, 12);
    expect(best).toBeLessThan(1e-9);
    return;
  }
  for (let ring = fewestSun; ring <= mostRing; ring++)
    for (let sun = fewestSun; sun < ring; sun++)
      for (let inner = fewestPinion; inner <= (ring - sun) / 2; inner++) {
        const set = { kind: 'double-pinion' as const, teeth: { sun, inner, outer: inner, ring } };
        if (checkTeeth({ ...set, pinions: 3 }).length === 0) tries(ring / (ring - sun));
      }
  const teeth = { sun: 24, inner: 14, outer: 14, ring: 64 };
  const ports = { sun: 'x', carrier: 'in', ring: 'out' };
  const pairs = { id: 'P', kind: 'double-pinion', pinions: 3, ...ports, teeth } as const;
  expect(found(pairs, ['B'])).toBeCloseTo(best, 12);
});
