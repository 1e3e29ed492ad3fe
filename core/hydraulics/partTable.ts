import { PAN, type HydraulicKind, type HydraulicPart, type PartOf } from './plan';

/** What each kind of part touches, passes and needs. */
interface PartRow<P extends HydraulicPart> {
  /** Passages that it only feels. */
  readonly feels?: (part: P) => readonly string[];
  /** Passages that oil leaves through it to the pan. */
  readonly drains?: (part: P) => readonly string[];
  /** Ways on which it can pass oil on. */
  readonly ways?: (part: P) => readonly (readonly [string, string])[];
  /** Springs, N, and openings, k, that must be above zero. */
  readonly springs?: (part: P) => readonly number[];
  readonly openings?: (part: P) => readonly number[];
}

const through = (part: { from: string; to: string }) => [[part.from, part.to]] as const;

const spool: PartRow<PartOf<'shift-valve' | 'lock-up-valve'>> = {
  feels: (p) => [
    p.governor.line,
    p.throttle.line,
    p.difference.line,
    ...(p.kick ? [p.kick.line] : []),
  ],
  ways: (p) => [...p.up, ...p.down].map((w) => [w.from, w.to] as const),
  springs: (p) => [p.spring],
};

const ROWS: { readonly [K in HydraulicKind]: PartRow<PartOf<K>> } = {
  pump: { ways: (p) => [[PAN, p.to]], openings: (p) => [p.volume, p.suction] },
  regulator: {
    feels: (p) => p.boosts.map((b) => b.line),
    drains: (p) => [p.line],
    springs: (p) => [p.spring],
    openings: (p) => [p.orifice],
  },
  relief: { drains: (p) => [p.line], openings: (p) => [p.orifice] },
  'manual-valve': {
    ways: (p) => p.places.flatMap(({ opens }) => opens.map((to) => [p.from, to] as const)),
  },
  'throttle-valve': { ways: through },
  governor: { ways: through },
  'shift-valve': spool,
  'lock-up-valve': spool,
  'lock-up-clutch': { ways: (p) => [[p.release, p.apply]], openings: (p) => [p.gap] },
  'kick-down-valve': { ways: through },
  solenoid: { ways: through, openings: (p) => [p.orifice] },
  control: {},
  feed: { ways: through, openings: (p) => [p.in, p.out] },
  shuttle: {
    ways: (p) => [
      [p.first, p.to],
      [p.second, p.to],
    ],
  },
  piston: { feels: (p) => [p.line] },
  accumulator: {
    feels: (p) => [p.line, ...(p.back ? [p.back.line] : [])],
    springs: (p) => [p.springEnd],
  },
  restriction: { ways: through, openings: (p) => [p.orifice] },
  'pressure-switch': { feels: (p) => [p.line] },
};

// One kind's row is asked with a part of that kind.
const rowOf = (part: HydraulicPart): PartRow<HydraulicPart> =>
  ROWS[part.kind] as PartRow<HydraulicPart>;

export const waysOf = (part: HydraulicPart) => rowOf(part).ways?.(part) ?? [];
export const springsOf = (part: HydraulicPart) => rowOf(part).springs?.(part) ?? [];
export const openingsOf = (part: HydraulicPart) => rowOf(part).openings?.(part) ?? [];

/** Every passage that a part touches, the pan too. */
export const linesOf = (part: HydraulicPart): string[] => [
  ...waysOf(part).flat(),
  ...(rowOf(part).feels?.(part) ?? []),
  ...(rowOf(part).drains?.(part) ?? []),
];
