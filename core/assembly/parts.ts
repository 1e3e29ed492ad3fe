/**
 * The parts of a unit and what may leave before what, as one who takes it apart meets them. Nothing is listed by hand for
 * a unit: `planOf` makes all of it from the unit's members, sets and elements. Every limit and order here yields to the
 * maker's manual.
 */

/** The ways out of a case. */
export const OPENINGS = ['front', 'rear', 'below', 'side'] as const;
export type Opening = (typeof OPENINGS)[number];

export const PART_KINDS = [
  'fluid',
  'converter',
  'fitting',
  'pan',
  'filter',
  'valve-body',
  'rod',
  'pin',
  'pump',
  'support',
  'bolt',
  'snap-ring',
  'shaft',
  'output-shaft',
  'extension',
  'shell',
  'hub',
  'drum',
  'pack',
  'spring',
  'piston',
  'seals',
  'crank-seal',
  'band',
  'anchor',
  'servo-ring',
  'servo',
  'race',
  'cage',
  'pawl',
  'sun',
  'carrier',
  'ring',
  'pinions',
  'washers',
  'gear',
  'sleeve',
  'sleeve-hub',
  'inserts',
  'interlock',
  'nut',
  'shaft-bearing',
  'shim',
  'blocker-rings',
  'fork',
  'clutch-cover',
  'disc',
  'flywheel',
  'gearbox',
  'battery',
  'linkage',
  'mark',
  'bush',
  'bearing',
  'thrust-washer',
  'thrust-bearing',
  'end-plate',
  'cushion-plate',
  'accumulator',
  'strut',
  'feed-rings',
  'pins',
  'needles',
  'gasket',
  'body-gaskets',
  'separator-plate',
  'balls',
  'case',
] as const;
export type PartKind = (typeof PART_KINDS)[number];

export interface Part {
  readonly id: string;
  readonly kind: PartKind;
  /** Id of the gear set, element or member it belongs to; `unit` for what every unit of its sort has. */
  readonly of: string;
  readonly count: number;
  /** Ways by which it can leave; of what lies in another part, that part's. */
  readonly openings: readonly Opening[];
  /** Thickness when it was new, mm: of what looks like others and is told from them by it. */
  readonly size?: number;
  /** Elements that its sides work for; `null` for a side that has none. */
  readonly sides?: readonly (string | null)[];
  /** Small, beside the main ones: a job may leave it out. */
  readonly fine?: true;
}

/** What a broken rule does: to a person, to a part, to a small part that falls, to the time; or nothing. */
export const CONSEQUENCES = ['hurts', 'breaks', 'lost', 'wasted', 'none'] as const;
export type Consequence = (typeof CONSEQUENCES)[number];

/**
 * Every rule of the order, with why it is one and what breaking it does (common practice, no source; the maker's manual
 * decides).
 */
export const ORDER_RULES = {
  'drain-first': { why: 'oil-runs-out', consequence: 'hurts' },
  'outside-first': { why: 'fitting-catches', consequence: 'breaks' },
  'pan-first': { why: 'not-reachable', consequence: 'wasted' },
  'converter-first': { why: 'weight-on-bush-and-seal', consequence: 'breaks' },
  'body-before-pump': { why: 'reaches-into-the-other', consequence: 'breaks' },
  'linkage-with-body': { why: 'rod-bends', consequence: 'breaks' },
  'selector-pin': { why: 'bore-tears', consequence: 'breaks' },
  'pump-before-drums': { why: 'closes-the-front', consequence: 'wasted' },
  'band-slack': { why: 'drum-jams', consequence: 'breaks' },
  'servo-ring': { why: 'spring-throws-the-cover', consequence: 'hurts' },
  'servo-first': { why: 'pin-holds-the-band', consequence: 'breaks' },
  'support-bolt': { why: 'lug-breaks', consequence: 'breaks' },
  'rear-open': { why: 'not-reachable', consequence: 'wasted' },
  'output-ring': { why: 'stack-will-not-slide', consequence: 'breaks' },
  'way-out': { why: 'lies-before', consequence: 'wasted' },
  'either-way-out': { why: 'lies-before-on-both-sides', consequence: 'wasted' },
  'washer-behind': { why: 'washer-stays-on-the-oil', consequence: 'lost' },
  'in-the-drum': { why: 'not-reachable', consequence: 'wasted' },
  'thin-first': { why: 'thin-bolts-bend', consequence: 'breaks' },
  'balls-under-plate': { why: 'balls-fall', consequence: 'lost' },
  retained: { why: 'is-retained', consequence: 'wasted' },
  'spring-press': { why: 'spring-flies', consequence: 'hurts' },
  'set-apart': { why: 'not-reachable', consequence: 'wasted' },
  'battery-first': { why: 'shaft-is-turned-by-hand', consequence: 'hurts' },
  'behind-the-box': { why: 'not-reachable', consequence: 'wasted' },
  'marked-first': { why: 'balance-is-lost', consequence: 'lost' },
  'fork-first': { why: 'holds-the-sleeve', consequence: 'breaks' },
  'all-out': { why: 'still-holds-parts', consequence: 'wasted' },
} as const satisfies Readonly<Record<string, { why: string; consequence: Consequence }>>;
export type OrderRule = keyof typeof ORDER_RULES;
export type OrderWhy = (typeof ORDER_RULES)[OrderRule]['why'];

/** `after` may leave when all of `before` have left, and at least one of each list in `any`. */
export interface Precedence {
  readonly after: string;
  readonly before: readonly string[];
  readonly any: readonly (readonly string[])[];
  readonly rule: OrderRule;
}

/** Where something stands: along the axis from the front, and nearest to and farthest from it, in heights of the section. */
export interface Place {
  readonly at: number;
  readonly inner: number;
  readonly outer: number;
}

/** What lies between two parts on the axis that turn against each other. */
export interface Thrust {
  readonly part: string;
  readonly between: readonly [string, string];
  /** Chosen by the end play that is measured: the foremost and the rearmost. */
  readonly selective: boolean;
}

export interface StripPlan {
  readonly unit: string;
  readonly parts: readonly Part[];
  readonly rules: readonly Precedence[];
  readonly thrusts: readonly Thrust[];
  /** Of what stands on the axis, by part. */
  readonly places: Readonly<Record<string, readonly Place[]>>;
}

/** What sort of machine a unit is, for what lies round its gears. */
export interface Sort {
  /** Planetary sets on one axis, behind a converter. */
  readonly planetary: boolean;
  /** Oil applies some of its elements. */
  readonly hydraulic: boolean;
  /** The element that is a dry clutch; `null` where there is none. */
  readonly dry: string | null;
}
