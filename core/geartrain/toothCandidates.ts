import { centreTeeth, pairsByShafts } from './shafts';
import { checkTeeth } from './toothConditions';
import type { GearPair, GearSet, Unit } from './unit';

/** Which tooth counts a search may try: only those that can be built. */
export interface ToothLimits {
  readonly fewestSun: number;
  readonly mostRing: number;
  /** Fewest teeth of a pinion, and of a gear of a pair. */
  readonly fewestPinion: number;
}

/** Tooth counts that can be built, given the sets filled so far; each list is made once. */
export function candidateSource(search: ToothLimits, unit: Unit) {
  const made = new Map<string, GearSet['teeth'][]>();
  const once = (key: string, make: () => GearSet['teeth'][]) => {
    let list = made.get(key);
    if (!list) made.set(key, (list = make()));
    return list;
  };
  return (set: GearSet, chosen: ReadonlyMap<string, GearSet['teeth']>): GearSet['teeth'][] => {
    switch (set.kind) {
      case 'mesh': {
        const needed = sisterTeeth(unit, set, chosen);
        return once(`${set.id} ${needed}`, () => pairCandidates(search, set, needed));
      }
      case 'single-pinion':
        return once(set.id, () => singleCandidates(search, set, hasDoublePartner(unit, set)));
      case 'double-pinion': {
        const partner = partnerTeeth(unit, set, chosen);
        return once(`${set.id} ${partner?.ring} ${partner?.pinion}`, () =>
          doubleCandidates(search, set, partner),
        );
      }
    }
  };
}

const MOST_PAIR_TEETH = 70;

const distinct = <T extends GearSet['teeth']>(
  list: readonly T[],
  ratioOf: (t: T) => number,
): T[] => {
  const seen = new Set<string>();
  return list.filter((teeth) => {
    const key = ratioOf(teeth).toFixed(9);
    const fresh = !seen.has(key);
    seen.add(key);
    return fresh;
  });
};

/** What the centre distance asks of a pair whose shafts already carry another one. */
function sisterTeeth(
  unit: Unit,
  set: GearPair,
  chosen: ReadonlyMap<string, GearSet['teeth']>,
): number | null {
  const sisters = pairsByShafts(unit).find(({ pairs }) => pairs.includes(set))?.pairs ?? [];
  for (const { id, internal } of sisters) {
    const teeth = chosen.get(id);
    if (id !== set.id && teeth && 'first' in teeth)
      return centreTeeth({ teeth, internal: internal ?? false });
  }
  return null;
}

function pairCandidates(
  { fewestPinion, mostRing }: ToothLimits,
  { internal = false }: GearPair,
  needed: number | null,
) {
  const most = internal ? mostRing : Math.min(mostRing, MOST_PAIR_TEETH);
  const list: { first: number; second: number }[] = [];
  for (let first = fewestPinion; first <= most; first++)
    for (let second = fewestPinion; second <= most; second++)
      if (needed === null || centreTeeth({ teeth: { first, second }, internal }) === needed)
        list.push({ first, second });
  list.sort((a, b) => a.first + a.second - b.first - b.second);
  return list;
}

/** A double-pinion set on the same carrier and ring takes its ring and long pinion from this one. */
const hasDoublePartner = (unit: Unit, set: GearSet & { kind: 'single-pinion' }): boolean =>
  unit.gearsets.some(
    (g) => g.kind === 'double-pinion' && g.carrier === set.carrier && g.ring === set.ring,
  );

/** @param every sizes of one ratio matter apart; else the smallest stands for all */
function singleCandidates(
  { fewestSun, mostRing, fewestPinion }: ToothLimits,
  set: GearSet & { kind: 'single-pinion' },
  every: boolean,
) {
  const list: { sun: number; pinion: number; ring: number }[] = [];
  for (let ring = fewestSun + 2 * fewestPinion; ring <= mostRing; ring++)
    for (let sun = fewestSun; ring - sun >= 2 * fewestPinion; sun++) {
      const teeth = { sun, pinion: (ring - sun) / 2, ring };
      if (checkTeeth({ ...set, teeth }).length === 0) list.push(teeth);
    }
  return every ? list : distinct(list, (t) => t.ring / t.sun);
}

/** Ring and long pinion of a single-pinion set that shares carrier and ring. */
function partnerTeeth(
  unit: Unit,
  set: GearSet & { kind: 'double-pinion' },
  chosen: ReadonlyMap<string, GearSet['teeth']>,
): { ring: number; pinion?: number } | null {
  const partner = unit.gearsets.find(
    (g) => g.kind === 'single-pinion' && g.carrier === set.carrier && g.ring === set.ring,
  );
  const teeth = partner && chosen.get(partner.id);
  return teeth && 'ring' in teeth && 'pinion' in teeth ? teeth : null;
}

function doubleCandidates(
  { fewestSun, mostRing, fewestPinion }: ToothLimits,
  set: GearSet & { kind: 'double-pinion' },
  partner: { ring: number; pinion?: number } | null,
) {
  const list: { sun: number; inner: number; outer: number; ring: number }[] = [];
  const [lowest, highest] = partner ? [partner.ring, partner.ring] : [fewestSun, mostRing];
  for (let ring = lowest; ring <= highest; ring++)
    for (let sun = fewestSun; sun < ring; sun++) {
      const pair = pinionPair({ ...set, teeth: { sun, ring } }, fewestPinion, partner?.pinion);
      if (pair) list.push({ sun, ...pair, ring });
    }
  return partner ? list : distinct(list, (t) => t.ring / t.sun);
}

/** The smallest inner pinion with which the pairs can be built; the outer one may be given. */
function pinionPair(
  set: GearSet & { kind: 'double-pinion' },
  fewest: number,
  given: number | undefined,
): { inner: number; outer: number } | null {
  if (checkTeeth(set).length > 0) return null;
  // Wider than half the gap between sun and ring, it would touch the ring.
  const most = (set.teeth.ring - set.teeth.sun) / 2;
  for (let inner = fewest; inner <= most; inner++) {
    const outer = given ?? inner;
    if (checkTeeth({ ...set, teeth: { ...set.teeth, inner, outer } }).length === 0)
      return { inner, outer };
  }
  return null;
}
