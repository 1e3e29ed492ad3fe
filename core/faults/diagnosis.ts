import { agrees, likelihood, READING_ERROR, type Answer, type Reading } from './answer';
import { readingOf, type Candidate } from './candidates';
import type { Check } from './checks';
import { FAULT_SPECS, type FaultKind } from './fault';
import { ARRIVES, priceFrom, type MachineState } from './shopState';

/**
 * From the readings so far: how much each fault is suspected (Bayes's rule, with how closely a check reads and a chance
 * that a reading is wrong), which check says most for its minutes (expected loss of entropy), and which reading is the
 * odd one when nothing fits.
 */
export interface Suspect {
  readonly candidate: Candidate;
  /** 0 to 1 over all suspects. */
  readonly weight: number;
  /** Every reading is what this fault gives. */
  readonly fits: boolean;
}

export type Priors = Readonly<Partial<Record<FaultKind, number>>>;

/** Two faults at once are as rare as the product of both. */
const PRIOR_SCALE = 100;

const priorOf = ({ faults }: Candidate, priors: Priors): number =>
  faults.reduce((p, { kind }) => {
    const spec = FAULT_SPECS[kind];
    // The levels of one fault share its prior between them.
    return (p * (priors[kind] ?? spec.prior)) / PRIOR_SCALE / (spec.levels?.length ?? 1);
  }, 1);

export function suspects(
  candidates: readonly Candidate[],
  readings: readonly Reading[],
  priors: Priors = {},
  error = READING_ERROR,
): Suspect[] {
  const weighed = candidates.map((candidate) => {
    const answers = readings.map((r) => readingOf(r.check, candidate));
    const fits = readings.every((r, k) => agrees(r.check, r.answer, answers[k]!));
    const likely = readings.reduce(
      (p, r, k) => p * likelihood(r.check, r.answer, answers[k]!, error),
      1,
    );
    return { candidate, fits, raw: priorOf(candidate, priors) * likely };
  });
  const total = weighed.reduce((s, w) => s + w.raw, 0);
  return weighed
    .map(({ candidate, fits, raw }) => ({ candidate, fits, weight: total > 0 ? raw / total : 0 }))
    .sort((a, b) => b.weight - a.weight);
}

const logged = (w: number): number => (w > 0 ? w * Math.log2(w) : 0);

/** Bits. @param total Σ w of any weights @param sum Σ w·log₂ w */
const entropyOf = (total: number, sum: number): number =>
  total > 0 ? Math.log2(total) - sum / total : 0;

export interface NextCheck {
  readonly check: Check;
  /** With the way there. */
  readonly minutes: number;
  /** Bits that it is expected to say, and bits for each minute. */
  readonly bits: number;
  readonly worth: number;
}

/** Bits that a check is expected to say of these suspects. A shop hands out one object for each reading: they group by it. */
export function bitsOf(check: Check, known: readonly Suspect[], error = READING_ERROR): number {
  const groups = new Map<Answer, { answer: Answer; weight: number; logged: number }>();
  for (const { candidate, weight } of known) {
    const answer = readingOf(check, candidate);
    let group = groups.get(answer);
    if (!group) groups.set(answer, (group = { answer, weight: 0, logged: 0 }));
    group.weight += weight;
    group.logged += logged(weight);
  }
  const parts = [...groups.values()];
  if (parts.length < 2) return 0;
  const before = entropyOf(
    parts.reduce((s, p) => s + p.weight, 0),
    parts.reduce((s, p) => s + p.logged, 0),
  );
  let after = 0;
  for (const given of parts) {
    // A group's weights all shrink by one likelihood l: Σ l·w·log(l·w) = l·Σ w·log w + l·log l·Σ w.
    let [total, sum] = [0, 0];
    for (const part of parts) {
      const l = likelihood(check, given.answer, part.answer, error);
      total += l * part.weight;
      sum += l * part.logged + logged(l) * part.weight;
    }
    after += given.weight * entropyOf(total, sum);
  }
  return Math.max(0, before - after);
}

/**
 * Checks by what they say for their minutes, the best first; those that can say nothing, and those that the state of the
 * machine forbids, are left out.
 */
export function nextChecks(
  known: readonly Suspect[],
  checks: readonly Check[],
  done: readonly Reading[],
  state: MachineState = ARRIVES,
): NextCheck[] {
  return checks
    .filter((c) => !done.some((d) => d.check.id === c.id))
    .flatMap((check) => {
      const minutes = priceFrom(state, check);
      if (minutes === null) return [];
      const bits = bitsOf(check, known);
      return [{ check, bits, minutes, worth: bits / minutes }];
    })
    .filter((n) => n.bits > LEAST_BITS)
    .sort((a, b) => b.worth - a.worth || a.minutes - b.minutes);
}

/** Less than this is nothing: what two figures within their tolerance seem to say. */
const LEAST_BITS = 1e-6;

/** The readings without which some fault would fit; empty when one fits as it is, or none would. */
export function oddReadings(
  candidates: readonly Candidate[],
  readings: readonly Reading[],
): Reading[] {
  const fits = (list: readonly Reading[]) =>
    candidates.some((c) => list.every((r) => agrees(r.check, r.answer, readingOf(r.check, c))));
  if (fits(readings)) return [];
  return readings.filter((odd) => fits(readings.filter((r) => r !== odd)));
}
