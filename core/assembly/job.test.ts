import { FAULT_KINDS, machineOf, rigFaultProblem, SOUND_MACHINE } from '../faults';
import type { Unit } from '../geartrain';
import { demoFile } from '../tests/demoFile';
import {
  causesOf,
  comesBack,
  conditionFitted,
  drawDamage,
  errorsIn,
  FACINGS,
  hasFacing,
  jobProblems,
  legalOrder,
  checkOrder,
  leftOut,
  NEW_JOB_WORK,
  planOf,
  planOfJob,
  reportOn,
  rigOfJob,
  shownBy,
  togetherOf,
  type Job,
} from './index';
import { clutch, job, plan, part, rightFits, judgedRight } from './tests/oneJob';

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
