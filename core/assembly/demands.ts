import { randomFromSeed } from '../numerics';
import { timeOf } from './orderSheet';
import { workOf } from './order';
import type { Part, StripPlan } from './parts';
import { selectivesOf } from './selective';

/** What a job asks of its student beside the work itself. */
export interface Demands {
  /** `all`: bolts, gaskets, needles, sealing rings and the like, too. */
  parts: 'main' | 'all';
  /** Whether bags tell what lies in them: what looks alike is told by the gauge and by one's own log. */
  labels: 'kept' | 'lost';
  /** Somebody else was at the tray: two parts that look alike lie in each other's bags. */
  visitor: boolean;
  /** Whether what is free can be shown at all. */
  help: boolean;
  /** Shop minutes to have it apart, with all that is measured; `null`: as long as it takes. */
  minutes: number | null;
}
export const USUAL_DEMANDS: Demands = {
  parts: 'main',
  labels: 'kept',
  visitor: false,
  help: true,
  minutes: null,
};

/** Thrust washers that nothing but their thickness tells apart. Those that are chosen by size are chosen anew. */
export function lookAlikes(plan: StripPlan): Part[] {
  const chosen = new Set(selectivesOf(plan).map((s) => s.part));
  const washers = plan.parts.filter((p) => p.kind === 'thrust-washer' && !chosen.has(p.id));
  return washers.length > 1 ? washers : [];
}

interface Asks {
  readonly demands?: Demands;
}
export const demandsOf = ({ demands = USUAL_DEMANDS }: Asks): Demands => demands;

/** Two of them that are not of one thickness: with these in each other's bags, something is wrong. */
function pairsThatDiffer(plan: StripPlan): (readonly [string, string])[] {
  const alike = lookAlikes(plan);
  return alike.flatMap((a, k) =>
    alike.slice(k + 1).flatMap((b) => (a.size === b.size ? [] : [[a.id, b.id] as const])),
  );
}
export const canSwap = (plan: StripPlan): boolean => pairsThatDiffer(plan).length > 0;

/**
 * What lies in each bag that is named for a part: its own, but where somebody was at the tray two of different thickness have
 * changed places. @returns the part by the bag's name
 */
export function bagsOf(
  job: Asks & { readonly seed: string },
  plan: StripPlan,
): ReadonlyMap<string, string> {
  const bags = new Map(lookAlikes(plan).map((p) => [p.id, p.id]));
  if (!demandsOf(job).visitor) return bags;
  const pairs = pairsThatDiffer(plan);
  if (pairs.length === 0) return bags;
  const [one, other] = randomFromSeed(`visitor ${job.seed}`).pick(pairs);
  return bags.set(one, other).set(other, one);
}

/** Whether it has to be found out which of several alike goes to a part's place. */
export function isOneOfMany(job: Asks, plan: StripPlan, { id }: Pick<Part, 'id'>): boolean {
  const { labels, visitor } = demandsOf(job);
  return (labels === 'lost' || visitor) && lookAlikes(plan).some((p) => p.id === id);
}

/** The part that lies in the bag of this name; `null` where no bag has one. */
export const fromBag = (
  job: Asks & { readonly seed: string },
  plan: StripPlan,
  { id }: Pick<Part, 'id'>,
): string | null => (demandsOf(job).labels === 'lost' ? null : (bagsOf(job, plan).get(id) ?? null));

/** Shop minutes of one reading (from memory). */
const MINUTES_TO_MEASURE = 2;
/** Over the time that was given, each begun ten minutes cost a mark (the project's own scale). */
const MINUTES_A_MARK = 10;

/** What the work took so far: off, turned on the stand, measured. */
export const minutesTaken = (
  plan: StripPlan,
  work: { readonly tried: readonly string[]; readonly taken: readonly unknown[] },
): number =>
  timeOf(plan, workOf(plan, work.tried).off).minutes + MINUTES_TO_MEASURE * work.taken.length;

/** Marks lost by taking longer than was given. */
export function lateCost(job: Asks, taken: number): number {
  const { minutes } = demandsOf(job);
  return minutes === null ? 0 : Math.ceil(Math.max(0, taken - minutes) / MINUTES_A_MARK);
}
