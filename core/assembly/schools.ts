import type { OwnLimits } from './measureSpec';
import type { PartKind } from './parts';

/**
 * What shops do in more than one way; both of each are in use, and neither is wrong. What they differ by is computed for a job
 * by `bothWays.ts`.
 */
export const SCHOOL_WAYS = {
  /** Sound bearings and rings, while it is apart. */
  bearings: ['reuse', 'replace'],
  /** 1: what is plainly bad, filter and linings · 2: bands and rings too · 3: bearings, washers and bushes as well. */
  tier: [1, 2, 3],
  /** How the cushion plate is while a pack's clearance is measured. */
  cushion: ['pressed', 'free', 'left-out'],
  /** What the sealing rings are made of: how far the bore that they run in may be worn. */
  rings: ['metal', 'polymer'],
  /** What takes the thrust at the rear. */
  rear: ['washer', 'needle'],
  /** A worn disc of a dry clutch. */
  disc: ['new', 'refaced'],
  /** Where parts come from. */
  supply: ['original', 'pattern'],
  /** Fingers or levers of a cover that nobody has touched. */
  levers: ['left', 'set'],
  /** How the stack leaves the case. */
  stack: ['front-first', 'on-end'],
} as const;
export type SchoolId = keyof typeof SCHOOL_WAYS;
export const SCHOOL_IDS = Object.keys(SCHOOL_WAYS) as SchoolId[];
export type Way<Id extends SchoolId = SchoolId> = (typeof SCHOOL_WAYS)[Id][number];

export type Tier = Way<'tier'>;

/** What a shop does of each; the first way where a job says nothing. */
export type School = Pick<{ [Id in SchoolId]: Way<Id> }, 'bearings' | 'tier' | 'cushion'> & {
  [Id in Exclude<SchoolId, 'bearings' | 'tier' | 'cushion'>]?: Way<Id>;
};
export const USUAL_SCHOOL: School = { bearings: 'reuse', tier: 2, cushion: 'pressed' };

export const wayOf = <Id extends SchoolId>(school: School, id: Id): Way<Id> =>
  (school[id] as Way<Id> | undefined) ?? SCHOOL_WAYS[id][0];

/** Rings of a polymer still lie close in a bore that a metal ring no longer seals: worn by at most so much, mm (from memory). */
const BORE_FOR: Readonly<Record<Way<'rings'>, number>> = { metal: 0.06, polymer: 0.12 };

interface Shop {
  readonly school: School;
  readonly limits: OwnLimits;
}

/** Limits that a shop works by: the instructor's own before those of its school. */
export const limitsOf = ({ school, limits }: Shop): OwnLimits => ({
  'ring-bore': { most: BORE_FOR[wayOf(school, 'rings')] },
  ...limits,
});

/** A pattern part against an original one (from memory). */
const PATTERN_COSTS = 0.65;
/** New facings against a new disc, and the days until it is back (from memory). */
export const REFACED_COSTS = 0.45;
export const REFACED_DAYS = 3;

/** Prices in the shop's own units; the instructor's. */
export interface Prices {
  /** An hour of work. */
  rate: number;
  /** A day that the machine stands. */
  day: number;
  /** Days that the machine stands when it comes back. */
  daysLost: number;
  /** Of one part by kind, where it is not the usual. */
  parts: Partial<Record<PartKind, number>>;
}

/** Prices as a shop of this school pays them. */
export interface ShopPrices extends Prices {
  /** All usual prices are multiplied by this; those of an instructor's own are as they stand. */
  readonly share?: number;
  readonly refaced?: boolean;
}

export const pricesOf = ({
  school,
  prices,
}: {
  readonly school: School;
  readonly prices: Prices;
}): ShopPrices => ({
  ...prices,
  ...(wayOf(school, 'supply') === 'pattern' ? { share: PATTERN_COSTS } : {}),
  ...(wayOf(school, 'disc') === 'refaced' ? { refaced: true } : {}),
});
