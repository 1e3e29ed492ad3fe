import { agrees, borneOutBy, readingClass, type Answer, type Reading } from './answer';
import { readingOf, type Candidate } from './candidates';
import { changedRanges } from './chartReason';
import { hazardsOf, type Check } from './checks';
import { bitsOf, suspects, type Priors } from './diagnosis';
import { expertPath, remedyOf, sameUntilStripped, type ExpertPath } from './expert';
import { faultKey, type Fault, type Remedy } from './fault';
import { afterChecks } from './shopState';
import type { Shop } from './shop';

/** What a person did at the desk, in order. */
export interface DeskEntry {
  /** Id of the check. */
  readonly check: string;
  /** The kind of reading that was expected before it was taken, as `readingClass` tells it. */
  readonly expected: string;
  /** The cautions that go with the check were seen to. */
  readonly safe: boolean;
}

export interface Diagnosis {
  /** `TARGET=KIND`, several joined by ` + `. */
  readonly cause: string;
  readonly remedy: Remedy;
}

/** `same-until-stripped`: no check short of taking the unit out tells it from the true one. */
export type CauseVerdict = 'right' | 'same-until-stripped' | 'part' | 'wrong';

export interface DiagnosisGrade {
  /** What it was. */
  readonly was: readonly Fault[];
  readonly cause: CauseVerdict;
  readonly remedy: boolean;
  /** With all the ways between: what was gone to once is paid once. */
  readonly minutes: number;
  readonly expert: ExpertPath;
  /** No more than half as long again as the expert, and within the limit. */
  readonly thrifty: boolean;
  /** Checks that could not have told anything when they were made. */
  readonly useless: readonly string[];
  /** Checks whose reading speaks against the cause that was named. */
  readonly against: readonly string[];
  /** No reading speaks against the cause, and it is one that this machine can have. */
  readonly supported: boolean;
  /** Good ranges that could not do without the element that was named: it can't be the one. */
  readonly clearedBy: readonly string[];
  /** Checks made without their cautions. */
  readonly unsafe: readonly string[];
  /** Expectations that came true, of all. */
  readonly expectedRight: number;
  /** 0 to 1: how much the readings bear the cause out, as suspicion that falls on it and on what is like it. */
  readonly borneOut: number;
  readonly parts: readonly ScorePart[];
  /** 0 to 1: the sum of what each part was worth. */
  readonly score: number;
}

export const SCORE_PARTS = ['cause', 'remedy', 'support', 'cost', 'safety'] as const;

/** What a part of the score came to, of what it is worth. */
export interface ScorePart {
  readonly part: (typeof SCORE_PARTS)[number];
  readonly got: number;
  readonly worth: number;
}

/**
 * A guess is no diagnosis: cause and remedy count as far as the readings bear them out, cost and safety only where tests
 * have borne out enough.
 */
const WORTH: Readonly<Record<ScorePart['part'], number>> = {
  cause: 0.35,
  remedy: 0.2,
  support: 0.25,
  cost: 0.1,
  safety: 0.1,
};
/** Suspicion from which a cause counts as borne out in full, and from which thrift and care count. */
const BORNE_OUT = 0.8;
const COUNTS_FROM = 0.5;
const CAUSE_SHARE: Readonly<Record<CauseVerdict, number>> = {
  right: 1,
  'same-until-stripped': 1,
  part: 0.4,
  wrong: 0,
};

export interface DeskCase {
  readonly shop: Shop;
  readonly candidates: readonly Candidate[];
  /** With every check answered. */
  readonly truth: Candidate;
  /** What every check reads of the machine as it should be. */
  readonly sound: Candidate;
  readonly priors: Priors;
  /** What the complaint itself says. */
  readonly complaint: readonly Reading[];
  /** Shop minutes; `null` without limit. */
  readonly limit: number | null;
}

/** An expert's way through a case is the same for all who work on it, and takes long to find. */
const experts = new WeakMap<DeskCase, ExpertPath>();

function expertOf(desk: DeskCase): ExpertPath {
  const { shop, candidates, truth, priors, complaint } = desk;
  const path = experts.get(desk) ?? expertPath(candidates, shop.checks, truth, priors, complaint);
  experts.set(desk, path);
  return path;
}

/** Bits below which a check could tell nothing worth its while. */
const TELLS_FROM = 0.02;
/** Over the expert's minutes. */
const THRIFT = 1.5;

/** @throws Error when an entry names a check that the shop has not */
export function gradeDiagnosis(
  desk: DeskCase,
  entries: readonly DeskEntry[],
  diagnosis: Diagnosis,
): DiagnosisGrade {
  const { shop, candidates, truth, priors, complaint } = desk;
  const classOf = (r: Reading) => readingClass(r.check, r.answer, readingOf(r.check, desk.sound));
  const checkOf = (id: string): Check => {
    const check = shop.checks.find((c) => c.id === id);
    if (!check) throw new Error(`gradeDiagnosis: expected a check of this shop, got "${id}"`);
    return check;
  };
  const readings = entries.map(({ check }): Reading => {
    const asked = checkOf(check);
    return { check: asked, answer: readingOf(asked, truth) };
  });
  const useless = readings.flatMap(({ check }, k) => {
    const known = suspects(candidates, [...complaint, ...readings.slice(0, k)], priors);
    return bitsOf(check, known) < TELLS_FROM ? [check.id] : [];
  });
  const named = candidates.filter((c) => faultKey(c.faults) === diagnosis.cause);
  const against = speaksAgainst([...complaint, ...readings], named);
  const unsafe = entries.flatMap((e) =>
    !e.safe && hazardsOf(checkOf(e.check)).length > 0 ? [e.check] : [],
  );
  const { minutes } = afterChecks(readings.map((r) => r.check));
  const expert = expertOf(desk);
  const cause = causeVerdict(shop.checks, truth, named, diagnosis.cause);
  const remedy = diagnosis.remedy === remedyOf(truth.faults);
  const within = desk.limit === null || minutes <= desk.limit;
  const thrifty = within && minutes <= Math.max(THRIFT * expert.minutes, LEAST_MINUTES);
  const supported = against.length === 0 && named.length > 0;
  const all = [...complaint, ...readings];
  const borneOut =
    readings.length > 0 && supported ? suspicionOf(shop.checks, candidates, all, named, priors) : 0;
  const earned = Math.min(1, borneOut / BORNE_OUT);
  const counts = borneOut >= COUNTS_FROM;
  const shares: Readonly<Record<ScorePart['part'], number>> = {
    cause: CAUSE_SHARE[cause] * earned,
    remedy: remedy ? earned : 0,
    support: earned,
    cost: thrifty && counts ? 1 : 0,
    safety: unsafe.length === 0 && counts ? 1 : 0,
  };
  const parts = SCORE_PARTS.map((part): ScorePart => {
    const worth = WORTH[part];
    return { part, worth, got: worth * shares[part] };
  });
  return {
    was: truth.faults,
    cause,
    remedy,
    minutes,
    expert,
    thrifty,
    useless,
    against,
    supported,
    clearedBy: clearedBy(shop, [...complaint, ...readings], diagnosis.cause),
    unsafe,
    expectedRight: readings.filter((r, k) => borneOutBy(entries[k]!.expected, classOf(r))).length,
    borneOut,
    parts,
    score: Math.round(1e4 * parts.reduce((sum, p) => sum + p.got, 0)) / 1e4,
  };
}
/** Up to so many minutes nobody is blamed for. */
const LEAST_MINUTES = 15;

/** Share of the suspicion on the cause that was named, and on all that no check short of stripping down tells from it. */
function suspicionOf(
  checks: readonly Check[],
  candidates: readonly Candidate[],
  readings: readonly Reading[],
  named: readonly Candidate[],
  priors: Priors,
): number {
  return suspects(candidates, readings, priors)
    .filter((s) => s.weight > 0 && named.some((c) => sameUntilStripped(checks, c, s.candidate)))
    .reduce((sum, s) => sum + s.weight, 0);
}

function causeVerdict(
  checks: readonly Check[],
  truth: Candidate,
  named: readonly Candidate[],
  cause: string,
): CauseVerdict {
  const key = faultKey(truth.faults);
  if (cause === key) return 'right';
  if (named.some((c) => sameUntilStripped(checks, c, truth))) return 'same-until-stripped';
  const [is, said] = [key.split(' + '), cause.split(' + ')];
  return said.some((s) => is.includes(s)) ? 'part' : 'wrong';
}

/** Readings that the fault gives at none of its levels; all of them when it is not one that this machine can have. */
function speaksAgainst(readings: readonly Reading[], named: readonly Candidate[]): string[] {
  if (named.length === 0) return [];
  const misses = named.map((c) =>
    readings.filter((r) => !agrees(r.check, r.answer, readingOf(r.check, c))),
  );
  const best = misses.reduce((a, b) => (b.length < a.length ? b : a));
  return best.map((r) => r.check.id);
}

/** Good ranges that could not do without the element that was named. */
function clearedBy({ driving }: Shop, readings: readonly Reading[], cause: string): string[] {
  const element = cause.split('=')[0] ?? '';
  const fails = /=(will-not-apply|burnt|ring-out|will-not-hold)$/.test(cause);
  if (!driving || !fails || !driving.unit.elements.some((e) => e.id === element)) return [];
  const changed = changedRanges(driving.unit);
  return readings
    .filter((r) => r.check.kind === 'road' && isGood(r.answer))
    .map((r) => r.check.target)
    .filter((range) => changed.mustWork(range, element));
}

const isGood = ({ word }: Answer): boolean => word === 'right';
