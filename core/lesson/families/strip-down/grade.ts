import {
  checkOrder,
  costOf,
  judgedAgainst,
  reportOn,
  type JobReport,
  type Station,
} from '../../../assembly';
import type { Family, GradedPart, Judged } from '../../family';
import { within } from '../../questionParts';
import { laidJob, onlyThese, type LaidJob } from './bench';
import { gaugeTolerance, WORTH_TOLERANCE } from './tolerances';
import type { StripPart, StripTypes } from './types';

/** Marks that lose all of an order: what hurts does. */
const ALL_LOST = 5;

/** The job as the question has it. @throws Error without one: its key was asked for first */
export function laid(question: StripTypes['question'], subject: StripTypes['subject']): LaidJob {
  const result = laidJob(subject.subject.job, question);
  if (!result) throw new Error('strip-down: expected a job with a machine');
  return result;
}

const one = (part: StripPart, right: boolean): GradedPart<StripPart> => ({ part, right });

export const judge: Family<StripTypes>['judge'] = {
  'free-now': ({ key, answer }) => {
    const { free } = key;
    return {
      parts: [
        one(
          'none-stuck',
          answer.parts.every((id) => free.includes(id)),
        ),
        one(
          'none-missed',
          free.every((id) => answer.parts.includes(id)),
        ),
      ],
    };
  },
  'strip-order': ({ question, subject, answer }) => {
    const { plan } = laid(question, subject);
    const here = onlyThese(plan, question.parts);
    const { violations } = checkOrder(here, answer.order);
    const parts = here.rules.flatMap(({ after, before }) =>
      before.map((first) => ({
        part: 'step' as const,
        right: answer.order.indexOf(first) < answer.order.indexOf(after),
        of: [first, after] as const,
      })),
    );
    return { parts, score: 1 - Math.min(1, costOf({ violations }) / ALL_LOST) };
  },
  'why-first': ({ key, answer }) => ({
    parts: [one('why', key.rules.includes(answer.rule))],
  }),
  // Neighbours count.
  'lay-out': ({ key, answer }) => {
    const { order } = key;
    return {
      parts: order.slice(1).map((id, k) => ({
        part: 'step' as const,
        right: answer.order.indexOf(order[k]!) + 1 === answer.order.indexOf(id),
        of: [order[k]!, id] as const,
      })),
    };
  },
  'way-round': ({ key, answer }) => ({
    parts: [one('way', answer.way === 'right'), one('becomes', answer.becomes === key.becomes)],
  }),
  verdict: ({ key, answer }) => {
    const { right } = key;
    const fits = judgedAgainst({ right }, answer.decision, answer.reason);
    return { parts: [one('decision', fits.decision), one('reason', fits.reason)] };
  },
  'read-gauge': ({ question, key, answer }) => {
    const { value, standing } = key;
    return {
      parts: [
        one('value', within(gaugeTolerance(question.measure), value, answer.value)),
        one('side', standing === 'in-doubt' || standing === answer.side),
      ],
    };
  },
  'choose-size': ({ key, answer }) => ({
    parts: [one('size', Math.abs(answer.size - key.size) < 1e-9)],
  }),
  'worth-it': ({ key, answer }) => ({
    parts: [one('value', within(WORTH_TOLERANCE, key.value, answer.value))],
  }),
  'whole-job': ({ question, subject, key, answer }) => {
    const { job, plan } = laid(question, subject);
    return wholeJob(reportOn(job, plan, answer.work), key.stations);
  },
};

/** Each station counts alike; those that can be half right are. */
function wholeJob(report: JobReport, stations: readonly Station[]): Judged<StripPart> {
  const judged =
    report.judged.length +
    report.missed.filter((id) => !report.judged.some((j) => j.part === id)).length;
  const good = report.judged.filter((j) => j.decision && j.reason).length;
  const shares: Readonly<Partial<Record<StripPart, number>>> = {
    ...(report.measuredBefore === null ? {} : { before: report.measuredBefore ? 1 : 0 }),
    off: 1 - Math.min(1, (report.offCost + report.lateCost) / (2 * ALL_LOST)),
    inspect: judged === 0 ? 0 : good / judged,
    order: report.order.right && report.unasked.length === 0 ? 1 : 0,
    together: report.errors.length + report.leftOut.length === 0 ? 1 : 0,
  };
  const parts = stations.flatMap((station) => {
    const share = station === 'prove' ? undefined : shares[station];
    return share === undefined ? [] : [{ part: station as StripPart, right: share === 1, share }];
  });
  return {
    parts: parts.map(({ part, right }) => ({ part, right })),
    score: parts.reduce((sum, p) => sum + p.share, 0) / Math.max(1, parts.length),
  };
}
