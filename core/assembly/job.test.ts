import { FAULT_KINDS, machineOf, rigFaultProblem, SOUND_MACHINE } from '../faults';
import type { Clutch } from '../clutch';
import type { Unit } from '../geartrain';
import { randomFromSeed } from '../numerics';
import { demoFile } from '../tests/demoFile';
import {
  bestSize,
  breakEven,
  causesOf,
  changeCost,
  comeBackCost,
  comesBack,
  conditionFitted,
  conditionIn,
  DAMAGE_SPECS,
  DAMAGES,
  damagesOf,
  drawDamage,
  senseOf,
  errorsIn,
  FACINGS,
  gapWith,
  gradeOrder,
  hasFacing,
  hoursOf,
  jobProblems,
  judgedAgainst,
  legalOrder,
  checkOrder,
  leftOut,
  MEASURE_IDS,
  MEASURES,
  measuresOf,
  offsetOf,
  mustBeNew,
  NEW_JOB_WORK,
  planOf,
  planOfJob,
  readingOf,
  reportOn,
  rigOfJob,
  selectivesOf,
  sheetOf,
  shownBy,
  sizesToHave,
  spreadOf,
  standingOf,
  timeOf,
  togetherOf,
  USUAL_PRICES,
  USUAL_SCHOOL,
  verdictFor,
  windowAsMeasured,
  windowOf,
  type Fit,
  type Job,
  type Part,
  type StripPlan,
} from './index';

const skerry = demoFile<Unit>('units/skerry-three');
const clutch = demoFile<Clutch>('clutches/bollard-nine');
const job = (change: Partial<Job> = {}): Job => ({
  format: 'fair-sprocket/job',
  version: 1,
  id: 'job',
  name: 'A job',
  complaint: '',
  unit: skerry,
  seed: 'one',
  hidden: [],
  school: USUAL_SCHOOL,
  prices: USUAL_PRICES,
  limits: {},
  stations: [],
  ...change,
});
const plan = planOf(skerry);
const part = (id: string, of: StripPlan = plan): Part => of.parts.find((p) => p.id === id)!;
const rightFits = (of: StripPlan): Fit[] =>
  [...legalOrder(of)].reverse().map((id) => ({ part: id, turned: false }));
/** Judges every hidden damage as it should be. */
const judgedRight = (of: Job) =>
  Object.fromEntries(
    of.hidden.map(({ part: id, damage }) => {
      const { decision, reason } = DAMAGE_SPECS[damage];
      return [id, { decision, reason }];
    }),
  );

test.each(['skerry-three', 'quay-four', 'harbour-trainer', 'winch-manual', 'ferry-dual'])(
  '%s: any order of taking off, backwards, goes together; apart and together without a mistake is the sound machine',
  (id) => {
    const unit = demoFile<Unit>(`units/${id}`);
    const own = planOf(unit);
    const there = togetherOf(own, rightFits(own));
    expect(there).toMatchObject({ wasted: 0, last: [] });
    expect(leftOut(own, there.in)).toEqual([]);
    const report = reportOn(job({ unit }), own, { ...NEW_JOB_WORK, fits: rightFits(own) });
    expect(report).toMatchObject({ errors: [], faults: [], leftOut: [] });
    expect(machineOf(rigOfJob(job({ unit })), report.faults)).toEqual(SOUND_MACHINE);
  },
);

test('what must go in later bars the way: nothing goes in, and it can be tried again', () => {
  // Common practice, no source: the pump closes the front; a pack is held by its ring.
  const pumpFirst = togetherOf(plan, [
    { part: 'case', turned: false },
    { part: 'pump', turned: false },
    { part: 'C1.drum', turned: false },
  ]);
  expect(pumpFirst.in.map((f) => f.part)).toEqual(['case', 'pump']);
  expect(pumpFirst.last[0]).toMatchObject({ part: 'C1.drum', rule: 'pump-before-drums' });
  const turnedRound = togetherOf(plan, [
    { part: 'case', turned: false },
    { part: 'F1.cage', turned: false },
    { part: 'F1.race', turned: true },
    { part: 'F1.race', turned: false },
  ]);
  expect(turnedRound.in.find((f) => f.part === 'F1.race')).toEqual({
    part: 'F1.race',
    turned: false,
  });
  expect(turnedRound.wasted).toBe(0);
});

test('each way round that is wrong is a fault that the desk knows, and a check shows it', () => {
  const rig = rigOfJob(job());
  const wrong = (id: string) =>
    errorsIn(job(), plan, {}, [{ part: id, turned: true }]).map((e) => ({
      shows: e.shows,
      faults: e.faults.map((f) => `${f.target}=${f.kind}`),
    }));
  // Common practice, no source: a one-way clutch turned round holds the other way; a rolled lip leaks.
  expect(wrong('F1.race')).toEqual([{ shows: 'by-hand', faults: ['F1=reversed'] }]);
  expect(wrong('C1.seals')).toEqual([{ shows: 'air', faults: ['C1=seal-leaks'] }]);
  expect(wrong('C1.ring')).toEqual([{ shows: 'by-hand', faults: ['C1=ring-out'] }]);
  expect(wrong('B1.anchor')).toEqual([{ shows: 'turn', faults: ['B1=stuck-on'] }]);
  expect(wrong('pump')).toEqual([{ shows: 'turn', faults: ['oil-pump=pump-worn'] }]);
  expect(wrong('support').flatMap((e) => e.faults)).toContain('B2=will-not-apply');
  // The ring of the output shaft holds no pack: no groove of its own to miss.
  expect(wrong('output-ring')).toEqual([]);
  for (const p of plan.parts.filter(hasFacing))
    for (const e of errorsIn(job(), plan, {}, [{ part: p.id, turned: true }]))
      for (const f of e.faults) expect([f, rigFaultProblem(rig, f)]).toEqual([f, null]);
  for (const facing of Object.values(FACINGS))
    if (facing.fault) expect(FAULT_KINDS).toContain(facing.fault);
  // Two steels beside each other: as many friction plates less one (derived here).
  const { count } = part('C1.pack');
  const n = (count - 1) / 2;
  const [error] = errorsIn(job(), plan, {}, [{ part: 'C1.pack', turned: true }]);
  expect(error!.faults[0]).toEqual({ target: 'C1', kind: 'slips', severity: (n - 1) / n });
  expect(shownBy('clearance', [error!])).toEqual([error]);
  expect(shownBy('air', [error!])).toEqual([]);
});

test('a bad part that goes back is its own fault; a new one is not; a cleaned valve is free', () => {
  const hidden: Job['hidden'] = [
    { part: 'valve-body', damage: 'hanging-valve' },
    { part: 'C1.pack', damage: 'burnt', because: 'valve-body' },
    { part: 'P1.carrier', damage: 'cracked-carrier' },
    { part: 'C2.drum', damage: 'light-scratch' },
  ];
  const own = job({ hidden });
  const run = (judged: ReturnType<typeof judgedRight>) =>
    reportOn(own, plan, { ...NEW_JOB_WORK, judged, fits: rightFits(plan) });
  expect(run(judgedRight(own))).toMatchObject({ errors: [], faults: [], missed: [] });
  expect(
    run({})
      .faults.map((f) => `${f.target}=${f.kind}`)
      .sort(),
  ).toEqual(['C1=burnt', 'P1.carrier=broken', 'regulator=regulator-low']);
  // Only the failed part replaced: the cause is still in, and it comes back (common practice, no source).
  const onlyPack = { 'C1.pack': { decision: 'replace' as const, reason: 'bare' as const } };
  expect(run(onlyPack).faults.map((f) => f.kind)).toContain('regulator-low');
  expect(causesOf(own, 'C1.pack')).toEqual(['valve-body']);
  expect(comesBack(own, { judged: onlyPack }, 'C1.pack')).toBe(true);
  expect(comesBack(own, { judged: judgedRight(own) }, 'C1.pack')).toBe(false);
  // A drum that is scrap is not cleaned well.
  const scrap = job({ hidden: [{ part: 'C1.drum', damage: 'sprung-groove' }] });
  const cleaned = { 'C1.drum': { decision: 'clean' as const, reason: 'dirty-only' as const } };
  expect(
    reportOn(scrap, plan, { ...NEW_JOB_WORK, judged: cleaned, fits: rightFits(plan) }).errors,
  ).toMatchObject([{ part: 'C1.drum', kind: 'bad-part' }]);
});

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
    const { scatter, readsTo, states, sound } = MEASURES[id];
    const random = randomFromSeed(`scatter ${id}`);
    const value = 100 * sound[1];
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

test('the selective size against every size tried; a thicker part leaves less play', () => {
  const random = randomFromSeed('sizes');
  for (const selective of selectivesOf(plan)) {
    const on = part(selective.on);
    const { least, most } = windowOf(selective.measure, on);
    for (let k = 0; k < 60; k++) {
      const gap = 3 * random.next();
      const best = bestSize(selective, gap, on)!;
      const off = (size: number) => Math.abs(gapWith(gap, selective, size) - (least! + most!) / 2);
      const least2 = Math.min(...selective.sizes.map(off));
      expect(off(best)).toBeCloseTo(least2, 9);
      // A tie goes to the tighter side.
      const tied = selective.sizes.filter((s) => Math.abs(off(s) - least2) < 1e-9);
      expect(best).toBe(Math.max(...tied));
    }
    const [thin, thick] = [selective.sizes[0]!, selective.sizes.at(-1)!];
    expect(gapWith(1, selective, thick)).toBeLessThan(gapWith(1, selective, thin));
  }
  const [washer] = selectivesOf(plan);
  const shaft = part('input-shaft');
  const best = (gap: number) => bestSize(washer!, gap, shaft);
  const { sizes } = washer!;
  // A doubt as wide as one step: the neighbours are worth having at hand, no others.
  const have = sizesToHave(sizes, best, 0.6, 0.15);
  expect(have).toContain(best(0.6));
  expect(have.length).toBeGreaterThan(1);
  expect(have.length).toBeLessThan(4);
  expect(sizesToHave(sizes, best, 0.6, 0)).toEqual([best(0.6)]);
});

test('a size from another row: too tight shows as no play, no gap at all presses the plates', () => {
  const ring = selectivesOf(plan).find((s) => s.part === 'C1.ring')!;
  const gap = conditionIn(job(), part('C1.pack')).values['pack-clearance']!;
  const at = (size: number) =>
    errorsIn(job(), plan, {}, [{ part: 'C1.ring', turned: false, size }]);
  expect(at(bestSize(ring, gap, part('C1.pack'))!)).toEqual([]);
  const jammed = at(ring.now + gap + 0.2);
  expect(jammed).toMatchObject([{ kind: 'too-tight', shows: 'clearance' }]);
  expect(jammed[0]!.faults).toEqual([{ target: 'C1', kind: 'stuck-on' }]);
  // Too tight with some gap left drags, but presses nothing.
  expect(at(ring.now + gap - 0.05)).toMatchObject([{ kind: 'too-tight', faults: [] }]);
  expect(at(ring.now - 3)).toMatchObject([{ kind: 'too-loose', faults: [] }]);
});

test('what coming back costs, by hand, and what is therefore worth a new one', () => {
  const hours = hoursOf(plan);
  const used = plan.parts.filter((p) => ['seals', 'filter', 'bearing'].includes(p.kind));
  const again = used.reduce((s, p) => s + (p.kind === 'seals' ? 6 : 18), 0);
  // C_back = hours·rate + parts again + days lost (derived here): 60 an hour, two days at 150.
  expect(comeBackCost(plan, USUAL_PRICES)).toBeCloseTo(hours * 60 + again + 300, 9);
  // A washer at 7 and six minutes at 60 an hour: 13.
  const washer = part('thrust-1');
  expect(changeCost(washer, USUAL_PRICES)).toBeCloseTo(13, 9);
  const p = breakEven(washer, plan, USUAL_PRICES);
  expect(p * comeBackCost(plan, USUAL_PRICES)).toBeCloseTo(13, 9);
  expect(breakEven(part('P1.carrier'), plan, USUAL_PRICES)).toBeGreaterThan(p);
  // Each tier holds what the one below it does, and costs more.
  const must = mustBeNew(job(), plan);
  const sheets = ([1, 2, 3] as const).map((tier) => sheetOf(plan, tier, must, USUAL_PRICES));
  for (const [k, sheet] of sheets.entries()) {
    const ids = sheet.rows.map((r) => r.part.id);
    for (const id of must) expect(ids).toContain(id);
    expect(sheet.total).toBeCloseTo(sheet.partsCost + sheet.labour, 9);
    if (k > 0) expect(sheet.total).toBeGreaterThan(sheets[k - 1]!.total);
  }
  const cheapest = gradeOrder(plan, must, [...must], USUAL_PRICES);
  expect(cheapest).toMatchObject({ missing: [], needless: [], right: true });
  expect(gradeOrder(plan, must, [...must].slice(1), USUAL_PRICES).right).toBe(false);
  // A carrier more is far beyond a tenth of what is needed.
  expect(gradeOrder(plan, must, [...must, 'P1.carrier'], USUAL_PRICES)).toMatchObject({
    needless: ['P1.carrier'],
    right: false,
  });
  expect(
    gradeOrder(
      plan,
      must,
      plan.parts.map((q) => q.id),
      USUAL_PRICES,
    ).right,
  ).toBe(false);
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
  const every = [plan, planOf(demoFile<Unit>('units/quay-four')), planOfJob({ clutch })!].flatMap(
    (p) => p.parts,
  );
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

test('a dry clutch: box, marks, cover, disc; the same job, its faults those of the clutch', () => {
  const own = job({ clutch });
  delete own.unit;
  const dry = planOfJob(own)!;
  expect(checkOrder(dry, legalOrder(dry)).violations).toEqual([]);
  // Common practice, no source: battery off before anything is turned; cover marked before it is loosened.
  expect(checkOrder(dry, ['box']).violations.map((v) => v.rule)).toContain('battery-first');
  expect(checkOrder(dry, ['cover']).violations.map((v) => v.rule)).toContain('marked-first');
  const wrong = errorsIn(own, dry, {}, [
    { part: 'disc', turned: true },
    { part: 'bearing', turned: true },
  ]);
  expect(wrong.flatMap((e) => e.faults.map((f) => f.kind))).toEqual([
    'clutch-warped-disc',
    'clutch-rough-release-bearing',
  ]);
  expect(drawDamage(dry, 'x', 'middling').length).toBeGreaterThan(0);
});

test('a job that no longer fits its unit, or is set upside down, says so', () => {
  expect(jobProblems(job(), null)).toEqual([{ code: 'no-machine' }]);
  const hidden: Job['hidden'] = [
    { part: 'C9.pack', damage: 'burnt' },
    { part: 'pump', damage: 'burnt' },
    { part: 'C1.pack', damage: 'burnt', because: 'nowhere' },
    { part: 'C2.pack', damage: 'burnt' },
    { part: 'C2.pack', damage: 'worn-lining' },
  ];
  const limits = { lining: { least: 2, most: 1 } };
  expect(jobProblems(job({ hidden, limits }), plan).map((p) => p.code)).toEqual([
    'no-such-part',
    'not-on-this-part',
    'no-such-part',
    'hidden-twice',
    'limits-upside-down',
  ]);
});

test('what an order takes: minutes of each part, and the turns on the stand', () => {
  const order = legalOrder(plan);
  const alone = plan.parts.reduce((sum, p) => sum + timeOf(plan, [p.id]).minutes, 0);
  const { minutes, turns } = timeOf(plan, order);
  // Each turn is four minutes more (from memory), and parts alone turn nothing.
  expect(minutes).toBe(alone + 4 * turns);
  expect(turns).toBeGreaterThan(0);
  // Half of what having it apart and together takes, but for the turns.
  expect(alone / 60).toBeCloseTo(hoursOf(plan) / 2, 9);
  // To and fro costs turns: pan, pump, pan again.
  expect(timeOf(plan, ['pan', 'pump', 'filter']).turns).toBe(2);
  expect(timeOf(plan, ['pan', 'filter', 'pump']).turns).toBe(1);
  expect(timeOf(plan, ['nothing'])).toEqual({ minutes: 0, turns: 0 });
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

test('checks find bad parts that went back, as they find wrong ways; a washer in its old place stays thin', () => {
  const hidden: Job['hidden'] = [
    { part: 'F1.race', damage: 'stepped-race' },
    { part: 'C1.seals', damage: 'torn-lip' },
    { part: 'thrust-2', damage: 'thin-washer' },
    { part: 'pump', damage: 'scored-pump' },
  ];
  const own = job({ hidden });
  const found = (check: 'by-hand' | 'air' | 'end-play' | 'turn') =>
    shownBy(check, errorsIn(own, plan, {}, rightFits(plan))).map((e) => e.part);
  // Common practice, no source: the hand feels a step again, air hisses past a torn lip.
  expect(found('by-hand')).toEqual(['F1.race']);
  expect(found('air')).toEqual(['C1.seals']);
  expect(found('end-play')).toEqual(['thrust-2']);
  expect(found('turn')).toEqual([]);
  const shaft = part('input-shaft');
  const play = (decided: Parameters<typeof conditionFitted>[2]) =>
    conditionFitted(own, shaft, decided).values['end-play-in']!;
  expect(play({})).toBeGreaterThan(play({ 'thrust-2': { decision: 'replace' } }));
});
