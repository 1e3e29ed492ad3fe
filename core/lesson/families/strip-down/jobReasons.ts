import {
  causesOf,
  comesBack,
  conditionIn,
  hasFacing,
  perfectWork,
  reportOn,
  type JobWork,
} from '../../../assembly';
import type { Asked, Keyed, Of, ThoughtOf } from '../../family';
import type { LaidJob } from './bench';
import type { StripClaim } from './claims';
import { laid } from './grade';
import type { StripAnswer } from './kinds';
import type { StripTypes } from './types';

type Whole = Of<StripAnswer, 'whole-job'>;

/** What went wrong in a piece of work, fact by fact. */
function wentWrong({ job, plan, parts }: LaidJob, work: JobWork): StripClaim[] {
  const { errors, missed } = reportOn(job, plan, work);
  return [
    ...errors.map((e): StripClaim => ({ claim: 'mistake', part: e.part, way: e.kind, work })),
    ...missed.map((part): StripClaim => ({
      claim: 'overlooked',
      part,
      damage: conditionIn(job, parts.get(part)!).damage!,
      work,
    })),
    ...job.hidden
      .filter((h) => comesBack(job, work, h.part))
      .map((h): StripClaim => ({
        claim: 'fails-again',
        part: h.part,
        cause: causesOf(job, h.part)[0]!,
        work,
      })),
  ];
}

export const wholeJobFacts = ({ question, subject, answer }: Asked<StripTypes, 'whole-job'>) =>
  wentWrong(laid(question, subject), answer.work);

export function wholeJobThoughts({
  question,
  subject,
}: Keyed<StripTypes, 'whole-job'>): ThoughtOf<StripTypes, 'whole-job'>[] {
  const job = laid(question, subject);
  const { plan } = job;
  const good = perfectWork(job.job, plan);
  const again = (work: JobWork) =>
    job.job.hidden.some((h) => h.because !== undefined && comesBack(job.job, work, h.part));
  const report = (work: JobWork) => reportOn(job.job, plan, work);
  const claims = ({ work }: Whole) => wentWrong(job, work);
  const thoughts: ThoughtOf<StripTypes, 'whole-job'>[] = [];
  const effect = job.job.hidden.find((h) => h.because !== undefined);
  if (effect) {
    const judged = { ...good.judged };
    for (const cause of causesOf(job.job, effect.part)) delete judged[cause];
    thoughts.push({
      slip: 'replaced-only-the-burnt',
      answer: { kind: 'whole-job', work: { ...good, judged } },
      gives: (a) => again(a.work),
      claims,
    });
  }
  const alone = job.job.hidden.find(
    (h) => h.because === undefined && !job.job.hidden.some((o) => o.because === h.part),
  );
  if (alone) {
    const judged = { ...good.judged };
    delete judged[alone.part];
    thoughts.push({
      slip: 'overlooked-damage',
      answer: { kind: 'whole-job', work: { ...good, judged } },
      gives: (a) => !again(a.work) && report(a.work).missed.length > 0,
      claims,
    });
  }
  const faced = plan.parts.find(hasFacing);
  if (faced)
    thoughts.push({
      slip: 'left-a-mistake-in',
      answer: {
        kind: 'whole-job',
        work: {
          ...good,
          fits: good.fits.map((f) => (f.part === faced.id ? { ...f, turned: true } : f)),
        },
      },
      gives: (a) => {
        const { missed, errors } = report(a.work);
        return !again(a.work) && missed.length === 0 && errors.length > 0;
      },
      claims,
    });
  return thoughts;
}
