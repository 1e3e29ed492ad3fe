import type { Job, JobWork, Part, StripPlan } from '../../core/assembly';

/** A job on the bench, its parts, and what has been done on it so far. */
export interface OnBench {
  job: Job;
  plan: StripPlan;
  parts: ReadonlyMap<string, Part>;
  work: JobWork;
  onWork: (change: Partial<JobWork>) => void;
  /** It is asked about: nothing tells what was right before it is handed in. */
  closed?: boolean;
}
