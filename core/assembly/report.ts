import type { Fault } from '../faults';
import {
  conditionOf,
  damagesOf,
  mends,
  type Condition,
  type Decision,
  type Reason,
} from './damage';
import { lateCost, minutesTaken } from './demands';
import type { Job, JobProblem } from './job';
import type { MeasureId, MeasureState } from './measureSpec';
import { measuresOf } from './measures';
import { legalOrder, workOf } from './order';
import {
  gradeOrder,
  MACHINE_FACTS,
  unasked,
  type MachineFact,
  type OrderGrade,
} from './orderSheet';
import type { Part, StripPlan } from './parts';
import { bestSize, selectivesOf } from './selective';
import {
  conditionFitted,
  errorsIn,
  faultsOf,
  leftOut,
  togetherOf,
  type AssemblyError,
  type Fit,
} from './together';
import { limitsOf, pricesOf } from './schools';
import { judgedAgainst, verdictOf } from './verdict';

/** One reading that was taken. */
export interface Taken {
  part: string;
  measure: MeasureId;
  state: MeasureState;
  /** As it was read: mm or Ω. */
  value: number;
  /** Before the first bolt. */
  before: boolean;
}

/** What was written down of a part as it came off, for the day it goes back. */
export interface LogEntry {
  part: string;
  note: string;
  /** A small picture, as a data URL. */
  photo?: string;
  /** To be looked at again. */
  doubt: boolean;
}
/** Most entries of a log, and characters of a note and of a picture. */
export const LOG_LIMITS = { entries: 40, note: 500, photo: 80_000 } as const;

/** What somebody has done on a job: nothing of it is an answer. */
export interface JobWork {
  /** Every try to take a part off. */
  tried: string[];
  taken: Taken[];
  judged: Record<string, { decision: Decision; reason: Reason }>;
  ordered: string[];
  /** What was asked about the machine before parts were ordered. */
  asked?: MachineFact[];
  /** What was put in, in its order. */
  fits: Fit[];
  /** Tries to put in what could not go in yet. */
  wasted: number;
  /** How often it was asked what is free. */
  helped: number;
  log: LogEntry[];
}
export const NEW_JOB_WORK: JobWork = {
  tried: [],
  taken: [],
  judged: {},
  ordered: [],
  fits: [],
  wasted: 0,
  helped: 0,
  log: [],
};

/** Parts that must be new, however the shop works: what is bad, and what is used once. */
export function mustBeNew(job: Job, plan: StripPlan): Set<string> {
  return new Set(
    plan.parts
      .filter((part) => verdictFor(job, part).right[0]!.decision === 'replace')
      .map((p) => p.id),
  );
}

export const conditionIn = (job: Job, part: Part): Condition =>
  conditionOf(part, job.hidden, job.seed);

export const verdictFor = (job: Job, part: Part, measured: readonly MeasureId[] = []) =>
  verdictOf({
    part,
    condition: conditionIn(job, part),
    school: job.school,
    limits: limitsOf(job),
    measured,
  });

/** What was judged of one part, against what counts. */
export interface JudgedPart {
  readonly part: string;
  readonly decision: boolean;
  readonly reason: boolean;
}

export interface JobReport {
  /** The end play was measured while it still could be; `null` where there is none to measure. */
  readonly measuredBefore: boolean | null;
  /** Marks lost by taking parts out of turn, and by asking what is free. */
  readonly offCost: number;
  readonly judged: readonly JudgedPart[];
  /** Parts with something wrong that nobody has judged, or judged right. */
  readonly missed: readonly string[];
  readonly order: OrderGrade;
  /** What should have been asked about the machine before this was ordered. */
  readonly unasked: readonly MachineFact[];
  readonly wasted: number;
  /** Shop minutes that it took, and what taking longer than was given costs. */
  readonly minutes: number;
  readonly lateCost: number;
  readonly errors: readonly AssemblyError[];
  readonly leftOut: readonly string[];
  /** What is driven out with. */
  readonly faults: readonly Fault[];
}

/** Asking what is free costs as much as a wasted try. */
export const HELP_COSTS = 1;

/** Everything that can be said of a piece of work, computed from the job's models. */
export function reportOn(job: Job, plan: StripPlan, work: JobWork): JobReport {
  const parts = new Map(plan.parts.map((p) => [p.id, p]));
  const measuredOn = (id: string) => work.taken.filter((r) => r.part === id).map((r) => r.measure);
  const judged = Object.entries(work.judged).flatMap(([id, { decision, reason }]): JudgedPart[] => {
    const part = parts.get(id);
    if (!part) return [];
    return [
      { part: id, ...judgedAgainst(verdictFor(job, part, measuredOn(id)), decision, reason) },
    ];
  });
  const seen = new Set(judged.filter((j) => j.decision).map((j) => j.part));
  const together = togetherOf(plan, work.fits);
  const errors = errorsIn(job, plan, work.judged, together.in);
  const minutes = minutesTaken(plan, work);
  return {
    measuredBefore: plan.parts.some((p) => measuresOf(p).includes('end-play-in'))
      ? work.taken.some((r) => r.before && r.measure === 'end-play-in')
      : null,
    offCost: workOf(plan, work.tried).cost + HELP_COSTS * work.helped,
    judged,
    missed: job.hidden.map((h) => h.part).filter((id) => parts.has(id) && !seen.has(id)),
    unasked: unasked(plan, work.ordered, work.asked ?? []),
    order: gradeOrder(plan, mustBeNew(job, plan), work.ordered, pricesOf(job)),
    wasted: work.wasted + together.wasted,
    minutes,
    lateCost: lateCost(job, minutes),
    errors,
    leftOut: leftOut(plan, together.in),
    faults: faultsOf(errors),
  };
}

/** Why a job can't be given out as it stands, or does not fit its unit any more; empty when it can. */
export function jobProblems(job: Job, plan: StripPlan | null): JobProblem[] {
  if (!plan) return [{ code: 'no-machine' }];
  const parts = new Map(plan.parts.map((p) => [p.id, p]));
  const hidden = job.hidden.flatMap(({ part, damage, because }, k): JobProblem[] => {
    const there = parts.get(part);
    if (!there) return [{ code: 'no-such-part', part }];
    if (!damagesOf(there).includes(damage)) return [{ code: 'not-on-this-part', part }];
    if (because !== undefined && !parts.has(because))
      return [{ code: 'no-such-part', part: because }];
    return job.hidden.findIndex((h) => h.part === part) < k ? [{ code: 'hidden-twice', part }] : [];
  });
  const limits = (Object.entries(job.limits) as [MeasureId, { least?: number; most?: number }][])
    .filter(([, l]) => l.least !== undefined && l.most !== undefined && l.least >= l.most)
    .map(([measure]): JobProblem => ({ code: 'limits-upside-down', measure }));
  return [...hidden, ...limits];
}

/** What made a damage: the chain upstream, the nearest first. */
export function causesOf(job: Job, part: string): string[] {
  const chain: string[] = [];
  for (let at: string | undefined = part; at !== undefined;) {
    const next: string | undefined = job.hidden.find((h) => h.part === at)?.because;
    if (next === undefined || chain.includes(next)) break;
    chain.push(next);
    at = next;
  }
  return chain;
}

/** Whether what burnt will burn again: it is new, and what made it is as it was. */
export const comesBack = (job: Job, { judged }: Pick<JobWork, 'judged'>, part: string): boolean =>
  causesOf(job, part).some((id) => {
    const damage = job.hidden.find((h) => h.part === id)?.damage;
    return damage !== undefined && !mends(damage, judged[id]?.decision);
  });

/** The job done without a mistake: every key of it at once, for tests and for what a wrong piece of work differs by. */
export function perfectWork(job: Job, plan: StripPlan): JobWork {
  const order = legalOrder(plan);
  const selectives = selectivesOf(plan);
  const shaft = plan.parts.find((p) => p.kind === 'shaft');
  const [measure] = shaft ? measuresOf(shaft) : [];
  const judged: JobWork['judged'] = {};
  for (const part of plan.parts) {
    const [best] = verdictFor(job, part, measuresOf(part)).right;
    judged[part.id] = { decision: best!.decision, reason: best!.reasons[0]! };
  }
  const sizeOf = (part: string): { size?: number } => {
    const selective = selectives.find((s) => s.part === part);
    const on = selective && plan.parts.find((p) => p.id === selective.on);
    const gap = on && conditionFitted(job, on, judged).values[selective.measure];
    const size = gap === undefined ? null : bestSize(selective!, gap, on!, limitsOf(job));
    return size === null ? {} : { size };
  };
  return {
    tried: order,
    taken:
      shaft && measure ? [{ part: shaft.id, measure, state: 'free', value: 0, before: true }] : [],
    judged,
    ordered: [...mustBeNew(job, plan)],
    asked: [...MACHINE_FACTS],
    fits: [...order].reverse().map((part) => ({ part, turned: false, ...sizeOf(part) })),
    wasted: 0,
    helped: 0,
    log: [],
  };
}
