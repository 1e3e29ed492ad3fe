import { DAMAGE_SPECS, senseOf, type Condition, type Decision, type Reason } from './damage';
import type { MeasureId, OwnLimits } from './measureSpec';
import { MEASURES } from './measureTable';
import { measuresOf, standingOf, windowOf, type Standing } from './measures';
import type { Part, PartKind } from './parts';
import type { School, Tier } from './schools';

/** Never used twice once they were moved (common practice, no source). */
export const ONE_USE_KINDS: readonly PartKind[] = [
  'seals',
  'crank-seal',
  'filter',
  'bearing',
  'gasket',
  'body-gaskets',
];
/** New from this tier on, sound as they are. */
export const TIERS: Readonly<Partial<Record<PartKind, Tier>>> = {
  pack: 1,
  band: 2,
  'snap-ring': 2,
  'feed-rings': 2,
  'thrust-bearing': 3,
  'thrust-washer': 3,
  extension: 3,
  disc: 1,
};
export const BEARINGS: readonly PartKind[] = ['thrust-bearing', 'snap-ring'];

/** An answer that counts, with the reasons that fit it. */
export interface Right {
  readonly decision: Decision;
  readonly reasons: readonly Reason[];
}

export interface Verdict {
  /** What counts, the best first. */
  readonly right: readonly Right[];
  /** What the shop's own school would do of these. */
  readonly school: Decision;
  /** Where each measure stands. */
  readonly standings: Readonly<Partial<Record<MeasureId, Standing>>>;
}

export interface Judged {
  readonly part: Part;
  readonly condition: Condition;
  readonly school: School;
  readonly limits?: OwnLimits;
  /** What was measured already: as long as nothing was, to measure is an answer where the eye can't tell. */
  readonly measured?: readonly MeasureId[];
}

/** What is to be done with a part, and why: computed from its condition, never stored. */
export function verdictOf({ part, condition, school, limits, measured = [] }: Judged): Verdict {
  const standings: Partial<Record<MeasureId, Standing>> = {};
  for (const id of measuresOf(part))
    standings[id] = standingOf(condition.values[id]!, id, windowOf(id, part, limits));
  // What it sets is put right by another size: that is no reason to throw the part away.
  const worst = worstOf(standings, ({ id }) => !MEASURES[id].sets);
  const spec = condition.damage ? DAMAGE_SPECS[condition.damage] : null;
  const plain = condition.damage !== null && senseOf(condition.damage) !== 'gauge';
  const right: Right[] = [];
  if (ONE_USE_KINDS.includes(part.kind))
    right.push({
      decision: 'replace',
      reasons: spec ? [...new Set<Reason>([spec.reason, 'one-use-only'])] : ['one-use-only'],
    });
  else if (spec && (plain || worst === 'outside')) {
    const reasons: Reason[] = worst === 'outside' ? [spec.reason, 'out-of-window'] : [spec.reason];
    right.push({ decision: spec.decision, reasons: [...new Set(reasons)] });
  } else right.push(...ofSound(part.kind, worst));
  const unseen = measuresOf(part).some(
    (id) => !measured.includes(id) && standings[id] !== undefined,
  );
  const eyeTells = ONE_USE_KINDS.includes(part.kind) || plain;
  if (unseen && !eyeTells) right.push({ decision: 'measure', reasons: ['cannot-be-seen'] });
  return { right, school: ofSchool(right, part.kind, school), standings };
}

function worstOf(
  standings: Verdict['standings'],
  counts: (of: { id: MeasureId }) => boolean,
): Standing {
  const all = (Object.entries(standings) as [MeasureId, Standing][])
    .filter(([id]) => counts({ id }))
    .map(([, s]) => s);
  return all.includes('outside') ? 'outside' : all.includes('in-doubt') ? 'in-doubt' : 'inside';
}

/** Sound, or as good as: in the band of doubt both count, and so does what is cheap beside coming back. */
function ofSound(kind: PartKind, worst: Standing): Right[] {
  if (worst === 'outside') return [{ decision: 'replace', reasons: ['out-of-window'] }];
  const cheap = TIERS[kind] !== undefined;
  const reasons: Reason[] = [
    ...(worst === 'in-doubt' ? (['out-of-window'] as const) : []),
    ...(cheap ? (['cheap-beside-coming-back'] as const) : []),
  ];
  return [
    { decision: 'reuse', reasons: ['sound'] },
    ...(reasons.length > 0 ? [{ decision: 'replace' as const, reasons }] : []),
  ];
}

function ofSchool(right: readonly Right[], kind: PartKind, school: School): Decision {
  const [best] = right as [Right];
  const tier = TIERS[kind];
  const asked =
    (tier !== undefined && tier <= school.tier) ||
    (BEARINGS.includes(kind) && school.bearings === 'replace');
  return asked && right.some((r) => r.decision === 'replace') ? 'replace' : best.decision;
}

/** Whether an answer counts, and whether its reason fits. */
export function judgedAgainst(
  { right }: Pick<Verdict, 'right'>,
  decision: Decision,
  reason: Reason,
): { readonly decision: boolean; readonly reason: boolean } {
  const fits = right.find((r) => r.decision === decision);
  return { decision: fits !== undefined, reason: fits?.reasons.includes(reason) ?? false };
}
