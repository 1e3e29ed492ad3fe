import { CLUTCH_FAULTS, type ClutchFault } from '../clutch';

/**
 * A fault changes the model; the symptom is then computed from the changed model like anything else. Each kind says
 * where it can sit, how far it can have gone, and what puts it right; none says what it looks like.
 */
export interface Fault {
  /** Element, `GEARSET.PORT`, gear set, shaft or part, by the kind's site. */
  readonly target: string;
  readonly kind: FaultKind;
  /** How far it has gone, in the unit of its kind; left out, the middle of its levels. */
  readonly severity?: number;
}

export type ElementFault = 'will-not-apply' | 'stuck-on' | 'will-not-hold' | 'seized' | 'reversed';
/** Faults that change which constraints a unit has: these alone decide ratios. */
export type UnitFaultKind = ElementFault | 'broken' | 'stripped';
export const UNIT_FAULT_KINDS: readonly UnitFaultKind[] = [
  'will-not-apply',
  'stuck-on',
  'will-not-hold',
  'seized',
  'reversed',
  'broken',
  'stripped',
];

type PlainFaultKind =
  | UnitFaultKind
  | 'burnt'
  | 'seal-leaks'
  | 'ring-out'
  | 'slips'
  | 'accumulator-stuck'
  | 'rough-teeth'
  | 'rough-bearing'
  | 'rounded'
  | 'jumps-out'
  | 'jumps-out-coast'
  | 'synchro-worn'
  | 'pump-not-driven'
  | 'pump-worn'
  | 'cable-short'
  | 'cable-long'
  | 'regulator-low'
  | 'regulator-high'
  | 'low-fluid'
  | 'water-in-fluid'
  | 'stator-slips'
  | 'stator-seized'
  | 'lock-up-off'
  | 'lock-up-on'
  | 'engine-weak'
  | 'ramp-jammed'
  | 'coil-open'
  | 'pilot-worn'
  | 'pack-worn'
  | 'wrong-oil';
export type ClutchFaultKind = `clutch-${ClutchFault}`;
export type FaultKind = PlainFaultKind | ClutchFaultKind;

/** Parts that a machine has once. */
export const PARTS = [
  'oil-pump',
  'pressure-cable',
  'regulator',
  'fluid',
  'converter',
  'lock-up',
  'engine',
  'clutch',
  'coupling',
] as const;
export type Part = (typeof PARTS)[number];
export const isPart = (target: string): target is Part => PARTS.some((p) => p === target);
export type FaultSite = 'friction' | 'one-way' | 'sleeve' | 'link' | 'gearset' | 'shaft' | Part;

/** `times`: over what is usual for this fault. Shares are 0 to 1. */
export type SeverityUnit = 'share-left' | 'share-lost' | 'millimetres' | 'litres' | 'times';

/** What a shop decides: set it, mend it where it is, or take the unit out and apart. */
export const REMEDIES = ['adjust', 'in-place', 'strip-down'] as const;
export type Remedy = (typeof REMEDIES)[number];

export interface FaultSpec {
  readonly sites: readonly FaultSite[];
  /** Light, usual, heavy. */
  readonly levels?: readonly [number, number, number];
  readonly unit?: SeverityUnit;
  readonly remedy: Remedy;
  /** How often it is met against the others; an instructor may set their own (memory). */
  readonly prior: number;
}

const plain = (sites: FaultSite[], remedy: Remedy, prior: number): FaultSpec => ({
  sites,
  remedy,
  prior,
});
const graded = (
  sites: FaultSite[],
  remedy: Remedy,
  prior: number,
  unit: SeverityUnit,
  levels: [number, number, number],
): FaultSpec => ({ sites, remedy, prior, unit, levels });

const PLAIN_SPECS: Readonly<Record<PlainFaultKind, FaultSpec>> = {
  'will-not-apply': plain(['friction', 'sleeve'], 'in-place', 5),
  burnt: plain(['friction'], 'strip-down', 6),
  'seal-leaks': graded(['friction'], 'strip-down', 4, 'times', [0.6, 1, 1.6]),
  'ring-out': plain(['friction'], 'strip-down', 1),
  slips: graded(['friction'], 'strip-down', 4, 'share-left', [0.6, 0.4, 0.2]),
  'stuck-on': plain(['friction', 'sleeve'], 'strip-down', 2),
  'accumulator-stuck': plain(['friction'], 'in-place', 1),
  'will-not-hold': plain(['one-way'], 'strip-down', 3),
  seized: plain(['one-way'], 'strip-down', 1),
  reversed: plain(['one-way'], 'strip-down', 0.5),
  broken: plain(['link'], 'strip-down', 1),
  stripped: plain(['gearset'], 'strip-down', 0.5),
  'rough-teeth': plain(['gearset'], 'strip-down', 2),
  'rough-bearing': plain(['shaft'], 'strip-down', 3),
  rounded: graded(['sleeve'], 'strip-down', 4, 'share-lost', [0.7, 0.8, 0.9]),
  'jumps-out': graded(['sleeve'], 'strip-down', 3, 'millimetres', [0.8, 1, 1.5]),
  'jumps-out-coast': graded(['sleeve'], 'strip-down', 2, 'millimetres', [1.5, 2, 2.5]),
  'synchro-worn': graded(['sleeve'], 'strip-down', 5, 'share-lost', [0.9, 0.95, 0.98]),
  'pump-not-driven': plain(['oil-pump'], 'strip-down', 2),
  'pump-worn': graded(['oil-pump'], 'strip-down', 2, 'share-lost', [0.4, 0.55, 0.7]),
  'cable-short': graded(['pressure-cable'], 'adjust', 4, 'millimetres', [3, 6, 10]),
  'cable-long': graded(['pressure-cable'], 'adjust', 5, 'millimetres', [3, 6, 10]),
  'regulator-low': plain(['regulator'], 'in-place', 2),
  'regulator-high': plain(['regulator'], 'in-place', 1),
  'low-fluid': graded(['fluid'], 'adjust', 8, 'litres', [0.8, 1.5, 2.5]),
  'water-in-fluid': plain(['fluid'], 'strip-down', 1),
  'stator-slips': plain(['converter'], 'strip-down', 2),
  'stator-seized': plain(['converter'], 'strip-down', 1),
  'lock-up-off': plain(['lock-up'], 'in-place', 3),
  'lock-up-on': plain(['lock-up'], 'in-place', 2),
  'engine-weak': graded(['engine'], 'in-place', 5, 'share-lost', [0.2, 0.35, 0.5]),
  'ramp-jammed': graded(['coupling'], 'strip-down', 4, 'share-lost', [0.15, 0.35, 0.7]),
  'coil-open': plain(['coupling'], 'in-place', 4),
  'pilot-worn': graded(['coupling'], 'strip-down', 2, 'share-lost', [0.4, 0.6, 0.8]),
  'pack-worn': graded(['coupling'], 'strip-down', 3, 'millimetres', [1.5, 2.5, 3.5]),
  'wrong-oil': plain(['coupling'], 'in-place', 3),
};

const REMEDY_OF_CLUTCH: Readonly<Partial<Record<ClutchFault, Remedy>>> = {
  air: 'in-place',
  leak: 'in-place',
  'no-free-play': 'adjust',
  'too-much-play': 'adjust',
};
const PRIOR_OF_CLUTCH: Readonly<Partial<Record<ClutchFault, number>>> = {
  worn: 8,
  air: 5,
  leak: 4,
  'no-free-play': 4,
  'too-much-play': 4,
  'rough-release-bearing': 4,
  'rough-pilot-bearing': 2,
};
/** Bearings are rough or not: they have no levels. */
const clutchSpec = (fault: ClutchFault): FaultSpec => ({
  sites: ['clutch'],
  remedy: REMEDY_OF_CLUTCH[fault] ?? 'strip-down',
  prior: PRIOR_OF_CLUTCH[fault] ?? 1,
  ...(fault.startsWith('rough')
    ? {}
    : { unit: 'times' as const, levels: [0.85, 1, 1.15] as const }),
});

/** Every kind of fault with what is known of it. */
export const FAULT_SPECS: Readonly<Record<FaultKind, FaultSpec>> = {
  ...PLAIN_SPECS,
  ...(Object.fromEntries(CLUTCH_FAULTS.map((f) => [`clutch-${f}`, clutchSpec(f)])) as Record<
    ClutchFaultKind,
    FaultSpec
  >),
};
export const FAULT_KINDS = Object.keys(FAULT_SPECS) as FaultKind[];

export const isClutchFault = (kind: FaultKind): kind is ClutchFaultKind =>
  kind.startsWith('clutch-');

/** The fault of a dry clutch that a kind is. */
export const clutchFaultOf = (kind: ClutchFaultKind): ClutchFault =>
  kind.slice('clutch-'.length) as ClutchFault;

/** How far a fault has gone: what it says, or the middle of its levels; 1 for a kind without. */
export const severityOf = ({ kind, severity }: Fault): number =>
  severity ?? FAULT_SPECS[kind].levels?.[1] ?? 1;

/** The fault at each of its levels. */
export const levelsOf = (fault: Fault): Fault[] => {
  const { levels } = FAULT_SPECS[fault.kind];
  return levels ? levels.map((severity) => ({ ...fault, severity })) : [fault];
};

/** What failed and where, without how far: for lists and for keys. */
export const faultKey = (faults: readonly Fault[]): string =>
  faults
    .map((f) => `${f.target}=${f.kind}`)
    .sort()
    .join(' + ');
