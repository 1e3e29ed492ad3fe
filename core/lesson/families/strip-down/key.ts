import {
  bestSize,
  breakEven,
  freeParts,
  hasFacing,
  jobProblems,
  measuresOf,
  standingOf,
  stationsOf,
  verdictFor,
  windowAsMeasured,
  type OrderRule,
  type Right,
  type Standing,
  type Station,
  limitsOf,
  pricesOf,
} from '../../../assembly';
import { found, refused, type KeyResult } from '../../family';
import { becomesOf, laidJob, measuredGap, shownOn, type LaidJob } from './bench';
import type { Becomes, StripQuestion, StripSubject } from './kinds';

/** Answers to questions about a job, computed from its model. */
export type StripKey =
  | { readonly kind: 'free-now'; readonly free: readonly string[] }
  | { readonly kind: 'strip-order' }
  | { readonly kind: 'why-first'; readonly rules: readonly OrderRule[] }
  | { readonly kind: 'lay-out'; readonly order: readonly string[] }
  | { readonly kind: 'way-round'; readonly becomes: Becomes }
  | { readonly kind: 'verdict'; readonly right: readonly Right[] }
  | { readonly kind: 'read-gauge'; readonly value: number; readonly standing: Standing }
  | { readonly kind: 'choose-size'; readonly size: number }
  | { readonly kind: 'worth-it'; readonly value: number }
  | { readonly kind: 'whole-job'; readonly stations: readonly Station[] };

export type StripKeyFault =
  | 'job-missing'
  | 'job-broken'
  | 'part-not-there'
  | 'nothing-free'
  | 'any-order-will-do'
  | 'no-rule-between'
  | 'nothing-to-choose';

export type StripKeyResult = KeyResult<StripKey, StripKeyFault>;

/** Rules by which one must leave before the other. */
export const rulesBetween = ({ plan }: LaidJob, first: string, part: string): OrderRule[] => [
  ...new Set(
    plan.rules.filter((r) => r.after === part && r.before.includes(first)).map((r) => r.rule),
  ),
];

/** Place along the axis from the front. */
export const placeOf = ({ plan }: LaidJob, id: string): number | null => {
  const places = plan.places[id];
  return places && places.length > 0 ? Math.min(...places.map((p) => p.at)) : null;
};

export function stripKey(question: StripQuestion, { job: stored }: StripSubject): StripKeyResult {
  const laid = laidJob(stored, question);
  if (!laid || jobProblems(laid.job, laid.plan).length > 0) return refused('job-broken');
  if (!namedIn(question).every((id) => laid.parts.has(id))) return refused('part-not-there');
  const { job, plan, parts } = laid;
  switch (question.kind) {
    case 'free-now': {
      const off = new Set(question.off);
      const now = new Set(freeParts(plan, off));
      const free = question.offered.filter((id) => now.has(id));
      if (free.length === 0 || free.length === question.offered.length)
        return refused('nothing-free');
      return found({ kind: 'free-now', free });
    }
    case 'strip-order':
      return plan.rules.some(
        (r) => question.parts.includes(r.after) && within(r.before, question.parts),
      )
        ? found({ kind: 'strip-order' })
        : refused('any-order-will-do');
    case 'why-first': {
      const rules = rulesBetween(laid, question.first, question.part);
      return rules.length > 0 ? found({ kind: 'why-first', rules }) : refused('no-rule-between');
    }
    case 'lay-out': {
      const placed = question.parts.map((id) => ({ id, at: placeOf(laid, id) }));
      if (placed.length < 2 || placed.some((p) => p.at === null)) return refused('part-not-there');
      const order = placed.sort((a, b) => a.at! - b.at!).map((p) => p.id);
      return found({ kind: 'lay-out', order });
    }
    case 'way-round':
      return hasFacing(parts.get(question.part)!)
        ? found({ kind: 'way-round', becomes: becomesOf(laid, question.part) })
        : refused('nothing-to-choose');
    case 'verdict': {
      const part = parts.get(question.part)!;
      return found({ kind: 'verdict', right: verdictFor(job, part, measuresOf(part)).right });
    }
    case 'read-gauge': {
      const part = parts.get(question.part)!;
      if (!measuresOf(part).includes(question.measure)) return refused('nothing-to-choose');
      const value = shownOn(laid, question.part, question.measure);
      const window = windowAsMeasured(question.measure, part, job);
      return found({
        kind: 'read-gauge',
        value,
        standing: standingOf(value, question.measure, window),
      });
    }
    case 'choose-size': {
      const measured = measuredGap(laid, question.part);
      const size =
        measured && bestSize(measured.selective, measured.gap, measured.on, limitsOf(job));
      return size === null ? refused('nothing-to-choose') : found({ kind: 'choose-size', size });
    }
    case 'worth-it':
      return found({
        kind: 'worth-it',
        value: 100 * breakEven(parts.get(question.part)!, plan, pricesOf(job)),
      });
    case 'whole-job':
      return found({ kind: 'whole-job', stations: stationsOf(job) });
  }
}

const within = (ids: readonly string[], list: readonly string[]): boolean =>
  ids.some((id) => list.includes(id));

function namedIn(question: StripQuestion): readonly string[] {
  if (question.kind === 'free-now') return [...question.off, ...question.offered];
  if (question.kind === 'why-first') return [question.first, question.part];
  if ('parts' in question) return question.parts;
  return 'part' in question ? [question.part] : [];
}
