import {
  agrees,
  complaintOf,
  DIFFICULTIES,
  drawCase,
  examine,
  expertPath,
  faultKey,
  gradeDiagnosis,
  hasSymptom,
  readingClass,
  readingOf,
  remedyOf,
  sameUntilStripped,
  singleCandidatesCount,
  type DeskCase,
  type DeskEntry,
  type Fault,
} from './index';
import { AUTOMATIC, COUPLING, furnished } from './tests/rigs';

const auto = furnished(AUTOMATIC);
const { shop, all, sound } = auto;

function deskOf(cause: Fault[], limit: number | null = null): DeskCase {
  const truth = examine(shop, cause);
  return {
    shop,
    candidates: all,
    truth,
    sound,
    priors: {},
    complaint: complaintOf(shop, truth, sound, 'one'),
    limit,
  };
}
const entry = (check: string, expected = 'right', safe = true): DeskEntry => ({
  check,
  expected,
  safe,
});

const BURNT = deskOf([{ target: 'B1', kind: 'burnt' }]);

// Common practice, no source: the expert goes from the cheap to the dear, and stops when it has to come out anyway.
test('the expert finds every fault, or what it can not be told from, without dear looks', () => {
  for (const truth of all) {
    if (!hasSymptom(shop, truth, sound)) continue;
    const complaint = complaintOf(shop, truth, sound, 'expert');
    const path = expertPath(all, shop.checks, truth, {}, complaint);
    const named = all.filter((c) => faultKey(c.faults) === path.conclusion.cause);
    const told = [...complaint.map((r) => r.check), ...path.steps.map((s) => s.check)];
    const alike = named.some((c) => sameUntilStripped(told, c, truth));
    expect([faultKey(truth.faults), alike]).toEqual([faultKey(truth.faults), true]);
    expect(path.minutes).toBe(path.steps.reduce((s, x) => s + x.minutes, 0));
  }
});

test('a whole case done as the expert does it scores full', () => {
  const { steps } = gradeDiagnosis(BURNT, [], { cause: '', remedy: 'adjust' }).expert;
  const entries = steps.map((s) =>
    entry(s.check.id, readingClass(s.check, s.answer, readingOf(s.check, sound))),
  );
  const grade = gradeDiagnosis(BURNT, entries, { cause: 'B1=burnt', remedy: 'strip-down' });
  expect(grade).toMatchObject({ cause: 'right', remedy: true, thrifty: true, score: 1 });
  expect(grade.useless).toEqual([]);
  expect(grade.expectedRight).toBe(steps.length);
});

// A guess is no diagnosis: named without a test, the right cause is worth nothing, and a wrong one no more.
test('a guess scores nothing, and the parts say what each was worth', () => {
  for (const cause of ['B1=burnt', 'C1=burnt']) {
    const guess = gradeDiagnosis(BURNT, [], { cause, remedy: 'strip-down' });
    expect([cause, guess.score, guess.borneOut]).toEqual([cause, 0, 0]);
  }
  // One test of little use bears the right cause out a little, and is worth a little.
  const some = gradeDiagnosis(BURNT, [entry('road D4', 'neutral')], {
    cause: 'B1=burnt',
    remedy: 'strip-down',
  });
  expect(some.score).toBeGreaterThan(0);
  expect(some.score).toBeLessThan(0.9);
  expect(some.parts.reduce((sum, p) => sum + p.worth, 0)).toBeCloseTo(1, 9);
  expect(some.parts.reduce((sum, p) => sum + p.got, 0)).toBeCloseTo(some.score, 3);
});

test('half as long again as the expert is still thrifty, and more is not', () => {
  const desk = deskOf([{ target: 'P2.sun', kind: 'broken' }]);
  const { expert } = gradeDiagnosis(desk, [], { cause: '', remedy: 'adjust' });
  const way = expert.steps.map((s) => entry(s.check.id));
  const drives = desk.shop.checks
    .filter((c) => c.kind === 'road' || c.kind === 'coast' || c.kind === 'cruise')
    .map((c) => entry(c.id));
  for (let more = 0; more <= drives.length; more++) {
    const done = [...drives.slice(0, more), ...way];
    const grade = gradeDiagnosis(desk, done, { cause: '', remedy: 'adjust' });
    const most = Math.max(1.5 * expert.minutes, 15);
    expect([more, grade.thrifty]).toEqual([more, grade.minutes <= most]);
  }
});

test('as many single faults are told of as there are', () => {
  // Without two causes at once all candidates are single.
  expect(singleCandidatesCount(shop)).toBe(all.length);
});

test('what was done badly is named', () => {
  const entries = [
    entry('air B1', 'works', false),
    entry('fluid', 'red', false),
    entry('road N', 'right'),
    entry('road D1', 'right'),
    entry('hand F1', 'holds-one-way', true),
  ];
  const grade = gradeDiagnosis(BURNT, entries, { cause: 'C1=burnt', remedy: 'in-place' });
  expect(grade.cause).toBe('wrong');
  expect(grade.remedy).toBe(false);
  expect(grade.thrifty).toBe(false);
  expect(grade.unsafe).toEqual(['air B1', 'fluid']);
  expect(grade.useless).toContain('road N');
  // The error of the trade: C1 is on in both bad ranges, but first gear, where it works too, is good.
  expect(grade.clearedBy).toContain('D1');
  expect(grade.against).toContain('road D1');
  expect(grade.score).toBe(0);
});

test('what no check short of stripping down tells apart counts as found', () => {
  const desk = deskOf([{ target: 'P2.sun', kind: 'broken' }]);
  const grade = gradeDiagnosis(desk, [], { cause: 'P2.ring=broken', remedy: 'strip-down' });
  expect(grade.cause).toBe('same-until-stripped');
  const limited = deskOf([{ target: 'B1', kind: 'burnt' }], 10);
  const spent = gradeDiagnosis(limited, [entry('pan')], {
    cause: 'B1=burnt',
    remedy: 'strip-down',
  });
  expect(spent.thrifty).toBe(false);
  expect(() => gradeDiagnosis(BURNT, [entry('x')], { cause: '', remedy: 'adjust' })).toThrow(
    'expected a check',
  );
});

test('two causes at once: naming one is a part, and the dearer remedy counts', () => {
  const both: Fault[] = [
    { target: 'pressure-cable', kind: 'cable-long' },
    { target: 'B1', kind: 'burnt' },
  ];
  expect(remedyOf(both)).toBe('strip-down');
  const grade = gradeDiagnosis(deskOf(both), [], { cause: 'B1=burnt', remedy: 'strip-down' });
  expect(grade.cause).toBe('part');
});

test('a complaint is made of what differs, and says nothing else', () => {
  for (const truth of all) {
    const told = complaintOf(shop, truth, sound, 'seed');
    if (!hasSymptom(shop, truth, sound)) expect(told).toEqual([]);
    else expect(told.length).toBeGreaterThan(0);
    for (const { check, answer } of told) expect(answer).toEqual(readingOf(check, truth));
  }
  const light = examine(shop, [{ target: 'fluid', kind: 'low-fluid', severity: 0.8 }]);
  expect(hasSymptom(shop, light, sound)).toBe(false);
});

test.each([
  ['automatic', auto],
  ['coupling', furnished(COUPLING)],
])('cases from a seed: %s', (_name, bench) => {
  const drawn = DIFFICULTIES.map((d) => drawCase(bench.shop, bench.all, 'seed', d)!);
  expect(drawn[0]!.steps).toBeLessThanOrEqual(drawn[1]!.steps);
  expect(drawn[1]!.steps).toBeLessThanOrEqual(drawn[2]!.steps);
  expect(drawCase(bench.shop, bench.all, 'seed', 'hard')).toEqual(drawn[2]);
  // Brute force: at least those that give everything a driver notices share what the ticket says of it.
  for (const { cause, alike } of drawn) {
    const truth = examine(bench.shop, [cause]);
    const said = complaintOf(bench.shop, truth, bench.sound, 'seed');
    const others = bench.all.filter((c) =>
      said.every((r) => agrees(r.check, readingOf(r.check, truth), readingOf(r.check, c))),
    );
    const kinds = new Set(others.map((c) => faultKey(c.faults)));
    kinds.delete(faultKey(truth.faults));
    expect(alike).toBeGreaterThanOrEqual(kinds.size);
    expect(alike).toBeLessThan(new Set(bench.all.map((c) => faultKey(c.faults))).size);
  }
  for (const { cause } of drawn)
    expect(hasSymptom(bench.shop, examine(bench.shop, [cause]), bench.sound)).toBe(true);
});
