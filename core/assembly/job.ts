import { rigOfModels, type MachineModels, type Rig } from '../faults';
import { clutchPlan } from './clutchPlan';
import type { HiddenDamage } from './damage';
import { type OwnLimits } from './measures';
import type { Prices } from './orderSheet';
import type { StripPlan } from './parts';
import { planOf } from './plan';
import type { School } from './verdict';

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
  school: School;
  prices: Prices;
  limits: OwnLimits;
  /** What is shown; all when it is empty. */
  stations: Station[];
}

export type JobProblem =
  | { readonly code: 'no-machine' }
  | { readonly code: 'no-such-part'; readonly part: string }
  | { readonly code: 'not-on-this-part'; readonly part: string }
  | { readonly code: 'hidden-twice'; readonly part: string }
  | { readonly code: 'limits-upside-down'; readonly measure: string };

/** Everything on the bench: of a unit, or of a dry clutch where there is no unit. @returns `null` without either */
export function planOfJob({ unit, clutch }: Pick<Job, 'unit' | 'clutch'>): StripPlan | null {
  if (unit) return planOf(unit);
  return clutch ? clutchPlan(clutch) : null;
}

/** What is driven once it is together. */
export const rigOfJob = (job: Job): Rig => rigOfModels(job, 0);

export const stationsOf = ({ stations }: Pick<Job, 'stations'>): readonly Station[] =>
  stations.length > 0 ? STATIONS.filter((s) => stations.includes(s)) : STATIONS;
