import {
  allKnown,
  bothWays,
  checkOrder,
  conditionIn,
  errorsIn,
  knownBy,
  legalOrder,
  limitsOf,
  newJob,
  NEW_JOB_WORK,
  planOfJob,
  pricesOf,
  priceOf,
  REAR_FRICTION,
  SCHOOL_WAYS,
  sheetOf,
  timeOf,
  verdictFor,
  windowAsMeasured,
  type Figure,
  type Job,
  type SchoolId,
  type Way,
} from './index';
import { clutch, job, plan, part, rightFits } from './tests/oneJob';

const dry = newJob({ id: 'dry', name: 'A dry clutch', clutch, seed: 'dry' });
const dryPlan = planOfJob(dry)!;
const nothing = knownBy(NEW_JOB_WORK);

const figures = (of: Job, school: SchoolId, way: Way, known = nothing): readonly Figure[] => {
  const its = of.clutch ? dryPlan : plan;
  const row = bothWays(of, its, known).find((b) => b.school === school)!;
  return row.ways.find((w) => w.way === way)!.figures;
};
const told = (of: Job, school: SchoolId, way: Way, code: Figure['code'], known = nothing) =>
  figures(of, school, way, known).find((f) => f.code === code) as never as Record<string, number>;

test('a bore that a metal ring no longer seals may still do for a polymer one', () => {
  const drum = plan.parts.find((p) => p.kind === 'drum')!;
  const worn = (rings: Way<'rings'>, seed: string) =>
    job({
      seed,
      school: { ...job().school, rings },
      hidden: [{ part: drum.id, damage: 'worn-bore' }],
    });
  // A seed whose bore lies between both limits, clear of either's band of doubt.
  const seed = Array.from({ length: 200 }, (_, k) => `bore ${k}`).find((s) => {
    const mm = conditionIn(worn('metal', s), drum).values['ring-bore']!;
    return mm > 0.075 && mm < 0.105;
  })!;
  const decided = (rings: Way<'rings'>) =>
    verdictFor(worn(rings, seed), drum, ['ring-bore']).right[0]!.decision;
  expect([decided('metal'), decided('polymer')]).toEqual(['replace', 'reuse']);
  const faults = (rings: Way<'rings'>) =>
    errorsIn(worn(rings, seed), plan, {}, rightFits(plan)).flatMap((e) => e.faults);
  expect(faults('metal')).toMatchObject([{ target: drum.of, kind: 'seal-leaks' }]);
  expect(faults('polymer')).toEqual([]);
  // An instructor's own limit outranks the school's.
  const own = { ...worn('metal', seed), limits: { 'ring-bore': { most: 0.2 } } };
  expect(limitsOf(own)['ring-bore']).toEqual({ most: 0.2 });
  expect(verdictFor(own, drum, ['ring-bore']).right[0]!.decision).toBe('reuse');
});

test('at the rear: drag and loss by hand, a washer against needles (published: friction of needle thrust bearings 0.003–0.004)', () => {
  // 0.08 · 1000 N · 0.03 m = 2.4 N·m; at 2000 rev/min (209.4 rad/s) 503 W.
  expect(told(job(), 'rear', 'washer', 'drag').nm).toBeCloseTo(2.4, 9);
  expect(told(job(), 'rear', 'washer', 'loss').watt).toBeCloseTo(502.65, 1);
  expect(REAR_FRICTION.needle).toBeGreaterThanOrEqual(0.003);
  expect(REAR_FRICTION.needle).toBeLessThanOrEqual(0.004);
  expect(told(job(), 'rear', 'needle', 'loss').watt).toBeLessThan(25);
});

test('a refaced disc and a pattern part change what is paid and waited, by hand', () => {
  const refaced: Job = { ...dry, school: { ...dry.school, disc: 'refaced' } };
  // 110 new and one day, or 45 % of it and three: 110 + 150 = 260, 49.5 + 450 = 499.5.
  expect(told(dry, 'disc', 'new', 'cost').money).toBe(260);
  expect(told(dry, 'disc', 'refaced', 'cost').money).toBeCloseTo(499.5, 9);
  expect(priceOf({ kind: 'disc' }, pricesOf(refaced))).toBeCloseTo(49.5, 9);
  const must = new Set(['disc']);
  const days = (of: Job) => sheetOf(dryPlan, 1, must, pricesOf(of)).days;
  expect([days(dry), days(refaced)]).toEqual([1, 3]);
  const pattern: Job = { ...dry, school: { ...dry.school, supply: 'pattern' } };
  expect(priceOf({ kind: 'disc' }, pricesOf(pattern))).toBeCloseTo(0.65 * 110, 9);
  // A price that the instructor has set is that price, wherever it comes from.
  const own: Job = { ...pattern, prices: { ...dry.prices, parts: { disc: 80 } } };
  expect(priceOf({ kind: 'disc' }, pricesOf(own))).toBe(80);
  const saved = told(dry, 'supply', 'pattern', 'saved').money!;
  const paid = (way: Way<'supply'>) => told(dry, 'supply', way, 'parts-cost').money!;
  expect(saved).toBeCloseTo(paid('original') - paid('pattern'), 9);
  expect(saved).toBeCloseTo(0.35 * paid('original'), 9);
});

test('both orders of the stack are legal; their turns are counted as everybody would', () => {
  const orders = [
    legalOrder(plan, ['front', 'below', 'side', 'rear']),
    legalOrder(plan, ['side', 'below', 'rear', 'front']),
  ];
  for (const order of orders)
    expect(checkOrder(plan, order)).toEqual({ violations: [], complete: true });
  SCHOOL_WAYS.stack.forEach((way, k) => {
    const { minutes, turns } = timeOf(plan, orders[k]!);
    expect(told(job(), 'stack', way, 'turns').count).toBe(turns);
    expect(told(job(), 'stack', way, 'minutes').count).toBe(minutes);
  });
  expect(orders[0]).not.toEqual(orders[1]);
});

test('what nobody has measured is not told: hidden damage changes no figure before it was read', () => {
  const drum = plan.parts.find((p) => p.kind === 'drum')!;
  const bad = job({
    hidden: [
      { part: drum.id, damage: 'worn-bore' },
      { part: 'C1.pack', damage: 'burnt' },
    ],
  });
  expect(bothWays(bad, plan, nothing)).toEqual(bothWays(job(), plan, nothing));
  expect(told(bad, 'rings', 'metal', 'too-worn').count).toBe(0);
  expect(told(bad, 'rings', 'metal', 'too-worn', allKnown(bad, plan)).count).toBe(1);
  const read = knownBy({
    judged: { 'C1.pack': { decision: 'replace', reason: 'bare' } },
    taken: [
      { part: drum.id, measure: 'ring-bore', state: 'dry', value: 0.1, before: false },
      { part: 'C1.pack', measure: 'pack-clearance', state: 'free', value: 0.9, before: false },
    ],
  });
  expect(told(bad, 'rings', 'metal', 'too-worn', read).count).toBe(1);
  expect(told(bad, 'rings', 'polymer', 'too-worn', read).count).toBe(0);
  expect(read.must).toEqual(new Set(['C1.pack']));
  // Read free as 0.9: pressed flat it is 1.1, and left out 2.3.
  const pack = plan.parts.find((p) => p.kind === 'pack')!;
  if (pack.id === 'C1.pack')
    expect(SCHOOL_WAYS.cushion.map((c) => told(bad, 'cushion', c, 'now', read).mm)).toEqual([
      expect.closeTo(1.1, 9),
      expect.closeTo(0.9, 9),
      expect.closeTo(2.3, 9),
    ]);
});

test('every way of each has its figures, one is the shop’s own, and what is no question here is left out', () => {
  for (const [of, its] of [
    [job(), plan],
    [dry, dryPlan],
  ] as const) {
    const rows = bothWays(of, its, allKnown(of, its));
    for (const { school, ways } of rows) {
      expect(ways.map((w) => w.way)).toEqual(SCHOOL_WAYS[school]);
      expect(ways.filter((w) => w.own)).toHaveLength(1);
      for (const { figures: f } of ways) expect(f.length).toBeGreaterThan(0);
    }
  }
  const of = (one: Job) => bothWays(one, one.clutch ? dryPlan : plan, nothing).map((b) => b.school);
  expect(of(dry)).toEqual(['tier', 'disc', 'supply', 'levers']);
  expect(of(job())).not.toContain('disc');
  const window = (cushion: Way<'cushion'>) =>
    windowAsMeasured('pack-clearance', part('C1.pack'), {
      school: { ...job().school, cushion },
      limits: {},
    });
  expect(told(job(), 'cushion', 'free', 'window')).toMatchObject(window('free'));
});
