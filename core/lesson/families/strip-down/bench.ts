import {
  checkOrder,
  conditionFitted,
  conditionIn,
  drawDamage,
  FACINGS,
  faultsOf,
  errorsIn,
  planOfJob,
  readingOf,
  selectivesOf,
  stateAsked,
  type Job,
  type MeasureId,
  type Part,
  type Precedence,
  type Selective,
  type StripPlan,
} from '../../../assembly';
import { randomFromSeed } from '../../../numerics';
import { onceFor } from '../../../numerics';
import type { Becomes, StripQuestion } from './kinds';

/** A job laid out for questions: its plan and parts, worked out once. */
export interface LaidJob {
  readonly job: Job;
  readonly plan: StripPlan;
  readonly parts: ReadonlyMap<string, Part>;
}

const once = onceFor<Job, LaidJob | null>();

/** @param question whose draw, where it has one, hides other damage */
export function laidJob(stored: Job, question: StripQuestion): LaidJob | null {
  const draw = question.kind === 'whole-job' ? question.draw : undefined;
  return once(stored, draw ? `${draw.difficulty} ${draw.seed}` : '', () => {
    const plan = planOfJob(stored);
    if (!plan) return null;
    const job = draw
      ? { ...stored, seed: draw.seed, hidden: drawDamage(plan, draw.seed, draw.difficulty) }
      : stored;
    return { job, plan, parts: new Map(plan.parts.map((p) => [p.id, p])) };
  });
}

/** Only these, with all others off: what is left to wait for. */
export function onlyThese(plan: StripPlan, ids: readonly string[]): StripPlan {
  const here = new Set(ids);
  const rules = plan.rules
    .filter(({ after }) => here.has(after))
    .map((rule): Precedence => ({
      ...rule,
      before: rule.before.filter((id) => here.has(id)),
      // One of the two ways is clear where something of it is off.
      any: rule.any.filter((list) => list.every((id) => here.has(id))),
    }))
    .filter(({ before, any }) => before.length + any.length > 0);
  return { ...plan, parts: plan.parts.filter((p) => here.has(p.id)), rules };
}

/** Whether cards lie in an order that answers the question. */
export function orderAnswers(
  { plan }: LaidJob,
  question: StripQuestion,
  order: readonly string[],
): boolean {
  if (question.kind === 'strip-order')
    return checkOrder(onlyThese(plan, question.parts), order).violations.length === 0;
  const at = (id: string) => Math.min(...(plan.places[id] ?? []).map((p) => p.at));
  return order.every((id, k) => k === 0 || at(order[k - 1]!) <= at(id));
}

/** What the wrong way of a part is on the road; of a sound one, whatever is wrong with the one that came out. */
export function becomesOf({ job, plan }: LaidJob, part: string): Becomes {
  const sound = { [part]: { decision: 'replace' as const } };
  return faultsOf(errorsIn(job, plan, sound, [{ part, turned: true }]))[0]?.kind ?? 'nothing';
}

const EFFECTS = [...new Set(Object.values(FACINGS).map((f): Becomes => f.fault ?? 'nothing'))];
const OFFERED = 4;

/** What is offered to choose from beside it, in an order that tells nothing. */
export function effectsOffered(laid: LaidJob, part: string): Becomes[] {
  const right = becomesOf(laid, part);
  const random = randomFromSeed(`effects ${laid.job.seed} ${part}`);
  const others = EFFECTS.filter((e) => e !== right && sameMachine(laid.job, e));
  const chosen: Becomes[] = [right];
  while (chosen.length < OFFERED && others.length > 0)
    chosen.push(...others.splice(random.whole(0, others.length - 1), 1));
  return chosen.sort();
}
const sameMachine = ({ unit }: Job, effect: Becomes): boolean =>
  effect === 'nothing' || effect.startsWith('clutch-') === (unit === undefined);

/** What the instrument shows of a part of this job. */
export function shownOn({ job, parts }: LaidJob, part: string, measure: MeasureId): number {
  const value = conditionIn(job, parts.get(part)!).values[measure]!;
  const random = randomFromSeed(`shown ${job.seed} ${part} ${measure}`);
  return readingOf(measure, value, stateAsked(measure, job.school), random);
}

const allNew = ({ hidden }: Job) =>
  Object.fromEntries(hidden.map((h) => [h.part, { decision: 'replace' as const }]));

/** A selective part with the gap that was measured, mm to the hundredth. */
export function measuredGap(
  laid: LaidJob,
  part: string,
): { selective: Selective; gap: number; on: Part } | null {
  const selective = selectivesOf(laid.plan).find((s) => s.part === part);
  const on = selective && laid.parts.get(selective.on);
  if (!selective || !on) return null;
  // With all that must be new in: worn plates are not set.
  const gap = conditionFitted(laid.job, on, allNew(laid.job)).values[selective.measure];
  return gap === undefined ? null : { selective, gap: Math.round(100 * gap) / 100, on };
}
