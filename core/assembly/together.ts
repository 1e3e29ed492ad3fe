import {
  FAULT_SPECS,
  faultKey,
  rigFaultProblem,
  type Fault,
  type FaultKind,
  type FaultSite,
  type Rig,
} from '../faults';
import { CASE, sleevesOf } from '../geartrain';
import {
  conditionOf,
  DAMAGE_SPECS,
  damagesOf,
  feltOn,
  mends,
  senseOf,
  type Condition,
  type Damage,
  type Decision,
} from './damage';
import { lookAlikes } from './demands';
import { FACINGS, TOGETHER_CHECKS, type Befalls, type TogetherCheck } from './facings';
import { rigOfJob, type Job } from './job';
import { MEASURES } from './measureTable';
import { frictionsIn, standingOf, windowOf } from './measures';
import { SIDE_AS_NEW, sideAsMeasured } from '../shift';
import { brokenIn, type Violation } from './order';
import type { Part, StripPlan } from './parts';
import { limitsOf } from './schools';
import { gapWith, selectivesOf, type Selective } from './selective';

/** One part that was put in, and how. */
export interface Fit {
  part: string;
  /** The way that fits but is wrong. */
  turned: boolean;
  /** The part that lies in this place, where it is another's that looks like it. */
  piece?: string;
  /** Thickness chosen, mm, where it is selective. */
  size?: number;
}

/** How far it is together: of everything tried, what went in. */
export interface Together {
  /** In their order; the last way each was put in. */
  readonly in: readonly Fit[];
  /** What the last try broke. */
  readonly last: readonly Violation[];
  /** Tries that could not go in yet. */
  readonly wasted: number;
}

/**
 * Every try in its order: a part goes in when nothing that must go in after it stands there already. One that is in and
 * could be taken out again by itself may be put in anew, the other way round.
 */
export function togetherOf(plan: StripPlan, tried: readonly Fit[]): Together {
  const all = new Set(plan.parts.map((p) => p.id));
  const alike = new Set(lookAlikes(plan).map((p) => p.id));
  const fitted = new Map<string, Fit>();
  const out = new Set(all);
  const broken = brokenIn(plan);
  let last: readonly Violation[] = [];
  let wasted = 0;
  for (const fit of tried) {
    if (!all.has(fit.part)) continue;
    if (fit.piece !== undefined && !(alike.has(fit.part) && alike.has(fit.piece))) continue;
    const again = out.delete(fit.part);
    last = broken(fit.part, fitted.size, out);
    const used = alike.has(fit.part) && liesElsewhere(fitted, fit);
    if (last.length === 0 && !used) {
      fitted.set(fit.part, fit);
      continue;
    }
    wasted++;
    if (again) out.add(fit.part);
  }
  return { in: [...fitted.values()], last, wasted };
}

/** A part that looks like others lies in the place of one of them. */
const liesElsewhere = (fitted: ReadonlyMap<string, Fit>, fit: Fit): boolean =>
  [...fitted.values()].some((f) => f.part !== fit.part && pieceIn(f) === pieceIn(fit));

/** The part that lies in a place. */
export const pieceIn = ({ part, piece }: Fit): string => piece ?? part;

export const ERROR_KINDS = ['wrong-way', 'bad-part', 'swapped', 'too-tight', 'too-loose'] as const;
export type ErrorKind = (typeof ERROR_KINDS)[number];

/** A mistake that is in the machine now. */
export interface AssemblyError {
  readonly part: string;
  readonly kind: ErrorKind;
  /** What would show it before it is closed; `null`: nothing but the eye. */
  readonly shows: TogetherCheck | null;
  /** What the machine has by it; empty: nothing that the desk computes. */
  readonly faults: readonly Fault[];
}

/** What was decided on each part, where something was. */
export type Decided = Readonly<Record<string, { readonly decision: Decision }>>;

/** All that is wrong inside, of what is in so far: whatever no check has had put right. */
export function errorsIn(
  job: Job,
  plan: StripPlan,
  decided: Decided,
  fitted: readonly Fit[],
): AssemblyError[] {
  const rig = rigOfJob(job);
  const parts = new Map(plan.parts.map((p) => [p.id, p]));
  const selectives = selectivesOf(plan);
  return fitted.flatMap((fit): AssemblyError[] => {
    const part = parts.get(fit.part);
    const piece = parts.get(pieceIn(fit));
    if (!part || !piece) return [];
    return [
      ...wrongWay(plan, rig, part, fit),
      ...badPart(job, rig, piece, fit, decided[piece.id]?.decision),
      ...swapped(part, piece),
      ...wrongSize(
        job,
        parts,
        rig,
        selectives.find((s) => s.part === part.id),
        fit,
        decided,
      ),
    ];
  });
}

/** What a part is once it is fitted, with new ones in the place of all that was replaced. */
export function conditionFitted(job: Job, part: Part, decided: Decided): Condition {
  const hidden = job.hidden.filter((h) => decided[h.part]?.decision !== 'replace');
  return conditionOf(part, hidden, job.seed);
}

/** What is left on the bench when it is closed. */
export const leftOut = (plan: StripPlan, fitted: readonly Fit[]): string[] => {
  const there = new Set(fitted.map((f) => f.part));
  return plan.parts.map((p) => p.id).filter((id) => !there.has(id));
};

function wrongWay(plan: StripPlan, rig: Rig, part: Part, { turned }: Fit): AssemblyError[] {
  const facing = FACINGS[part.kind];
  if (!facing || !turned || !hasFacing(part)) return [];
  const fault = facing.fault;
  const targets = befallen(plan, rig, part, facing.befalls);
  // Two steels beside each other grip as if one friction plate were missing.
  const severity = part.kind === 'pack' ? oneFrictionLess(part) : undefined;
  const faults = fault ? targets.flatMap((of) => faultOn(rig, part, fault, { of, severity })) : [];
  return [{ part: part.id, kind: 'wrong-way', shows: facing.shows, faults }];
}

/** A ring that holds no pack has no groove of its own to miss in this model. */
export const hasFacing = ({ kind, of }: Part): boolean =>
  FACINGS[kind] !== undefined && (kind !== 'snap-ring' || of !== 'unit');

/** Whom it befalls when a part is in the wrong way. */
function befallen(plan: StripPlan, rig: Rig, { of, sides }: Part, befalls: Befalls): string[] {
  const some = (id: string | null | undefined) => (id === null || id === undefined ? [] : [id]);
  switch (befalls) {
    case 'own':
      return [of];
    case 'first-side':
      return some(sides?.find((side) => side !== null));
    case 'other-sleeve':
      return some(heldBack(rig));
    case 'fed-through':
      return fedThrough(plan);
  }
}

/** A side of the last sleeve that an interlock keeps back: without it, a second rail can come along. */
function heldBack({ unit }: Rig): string | undefined {
  const kept = unit ? sleevesOf(unit).filter((s) => s.interlock !== undefined) : [];
  return kept.at(-1)?.sides.find((side) => side !== null) ?? undefined;
}

/** Elements whose oil comes through the support: those that come apart once it is out. */
const fedThrough = (plan: StripPlan): string[] =>
  plan.rules
    .filter((r) => r.rule === 'in-the-drum' && r.before.includes('support'))
    .map((r) => plan.parts.find((p) => p.id === r.after)?.of ?? CASE);

/** Checks that show a fault while it is still open, however it came in. */
const SHOWN_BY: Readonly<Partial<Record<FaultKind, TogetherCheck>>> = {
  'seal-leaks': 'air',
  'will-not-hold': 'by-hand',
  'ring-out': 'by-hand',
};

/** What a check tells of damage that went back: what the hand felt before it feels again. */
function shownBad(damage: Damage): TogetherCheck | null {
  if (feltOn(damage)) return 'by-hand';
  if (DAMAGE_SPECS[damage].measure?.id === 'washer') return 'end-play';
  const { fault } = DAMAGE_SPECS[damage];
  return fault ? (SHOWN_BY[fault] ?? null) : null;
}

/** Another's washer: what it is thicker or thinner is missing from the play, or added to it, at that place. */
const swapped = (part: Part, piece: Part): AssemblyError[] =>
  piece.size === part.size
    ? []
    : [{ part: part.id, kind: 'swapped', shows: 'end-play', faults: [] }];

function badPart(
  job: Job,
  rig: Rig,
  part: Part,
  { turned }: Fit,
  decision?: Decision,
): AssemblyError[] {
  const { damage, values } = conditionOf(part, job.hidden, job.seed);
  if (!damage) return [];
  const spec = DAMAGE_SPECS[damage];
  if (mends(damage, decision) || isWithin(job, part, damage, values)) return [];
  // Turned round, a sleeve's worn side serves the other gear; where there is none, nobody notices.
  const at = spec.side === undefined ? null : turned ? 1 - spec.side : spec.side;
  const of = at === null ? undefined : part.sides?.[at];
  const read = spec.measure && values[spec.measure.id];
  const severity =
    read === undefined || spec.fault === null ? undefined : WORN_BY[spec.fault]?.(read);
  const faults = spec.fault && of !== null ? faultOn(rig, part, spec.fault, { of, severity }) : [];
  return [{ part: part.id, kind: 'bad-part', shows: shownBad(damage), faults }];
}

/** What only a gauge tells is no mistake as long as it is within what this shop allows. */
function isWithin(job: Job, part: Part, damage: Damage, values: Condition['values']): boolean {
  const { measure } = DAMAGE_SPECS[damage];
  if (!measure || senseOf(damage) !== 'gauge') return false;
  const window = windowOf(measure.id, part, limitsOf(job));
  return standingOf(values[measure.id]!, measure.id, window) !== 'outside';
}

/** How far a new sleeve goes over its gear's teeth, mm. */
const ENGAGED_NEW = MEASURES['engagement-front'].sound[1];

/** How far a sleeve's side, or its ring, has gone by what it measures: in the unit of its fault. */
const WORN_BY: Readonly<Partial<Record<FaultKind, (mm: number) => number>>> = {
  rounded: (tips) => sideAsMeasured({ ...SIDE_AS_NEW, tips }).rounded,
  'synchro-worn': (ringGap) => sideAsMeasured({ ...SIDE_AS_NEW, ringGap }).synchro,
  'jumps-out': (goesOver) =>
    1000 * sideAsMeasured({ ...SIDE_AS_NEW, engagement: goesOver / ENGAGED_NEW }).wear,
};
function wrongSize(
  job: Job,
  parts: ReadonlyMap<string, Part>,
  rig: Rig,
  selective: Selective | undefined,
  { part: id, size }: Fit,
  decided: Decided,
): AssemblyError[] {
  const on = selective && parts.get(selective.on);
  const part = parts.get(id)!;
  if (!on || size === undefined) return [];
  // Whatever size goes in is a new part.
  const fitted = conditionFitted(job, on, { ...decided, [id]: { decision: 'replace' } });
  const gap = gapWith(fitted.values[selective.measure]!, selective, size);
  const window = windowOf(selective.measure, on, limitsOf(job));
  if (standingOf(gap, selective.measure, window) !== 'outside') return [];
  const tight = window.least !== null && gap < window.least;
  const { shows, jams } = selective;
  const faults = jams !== null && gap <= 0 ? faultOn(rig, part, jams) : [];
  return [{ part: id, kind: tight ? 'too-tight' : 'too-loose', shows, faults }];
}

const OF_AN_ELEMENT: readonly FaultSite[] = ['friction', 'one-way', 'gearset', 'sleeve', 'shaft'];

/** The fault of a part, where the machine that is driven can have it. */
function faultOn(
  rig: Rig,
  part: Part,
  kind: FaultKind,
  { of = part.of, severity }: { of?: string | undefined; severity?: number | undefined } = {},
): Fault[] {
  const site = FAULT_SPECS[kind].sites[0]!;
  const target = site === 'link' ? part.id : OF_AN_ELEMENT.includes(site) ? of : site;
  const fault: Fault = severity === undefined ? { target, kind } : { target, kind, severity };
  return rigFaultProblem(rig, fault) ? [] : [fault];
}

function oneFrictionLess(part: Part): number {
  const n = frictionsIn(part);
  return Math.max(0.1, (n - 1) / n);
}

/** What the desk is given: each fault once, and of one part no two of a kind. */
export function faultsOf(errors: readonly AssemblyError[]): Fault[] {
  const byKey = new Map(errors.flatMap((e) => e.faults).map((f) => [faultKey([f]), f]));
  return [...byKey.values()];
}

/** What a check shows now: mistakes that it can show, in what is in. */
export const shownBy = (
  check: TogetherCheck,
  errors: readonly AssemblyError[],
): readonly AssemblyError[] => errors.filter((e) => e.shows === check);

/** Checks that can show something in this plan: there is no air check where no oil is. */
export function checksFor(plan: StripPlan): TogetherCheck[] {
  const shows = new Set<TogetherCheck | null>([
    ...plan.parts.flatMap((p) => (hasFacing(p) ? FACINGS[p.kind]!.shows : [])),
    ...plan.parts.flatMap((p) => damagesOf(p).map(shownBad)),
    ...selectivesOf(plan).map((s) => s.shows),
  ]);
  return TOGETHER_CHECKS.filter((check) => shows.has(check));
}
