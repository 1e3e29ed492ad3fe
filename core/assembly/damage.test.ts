import type { Unit } from '../geartrain';
import { randomFromSeed } from '../numerics';
import { demoFile } from '../tests/demoFile';
import {
  clutchPlan,
  conditionFitted,
  conditionIn,
  DAMAGE_SPECS,
  DAMAGES,
  damagesOf,
  drawDamage,
  senseOf,
  errorsIn,
  jobProblems,
  judgedAgainst,
  MEASURE_IDS,
  MEASURES,
  measuresOf,
  offsetOf,
  planOf,
  readingOf,
  selectivesOf,
  spreadOf,
  standingOf,
  USUAL_SCHOOL,
  verdictFor,
  windowAsMeasured,
  windowOf,
  type Job,
} from './index';
import { clutch, job, plan, part } from './tests/oneJob';

test('verdicts: seals always new, the eye before the gauge, doubt counts both ways', () => {
  const judge = (hidden: Job['hidden'], id: string, decision: never, reason: never) =>
    judgedAgainst(verdictFor(job({ hidden }), part(id)), decision, reason);
  const says = (hidden: Job['hidden'], id: string, decision: string, reason: string) =>
    judge(hidden, id, decision as never, reason as never);
  // Common practice, no source.
  expect(says([], 'C1.seals', 'replace', 'one-use-only')).toEqual({ decision: true, reason: true });
  expect(says([], 'C1.seals', 'reuse', 'sound').decision).toBe(false);
  expect(says([], 'filter', 'replace', 'one-use-only').decision).toBe(true);
  const cracked: Job['hidden'] = [{ part: 'P1.carrier', damage: 'cracked-carrier' }];
  expect(says(cracked, 'P1.carrier', 'replace', 'crack')).toEqual({ decision: true, reason: true });
  expect(says(cracked, 'P1.carrier', 'measure', 'cannot-be-seen').decision).toBe(false);
  expect(says(cracked, 'P1.carrier', 'replace', 'sound')).toEqual({
    decision: true,
    reason: false,
  });
  // What the eye can't tell may be measured first; once it was, that is no answer any more.
  const thin: Job['hidden'] = [{ part: 'C1.pack', damage: 'worn-lining' }];
  const before = verdictFor(job({ hidden: thin }), part('C1.pack'));
  expect(before.right.map((r) => r.decision)).toEqual(['replace', 'measure']);
  const all = measuresOf(part('C1.pack'));
  expect(verdictFor(job({ hidden: thin }), part('C1.pack'), all).right).toEqual([
    { decision: 'replace', reasons: ['out-of-window'] },
  ]);
  // Burnt is plain to see: measuring it first is no answer, though it could be measured.
  const burnt: Job['hidden'] = [{ part: 'C1.pack', damage: 'burnt' }];
  expect(says(burnt, 'C1.pack', 'measure', 'cannot-be-seen').decision).toBe(false);
  expect(says(burnt, 'C1.pack', 'replace', 'bare')).toEqual({ decision: true, reason: true });
  // A sound pack: both schools count.
  expect(verdictFor(job(), part('C1.pack'), all).right.map((r) => r.decision)).toEqual([
    'reuse',
    'replace',
  ]);
  expect(verdictFor(job(), part('C1.pack'), all).school).toBe('replace');
  const spring = part('C1.spring');
  expect(verdictFor(job(), spring, measuresOf(spring)).school).toBe('reuse');
  // In the band of doubt (2 s of 0.08 mm round 29.1 mm) both count; beyond it one does.
  const springs = windowOf('spring-length', part('C1.spring'));
  expect(standingOf(29.2, 'spring-length', springs)).toBe('in-doubt');
  expect(standingOf(29, 'spring-length', springs)).toBe('in-doubt');
  expect(standingOf(29.3, 'spring-length', springs)).toBe('inside');
  expect(standingOf(28.9, 'spring-length', springs)).toBe('outside');
});

test('readings scatter as stated, read to the instrument’s last figure, and a wrong state shifts them', () => {
  for (const id of MEASURE_IDS) {
    const { scatter, readsTo, states, sound, fromSize } = MEASURES[id];
    const random = randomFromSeed(`scatter ${id}`);
    const value = fromSize ? 2 : 100 * sound[1];
    const reads = Array.from({ length: 4000 }, () => {
      const exact = value + random.next() * readsTo;
      return readingOf(id, exact, states[0]![0], random) - exact;
    });
    const { mean } = spreadOf(reads);
    const sd = Math.sqrt(reads.reduce((s, r) => s + (r - mean) ** 2, 0) / reads.length);
    // Rounding adds readsTo²/12 (published: Sheppard’s correction).
    const stated = Math.sqrt(scatter ** 2 + readsTo ** 2 / 12);
    expect([id, sd / stated]).toEqual([id, expect.closeTo(1, 1)]);
    expect([id, mean]).toEqual([id, expect.closeTo(0, 2)]);
    const r = readingOf(id, value, states[0]![0], random);
    expect(r / readsTo).toBeCloseTo(Math.round(r / readsTo), 6);
    for (const [state, offset] of states.slice(1)) {
      const wrong = Array.from({ length: 400 }, () => readingOf(id, value, state, random));
      expect([id, state, spreadOf(wrong).mean - value]).toEqual([
        id,
        state,
        expect.closeTo(offset, 1),
      ]);
    }
  }
  // The mean of three lies nearer than one reading does: by the root of three (published: standard error of a mean).
  const random = randomFromSeed('three');
  const off = (n: number) => {
    const means = Array.from(
      { length: 1500 },
      () => spreadOf(Array.from({ length: n }, () => readingOf('fingers', 5, 'free', random))).mean,
    );
    return Math.sqrt(means.reduce((s, m) => s + (m - 5) ** 2, 0) / means.length);
  };
  expect(off(1) / off(3)).toBeCloseTo(Math.sqrt(3), 0);
});

test('damage drawn from a seed: the same again, harder with the difficulty, what burnt has its cause', () => {
  for (let k = 0; k < 30; k++) {
    const seed = `seed ${k}`;
    for (const [difficulty, least, most] of [
      ['easy', 1, 3],
      ['middling', 3, 5],
      ['hard', 5, 8],
    ] as const) {
      const hidden = drawDamage(plan, seed, difficulty);
      expect(hidden).toEqual(drawDamage(plan, seed, difficulty));
      expect(hidden.length).toBeGreaterThanOrEqual(least);
      expect(hidden.length).toBeLessThanOrEqual(most);
      expect(jobProblems(job({ hidden }), plan)).toEqual([]);
      for (const h of hidden)
        expect(DAMAGE_SPECS[h.damage].effect ? h.because : undefined).toBe(h.because);
    }
  }
});

test('every damage can sit somewhere, is shown by what it says, and its measure lies beyond the limit', () => {
  const every = [
    plan,
    planOf(demoFile<Unit>('units/quay-four')),
    planOf(demoFile<Unit>('units/winch-manual')),
    clutchPlan(clutch),
  ].flatMap((p) => p.parts);
  for (const damage of DAMAGES) {
    const on = every.find((p) => damagesOf(p).includes(damage));
    expect([damage, on?.kind]).toEqual([damage, expect.any(String)]);
    const { measure } = DAMAGE_SPECS[damage];
    if (senseOf(damage) === 'gauge') expect([damage, measure]).toEqual([damage, expect.anything()]);
    for (const value of measure?.reads ?? [])
      expect([damage, standingOf(value, measure!.id, windowOf(measure!.id, on!))]).toEqual([
        damage,
        'outside',
      ]);
  }
});

test('what is worn away is found in the gap: plates in the clearance, a washer in the end play', () => {
  const c1 = part('C1.pack');
  const n = (c1.count - 1) / 2;
  const sound = conditionIn(job(), c1).values;
  const burnt = job({ hidden: [{ part: 'C1.pack', damage: 'burnt' }] });
  const now = conditionIn(burnt, c1).values;
  // Each friction plate gives what it has lost (derived here).
  const lost = sound.lining! - now.lining!;
  expect(lost).toBeGreaterThan(0.3);
  expect(now['pack-clearance']).toBeCloseTo(sound['pack-clearance']! + n * lost, 9);
  // With new plates the gap is the sound one again; as they were, the old ring is far too loose.
  const ring = selectivesOf(plan).find((s) => s.part === 'C1.ring')!;
  const fit = [{ part: 'C1.ring', turned: false, size: ring.now }];
  const decided = { 'C1.pack': { decision: 'replace' as const } };
  expect(conditionFitted(burnt, c1, decided).values).toEqual(sound);
  expect(errorsIn(burnt, plan, decided, fit)).toEqual([]);
  expect(errorsIn(burnt, plan, {}, fit)).toMatchObject([{ kind: 'too-loose' }]);
  const shaft = part('input-shaft');
  const thin = job({ hidden: [{ part: 'thrust-2', damage: 'thin-washer' }] });
  const more =
    conditionIn(thin, shaft).values['end-play-in']! -
    conditionIn(job(), shaft).values['end-play-in']!;
  const washer = part('thrust-2');
  expect(more).toBeCloseTo(
    conditionIn(job(), washer).values.washer! - conditionIn(thin, washer).values.washer!,
    9,
  );
});

test('a pack’s window follows the shop’s way with the cushion plate', () => {
  const pack = part('C1.pack');
  const plain = windowOf('pack-clearance', pack);
  for (const cushion of ['pressed', 'free', 'left-out'] as const) {
    const shop = { school: { ...USUAL_SCHOOL, cushion }, limits: {} };
    const by = offsetOf('pack-clearance', cushion);
    const { least, most } = windowAsMeasured('pack-clearance', pack, shop);
    expect(most! - plain.most!).toBeCloseTo(by, 9);
    expect(least).toBeCloseTo(Math.max(0, plain.least! + by), 9);
  }
  // Free it takes up some of the gap, left out it gives its thickness (common practice, no source).
  expect(offsetOf('pack-clearance', 'free')).toBeLessThan(0);
  expect(offsetOf('pack-clearance', 'left-out')).toBeGreaterThan(0);
  // Oil is measured with a thickness, and fills some of a gap (common practice, no source).
  expect(offsetOf('lining', 'wet')).toBeGreaterThan(0);
  expect(offsetOf('pump-side', 'wet')).toBeLessThan(0);
});
