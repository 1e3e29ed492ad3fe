import type { FaultKind } from '../faults';
import { randomFromSeed, type Random } from '../numerics';
import type { MeasureId } from './measureSpec';
import { frictionsIn, measuresOf, soundValue, valueWithin } from './measures';
import type { Part, PartKind, StripPlan } from './parts';

/** What can be wrong with a part that is laid out, by what tells: it is seen, it is felt when the part is turned or moved, or only
 * a measurement tells. */
export const SEEN_DAMAGES = [
  'burnt',
  'blue-steels',
  'torn-lip',
  'weeping-seal',
  'cracked-carrier',
  'pitted-teeth',
  'broken-cage',
  'sprung-groove',
  'light-scratch',
  'burnt-band',
  'stretched-ring',
  'oiled-disc',
  'hot-flywheel',
  'dusty-cover',
  'stepped-rings',
  'smooth-ring',
  'rounded-front',
  'rounded-rear',
  'stepped-hub',
] as const;
export const FELT_DAMAGES = [
  'loose-pinions',
  'stepped-race',
  'rough-bearing',
  'hanging-valve',
  'sticky-accumulator',
  'rough-shaft-bearing',
] as const;
export const MEASURED_DAMAGES = [
  'worn-lining',
  'weak-spring',
  'scored-pump',
  'thin-washer',
  'open-coil',
  'worn-bush',
  'worn-disc',
  'uneven-fingers',
  'worn-ring',
  'short-front',
  'short-rear',
  'loose-gear',
  'worn-fork',
  'worn-bore',
] as const;
export const DAMAGES = [...SEEN_DAMAGES, ...FELT_DAMAGES, ...MEASURED_DAMAGES] as const;
export type Damage = (typeof DAMAGES)[number];
export type SeenDamage = (typeof SEEN_DAMAGES)[number];
export type FeltDamage = (typeof FELT_DAMAGES)[number];

/** What the eye sees of a part. */
export const seenOn = (damage: Damage | null): SeenDamage | null =>
  SEEN_DAMAGES.find((d) => d === damage) ?? null;
/** What the hand feels of it. */
export const feltOn = (damage: Damage | null): FeltDamage | null =>
  FELT_DAMAGES.find((d) => d === damage) ?? null;

/** What tells of a damage. */
export type Sense = 'eye' | 'hand' | 'gauge';
export const senseOf = (damage: Damage): Sense =>
  seenOn(damage) ? 'eye' : feltOn(damage) ? 'hand' : 'gauge';

export const DECISIONS = ['reuse', 'clean', 'replace', 'measure'] as const;
export type Decision = (typeof DECISIONS)[number];

export const REASONS = [
  'sound',
  'dirty-only',
  'out-of-window',
  'bare',
  'heat-marks',
  'crack',
  'step-or-groove',
  'grooves-gone',
  'tips-rounded',
  'wrong-feel',
  'torn-lip',
  'one-use-only',
  'cheap-beside-coming-back',
  'cannot-be-seen',
] as const;
export type Reason = (typeof REASONS)[number];

export interface DamageSpec {
  readonly on: readonly PartKind[];
  /** Only on the part of this id. */
  readonly part?: string;
  /** Only on a part that has something at this side: what comes of it befalls that. */
  readonly side?: 0 | 1;
  /** What it reads then. */
  readonly measure?: { readonly id: MeasureId; readonly reads: readonly [number, number] };
  readonly decision: Exclude<Decision, 'measure'>;
  readonly reason: Reason;
  /** What the machine has if the part goes back so; `null`: nothing that the desk computes. */
  readonly fault: FaultKind | null;
  /** Does not come by itself: something upstream made it. */
  readonly effect?: true;
  /** Can make another part burn. */
  readonly cause?: true;
}

const eye = (
  on: PartKind[],
  reason: Reason,
  fault: FaultKind | null,
  more: Partial<DamageSpec> = {},
): DamageSpec => ({ on, decision: 'replace', reason, fault, ...more });
const hand = (
  on: PartKind[],
  fault: FaultKind | null,
  more: Partial<DamageSpec> = {},
): DamageSpec => ({ on, decision: 'replace', reason: 'wrong-feel', fault, ...more });
const gauge = (
  on: PartKind[],
  id: MeasureId,
  reads: [number, number],
  fault: FaultKind | null,
  more: Partial<DamageSpec> = {},
): DamageSpec => ({
  on,
  measure: { id, reads },
  decision: 'replace',
  reason: 'out-of-window',
  fault,
  ...more,
});

/** One bad side scraps a sleeve; which gear suffers from it is that side's. */
const roundedAt = (side: 0 | 1, id: MeasureId): DamageSpec =>
  eye(['sleeve'], 'tips-rounded', 'rounded', { side, measure: { id, reads: [0.6, 0.68] } });
const shortAt = (side: 0 | 1, id: MeasureId): DamageSpec =>
  gauge(['sleeve'], id, [3.4, 3.8], 'jumps-out', { side });

/** Common practice, no source; what is read is from memory. */
export const DAMAGE_SPECS: Readonly<Record<Damage, DamageSpec>> = {
  burnt: eye(['pack'], 'bare', 'burnt', {
    effect: true,
    measure: { id: 'lining', reads: [1.2, 1.5] },
  }),
  'worn-lining': gauge(['pack'], 'lining', [1.66, 1.76], 'slips'),
  'blue-steels': eye(['pack'], 'heat-marks', 'slips', {
    measure: { id: 'steel-flat', reads: [0.12, 0.2] },
  }),
  'torn-lip': eye(['seals'], 'torn-lip', 'seal-leaks', { cause: true }),
  'weeping-seal': eye(['crank-seal'], 'torn-lip', 'clutch-oiled', { cause: true }),
  'weak-spring': gauge(['spring'], 'spring-length', [27.6, 28.6], null),
  'cracked-carrier': eye(['carrier'], 'crack', 'broken'),
  'pitted-teeth': eye(['sun', 'ring', 'gear'], 'step-or-groove', 'rough-teeth'),
  'loose-pinions': hand(['pinions'], 'rough-teeth', {
    measure: { id: 'pinion-play', reads: [0.7, 1] },
  }),
  'stepped-race': hand(['race'], 'will-not-hold', { reason: 'step-or-groove' }),
  'broken-cage': eye(['cage'], 'crack', 'will-not-hold'),
  'scored-pump': gauge(['pump'], 'pump-side', [0.08, 0.14], 'pump-worn', { cause: true }),
  'sprung-groove': eye(['drum'], 'step-or-groove', 'ring-out'),
  'light-scratch': eye(['drum', 'pump', 'shaft'], 'dirty-only', null, { decision: 'clean' }),
  'thin-washer': gauge(['thrust-washer'], 'washer', [-0.3, -0.16], null),
  'rough-bearing': hand(['thrust-bearing'], null),
  'hanging-valve': hand(['valve-body'], 'regulator-low', {
    decision: 'clean',
    reason: 'dirty-only',
    cause: true,
  }),
  'smooth-ring': eye(['blocker-rings'], 'grooves-gone', 'synchro-worn'),
  'worn-ring': gauge(['blocker-rings'], 'ring-gap', [0.02, 0.1], 'synchro-worn'),
  'rounded-front': roundedAt(0, 'tips-front'),
  'rounded-rear': roundedAt(1, 'tips-rear'),
  'short-front': shortAt(0, 'engagement-front'),
  'short-rear': shortAt(1, 'engagement-rear'),
  'stepped-hub': eye(['sleeve-hub'], 'step-or-groove', null),
  'rough-shaft-bearing': hand(['shaft-bearing'], 'rough-bearing'),
  'worn-fork': gauge(['fork'], 'fork-gap', [0.9, 1.2], null, { side: 0 }),
  'loose-gear': gauge(['gear'], 'gear-play', [0.24, 0.4], 'rough-teeth'),
  'worn-bore': gauge(['drum'], 'ring-bore', [0.08, 0.18], 'seal-leaks', { cause: true }),
  'stepped-rings': eye(['feed-rings'], 'step-or-groove', 'seal-leaks', { cause: true }),
  'sticky-accumulator': hand(['accumulator'], 'accumulator-stuck', {
    decision: 'clean',
    reason: 'dirty-only',
  }),
  'burnt-band': eye(['band'], 'bare', 'burnt', { effect: true }),
  'stretched-ring': eye(['snap-ring'], 'one-use-only', 'ring-out'),
  'open-coil': gauge(['fitting'], 'solenoid', [90, 99], null, { part: 'solenoid-plug' }),
  'worn-bush': gauge(['extension'], 'bush', [0.13, 0.2], null),
  'worn-disc': gauge(['disc'], 'disc-thickness', [6.2, 6.8], 'clutch-worn', {
    measure: { id: 'disc-thickness', reads: [6.2, 6.8] },
  }),
  'oiled-disc': eye(['disc'], 'heat-marks', 'clutch-oiled', { effect: true }),
  'hot-flywheel': eye(['flywheel'], 'heat-marks', 'clutch-warped-disc', {
    measure: { id: 'flywheel-flat', reads: [0.14, 0.25] },
  }),
  'uneven-fingers': gauge(['clutch-cover'], 'fingers', [0.8, 1.4], 'clutch-uneven-levers'),
  'dusty-cover': eye(['clutch-cover'], 'dirty-only', null, { decision: 'clean' }),
};

/** Damage that a part of this kind can have. */
export const damagesOf = ({ id, kind, sides }: Pick<Part, 'id' | 'kind' | 'sides'>): Damage[] =>
  DAMAGES.filter((d) => {
    const { on, part = id, side } = DAMAGE_SPECS[d];
    return on.includes(kind) && part === id && (side === undefined || Boolean(sides?.[side]));
  });

/** Whether what was decided puts a damage right: a new part does, cleaning only where it is dirt. */
export const mends = (damage: Damage, decision: Decision | undefined): boolean =>
  decision === 'replace' || (decision === 'clean' && DAMAGE_SPECS[damage].decision === 'clean');

/** What is hidden in one part of a job. */
export interface HiddenDamage {
  part: string;
  damage: Damage;
  /** The part upstream whose own damage made this one. */
  because?: string;
}

/** How a part is: what is wrong with it, and what it would read without any scatter. */
export interface Condition {
  readonly damage: Damage | null;
  readonly values: Readonly<Partial<Record<MeasureId, number>>>;
}

/** What one measure of a part is, by the job's seed and what is wrong with it. */
function valueOf(part: Part, id: MeasureId, damage: Damage | null, seed: string): number {
  const random = randomFromSeed(`${seed} ${part.id} ${id}`);
  const measure = damage ? DAMAGE_SPECS[damage].measure : undefined;
  if (measure?.id !== id) return soundValue(id, part, random);
  return valueWithin(id, part, measure.reads, random);
}

/**
 * What a part is now. What its plates have lost in thickness is in a pack's clearance, and what a thrust washer has lost is in
 * the end play.
 * @param seed of the job: the same part always is the same
 */
export function conditionOf(part: Part, hidden: readonly HiddenDamage[], seed: string): Condition {
  const damage = hidden.find((h) => h.part === part.id)?.damage ?? null;
  const values: Partial<Record<MeasureId, number>> = {};
  for (const id of measuresOf(part)) values[id] = valueOf(part, id, damage, seed);
  const lost = (own: Part, id: MeasureId, d: Damage | null) =>
    Math.max(0, valueOf(own, id, null, seed) - valueOf(own, id, d, seed));
  if (values['pack-clearance'] !== undefined)
    values['pack-clearance'] += frictionsIn(part) * lost(part, 'lining', damage);
  if (values['end-play-in'] !== undefined)
    for (const thin of hidden.filter((h) => h.damage === 'thin-washer')) {
      const washer: Part = { ...part, id: thin.part, kind: 'thrust-washer' };
      values['end-play-in'] += lost(washer, 'washer', 'thin-washer');
    }
  return { damage, values };
}

/** Parts with damage, by how hard the job is; what burnt has a cause upstream. */
const HOW_MANY = { easy: 2, middling: 4, hard: 7 } as const;

export function drawDamage(
  plan: StripPlan,
  seed: string,
  difficulty: keyof typeof HOW_MANY,
): HiddenDamage[] {
  const random = randomFromSeed(`damage ${seed}`);
  const hidden: HiddenDamage[] = [];
  const open = () => plan.parts.filter((p) => !hidden.some((h) => h.part === p.id));
  const wanted = Math.min(HOW_MANY[difficulty], plan.parts.length);
  for (let tries = 0; hidden.length < wanted && tries < 200; tries++) {
    const kinds = damageIn(open());
    if (kinds.length === 0) break;
    const damage = random.pick(kinds);
    const spec = DAMAGE_SPECS[damage];
    const part = random.pick(open().filter((p) => damagesOf(p).includes(damage)));
    // A hard job hides what only a gauge shows; an easy one shows itself.
    if (difficulty === 'easy' && senseOf(damage) === 'gauge') continue;
    if (difficulty === 'hard' && senseOf(damage) === 'eye' && random.next() < 0.5) continue;
    if (!spec.effect) {
      hidden.push({ part: part.id, damage });
      continue;
    }
    const upstream = causeFor(part, open(), random);
    if (upstream) hidden.push(upstream, { part: part.id, damage, because: upstream.part });
  }
  return hidden;
}

const damageIn = (parts: readonly Part[]): Damage[] => [
  ...new Set(parts.flatMap((p) => damagesOf(p))),
];

/** What keeps the oil of one element in. */
const OIL_KEEPERS: readonly PartKind[] = ['seals', 'feed-rings'];

/** Something that lets a pack slip: its own seals, or what makes the pressure. */
function causeFor(burnt: Part, parts: readonly Part[], random: Random): HiddenDamage | null {
  const causes = parts.flatMap((p) =>
    damagesOf(p)
      .filter((d) => DAMAGE_SPECS[d].cause && (!OIL_KEEPERS.includes(p.kind) || p.of === burnt.of))
      .map((damage): HiddenDamage => ({ part: p.id, damage })),
  );
  return causes.length > 0 ? random.pick(causes) : null;
}
