import { readdirSync, readFileSync } from 'node:fs';
import { legalOrder, perfectWork, planOf, planOfJob, reportOn, type Job } from '../core/assembly';
import type { Unit } from '../core/geartrain';
import { assess } from '../core/lesson';
import { compare } from './compare';

const read = <T>(file: string): T => JSON.parse(readFileSync(file, 'utf8')) as T;
const nothing = () => undefined;

/** Taking apart: the plan of the largest demo unit, and a whole job graded, reasons and all. */
export function benchStripDown(): void {
  const units = readdirSync('demo/units').map((f) => read<Unit>(`demo/units/${f}`));
  const largest = units.reduce((a, b) => (planOf(b).parts.length > planOf(a).parts.length ? b : a));
  const plan = planOf(largest);
  const planned = compare('', nothing, () => void planOf(largest)).theirsNs / 1e6;
  const ordered = compare('', nothing, () => void legalOrder(plan)).theirsNs / 1e6;
  console.log(
    `strip-down, ${largest.id}: ${plan.parts.length} parts planned in ${planned.toFixed(1)} ms (50 ms asked), one order of all in ${ordered.toFixed(1)} ms`,
  );
  const job = read<Job>('demo/jobs/wherry-whole.json');
  const laid = planOfJob(job)!;
  const work = perfectWork(job, laid);
  const told = compare('', nothing, () => void reportOn(job, laid, work)).theirsNs / 1e6;
  const question = { kind: 'whole-job' as const, prompt: '', job: job.id };
  const subject = { kind: 'strip-down' as const, subject: { job } };
  const graded = compare(
    '',
    nothing,
    () => void assess(question, subject, { kind: 'whole-job', work }),
  ).theirsNs;
  console.log(
    `a whole job: told line by line in ${told.toFixed(1)} ms, graded with its reasons in ${(graded / 1e6).toFixed(1)} ms (200 ms asked)`,
  );
}
