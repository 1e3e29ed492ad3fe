import { readingOf, tellsApart, byFault, type Candidate } from './candidates';
import type { Answer, Reading } from './answer';
import type { Check } from './checks';
import { nextChecks, suspects, type Priors, type Suspect } from './diagnosis';
import { afterChecks, ARRIVES, priceFrom, reach } from './shopState';
import { FAULT_SPECS, faultKey, REMEDIES, type Remedy } from './fault';

/**
 * How an expert goes about it: always the check that says most for its minutes, until what is to be done is settled. An
 * expert does not take a unit out only to look when it has to come out anyway.
 */
export interface ExpertStep {
  readonly check: Check;
  readonly answer: Answer;
  /** Faults that still fit after it. */
  readonly left: number;
  /** With the way there. */
  readonly minutes: number;
}

export interface ExpertPath {
  readonly steps: readonly ExpertStep[];
  readonly minutes: number;
  readonly conclusion: Conclusion;
}

export interface Conclusion {
  readonly remedy: Remedy;
  /** Share of the suspicion that falls on this remedy. */
  readonly sure: number;
  /** The most suspected fault with that remedy, as its key, and its share. */
  readonly cause: string;
  readonly causeSure: number;
}

/** What a fault, or several, is put right by: the most that any of them needs. */
export const remedyOf = (faults: Candidate['faults']): Remedy =>
  faults.reduce<Remedy>((most, f) => {
    const own = FAULT_SPECS[f.kind].remedy;
    return REMEDIES.indexOf(own) > REMEDIES.indexOf(most) ? own : most;
  }, 'adjust');

/** What the suspicion comes to so far. */
export function conclude(known: readonly Suspect[]): Conclusion {
  const shares = new Map<Remedy, number>();
  for (const { candidate, weight } of known) {
    const remedy = remedyOf(candidate.faults);
    shares.set(remedy, (shares.get(remedy) ?? 0) + weight);
  }
  const [remedy, sure] = [...shares].reduce((a, b) => (b[1] > a[1] ? b : a), ['adjust', 0]);
  const causes = [...byFault(known.map(({ candidate, weight }) => ({ ...candidate, weight })))]
    .filter(([, list]) => remedyOf(list[0]!.faults) === remedy)
    .map(([key, list]) => [key, list.reduce((s, c) => s + c.weight, 0)] as const);
  const [cause, causeSure] = causes.reduce((a, b) => (b[1] > a[1] ? b : a), ['', 0] as const);
  return { remedy, sure, cause, causeSure };
}

/** Sure enough of what to do, and of what for. */
const SURE = 0.95;
const SURE_OF_CAUSE = 0.9;
/** Bits below which an expert does not trouble to look. */
const WORTH_ASKING = 0.1;
const MOST_STEPS = 25;

const settled = ({ remedy, sure, causeSure }: Conclusion): boolean =>
  causeSure >= SURE_OF_CAUSE || (remedy === 'strip-down' && sure >= SURE && causeSure >= 0.5);

export const settledBy = (known: readonly Suspect[]): boolean => settled(conclude(known));

/** @param truth as a candidate with every check answered @param complaint what is known at the start */
export function expertPath(
  candidates: readonly Candidate[],
  checks: readonly Check[],
  truth: Candidate,
  priors: Priors = {},
  complaint: readonly Reading[] = [],
): ExpertPath {
  const readings: Reading[] = [...complaint];
  const steps: ExpertStep[] = [];
  let known = suspects(candidates, readings, priors);
  let state = ARRIVES;
  while (steps.length < MOST_STEPS && !settledBy(known)) {
    const { remedy, sure } = conclude(known);
    const comesOut = remedy === 'strip-down' && sure >= SURE;
    const next = nextChecks(known, checks, readings, state).find(
      (n) => n.bits >= WORTH_ASKING && !(comesOut && n.check.removal),
    );
    if (!next) break;
    const minutes = priceFrom(state, next.check)!;
    state = reach(next.check.machine, state, next.check.needs)!.state;
    const answer = readingOf(next.check, truth);
    readings.push({ check: next.check, answer });
    known = suspects(candidates, readings, priors);
    const left = byFault(known.filter((s) => s.fits).map((s) => s.candidate)).size;
    steps.push({ check: next.check, answer, left, minutes });
  }
  return {
    steps,
    minutes: afterChecks(steps.map((s) => s.check)).minutes,
    conclusion: conclude(known),
  };
}

/** Whether no check short of taking the unit out tells the two apart. */
export const sameUntilStripped = (checks: readonly Check[], a: Candidate, b: Candidate): boolean =>
  faultKey(a.faults) === faultKey(b.faults) ||
  checks.every((c) => c.removal || !tellsApart(c, a, b));
