import type { Clutch } from '../../clutch';
import type { Unit } from '../../geartrain';
import { demoFile } from '../../tests/demoFile';
import {
  DAMAGE_SPECS,
  legalOrder,
  newJob,
  planOf,
  type Fit,
  type Job,
  type Part,
  type StripPlan,
} from '../index';

/** One job for the tests of jobs: a demo unit with nothing hidden, and what is right on it. */
export const skerry = demoFile<Unit>('units/skerry-three');
export const clutch = demoFile<Clutch>('clutches/bollard-nine');
export const job = (change: Partial<Job> = {}): Job =>
  newJob({ id: 'job', name: 'A job', unit: skerry, seed: 'one', ...change });
export const plan = planOf(skerry, 'main');
export const part = (id: string, of: StripPlan = plan): Part => of.parts.find((p) => p.id === id)!;
export const rightFits = (of: StripPlan): Fit[] =>
  [...legalOrder(of)].reverse().map((id) => ({ part: id, turned: false }));
/** Judges every hidden damage as it should be. */
export const judgedRight = (of: Job) =>
  Object.fromEntries(
    of.hidden.map(({ part: id, damage }) => {
      const { decision, reason } = DAMAGE_SPECS[damage];
      return [id, { decision, reason }];
    }),
  );
