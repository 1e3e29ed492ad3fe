import { rigOfModels, type MachineModels, type Rig } from '../faults';
import { clutchPlan } from './clutchPlan';
import { demandsOf, type Demands } from './demands';
import type { HiddenDamage } from './damage';
import type { OwnLimits } from './measureSpec';
import { USUAL_PRICES } from './orderSheet';
import type { StripPlan } from './parts';
import { knownPlan, planOf, rememberPlan } from './plan';
import { USUAL_SCHOOL, type Prices, type School } from './schools';

/** The stations of a job, in their order. */
export const STATIONS = ['before', 'off', 'inspect', 'order', 'together', 'prove'] as const;
export type Station = (typeof STATIONS)[number];

/**
 * A job for the Strip-down bench as people exchange it: a unit or a dry clutch, what is hidden in it, the shop's school,
 * prices and limits. Parts, order, ways round and measures come out of the model. Its schema is `formats/jobV1.ts`.
 */
export interface Job extends MachineModels {
  format: 'fair-sprocket/job';
  version: 1;
  id: string;
  name: string;
  /** Markdown; for the instructor. */
  notes?: string;
  /** In the driver's own words. */
  complaint: string;
  /** What readings and lots are drawn from. */
  seed: string;
  hidden: HiddenDamage[];
  /** The usual ones where nothing is said. */
  demands?: Demands;
  school: School;
  prices: Prices;
  limits: OwnLimits;
  /** What is shown; all when it is empty. */
  stations: Station[];
}

/** A job of which only what is told here is special: sound, with the usual school and prices. */
export const newJob = (told: Pick<Job, 'id' | 'name'> & Partial<Job>): Job => ({
  format: 'fair-sprocket/job',
  version: 1,
  complaint: '',
  seed: told.id,
  hidden: [],
  school: USUAL_SCHOOL,
  prices: USUAL_PRICES,
  limits: {},
  stations: [],
  ...told,
});

export type JobProblem =
  | { readonly code: 'no-machine' }
  | { readonly code: 'no-such-part'; readonly part: string }
  | { readonly code: 'not-on-this-part'; readonly part: string }
  | { readonly code: 'hidden-twice'; readonly part: string }
  | { readonly code: 'limits-upside-down'; readonly measure: string };

/** Everything on the bench: of a unit, or of a dry clutch where there is no unit. @returns `null` without either */
export function planOfJob(job: Pick<Job, 'unit' | 'clutch' | 'demands'>): StripPlan | null {
  const { unit, clutch } = job;
  const { parts } = demandsOf(job);
  if (unit) return knownPlan(unit, parts) ?? rememberPlan(unit, parts, planOf(unit, parts));
  return clutch ? clutchPlan(clutch) : null;
}

/** What is driven once it is together. */
export const rigOfJob = (job: Job): Rig => rigOfModels(job, 0);

export const stationsOf = ({ stations }: Pick<Job, 'stations'>): readonly Station[] =>
  stations.length > 0 ? STATIONS.filter((s) => stations.includes(s)) : STATIONS;
