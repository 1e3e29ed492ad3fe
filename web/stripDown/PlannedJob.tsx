import { Spin } from 'antd';
import type { ReactNode } from 'react';
import { demandsOf, knownPlan, type Job } from '../../core/assembly';
import { useJobPlan } from '../state/useUnitAnswers';

interface Props {
  job: Job;
  /** Asks for the job's plan, which is known by now. */
  children: ReactNode;
}

/** Waits for the plan of a large unit, which a worker makes: until then there is nothing to show. */
export function PlannedJob({ job, children }: Props) {
  const { unit } = job;
  // Asked here and now: what another job was answered does not count.
  useJobPlan(job);
  return !unit || knownPlan(unit, demandsOf(job).parts) ? children : <Spin />;
}
