import { randomFromSeed } from '../numerics';
import { expectApproved } from '../tests/approved';
import { demoAll, demoUnits } from '../tests/demoFile';
import { allKnown, bothWays, knownBy } from './bothWays';
import { DAMAGE_SPECS, damagesOf, drawDamage } from './damage';
import { FACING_RULES, FACINGS } from './facings';
import { bagsOf, demandsOf, lateCost, lookAlikes, minutesTaken } from './demands';
import { hazardsOf } from './hazards';
import { jobProblems, perfectWork, reportOn, verdictFor, conditionIn, mustBeNew } from './report';
import { planOfJob, stationsOf, type Job } from './job';
import { measuresOf, readingOf, spreadOf, windowAsMeasured, windowOf } from './measures';
import { MEASURES } from './measureTable';
import { checkOrder, costOf, freeParts, legalOrder, workOf } from './order';
import {
  breakEven,
  daysOf,
  gradeOrder,
  hoursOf,
  minutesOf,
  numberOn,
  sheetOf,
  timeOf,
  USUAL_PRICES,
} from './orderSheet';
import { planOf } from './plan';
import { limitsOf, pricesOf } from './schools';
import { TIERS } from './verdict';
import { bestSize, gapWith, selectivesOf } from './selective';
import { checksFor, errorsIn, faultsOf, leftOut, togetherOf } from './together';

test('units taken apart: parts, what leaves before what, and how long it takes', () => {
  const said: Record<string, unknown> = {};
  for (const unit of demoUnits()) {
    const plan = planOf(unit, 'all');
    const order = legalOrder(plan);
    said[`${unit.id} order`] = [order, timeOf(plan, order), hoursOf(plan), freeParts(plan)];
    for (const part of plan.parts)
      said[`${unit.id} ${part.id}`] = [
        part,
        damagesOf(part),
        measuresOf(part),
        hazardsOf(part),
        minutesOf(part),
      ];
    said[`${unit.id} rules`] = plan.rules;
    said[`${unit.id} thrusts`] = [
      plan.thrusts,
      plan.places,
      lookAlikes(plan).map((p) => p.id),
      selectivesOf(plan),
    ];
    const back = order.toReversed().slice(0, 14);
    said[`${unit.id} back`] = [
      checkOrder(plan, back),
      costOf(checkOrder(plan, back)),
      workOf(plan, back),
    ];
    said[`${unit.id} damage`] = (['easy', 'middling', 'hard'] as const).map((how) =>
      drawDamage(plan, 'approved', how),
    );
  }
  expectApproved('taken-apart', said);
});

test('what damage, measures and facings are made of', () => {
  const said: Record<string, unknown> = {};
  const tables = { DAMAGE_SPECS, MEASURES, FACINGS, FACING_RULES, TIERS, USUAL_PRICES };
  for (const [name, table] of Object.entries(tables))
    for (const [key, row] of Object.entries(table)) said[`${name} ${key}`] = row;
  expectApproved('strip-down-tables', said);
});

test.each(demoAll<Job>('jobs').map((job) => [job.id, job] as const))(
  '%s: judged, ordered and put together',
  (id, job) => {
    const said: Record<string, unknown> = {};
    const plan = planOfJob(job)!;
    const prices = pricesOf(job);
    const random = randomFromSeed('approved');
    for (const part of plan.parts) {
      const measures = measuresOf(part);
      said[part.id] = [
        verdictFor(job, part, measures),
        conditionIn(job, part),
        [daysOf(part, prices), numberOn(plan, part), breakEven(part, plan, prices)],
      ];
      for (const measure of measures)
        said[`${part.id} ${measure}`] = [
          windowOf(measure, part, limitsOf(job)),
          windowAsMeasured(measure, part, job),
          MEASURES[measure].states.map(([state]) => readingOf(measure, 1.2, state, random)),
        ];
    }
    const must = mustBeNew(job, plan);
    for (const tier of [1, 2, 3] as const)
      said[`sheet ${tier}`] = sheetOf(plan, tier, must, prices);
    const some = plan.parts.filter((_p, k) => k % 5 === 0).map((p) => p.id);
    said['ordered'] = [
      gradeOrder(plan, must, some, prices),
      gradeOrder(plan, must, [...must], prices),
    ];
    said['job'] = [
      jobProblems(job, plan),
      stationsOf(job),
      demandsOf(job),
      bagsOf(job, plan),
      lateCost(job, 500),
    ];
    said['sizes'] = selectivesOf(plan).map((s) => {
      const on = plan.parts.find((p) => p.id === s.on)!;
      return [0.2, 0.5, 0.9, 1.6].map((gap) => [bestSize(s, gap, on), gapWith(gap, s, s.now)]);
    });
    const work = perfectWork(job, plan);
    said['perfect'] = [work.tried, minutesTaken(plan, work), spreadOf([1, 1.02, 0.97])];
    const hasty = {
      ...work,
      judged: {},
      ordered: [],
      fits: work.fits.slice(0, -3).map((f, k) => ({ ...f, turned: k % 4 === 0 })),
    };
    for (const [name, done] of [
      ['perfect', work],
      ['hasty', hasty],
    ] as const) {
      said[`${name} report`] = reportOn(job, plan, done);
      for (const one of bothWays(
        job,
        plan,
        name === 'perfect' ? allKnown(job, plan) : knownBy(done),
      ))
        said[`${name} ${one.school}`] = one;
    }
    const errors = errorsIn(job, plan, hasty.judged, hasty.fits);
    said['errors'] = [errors, faultsOf(errors), leftOut(plan, hasty.fits), checksFor(plan)];
    said['together'] = togetherOf(plan, hasty.fits);
    expectApproved(`job-${id}`, said);
  },
);
