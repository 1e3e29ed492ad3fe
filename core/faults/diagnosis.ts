import { solveUnit, type Unit } from '../geartrain';
import type { Fault, FaultKind } from './applyFault';
import { readingOf, type Check } from './checks';
import type { SymptomRow } from './symptoms';

/**
 * From the readings so far: how much each fault is suspected (Bayes's rule with a chance that a reading is wrong), which
 * check says most for its minutes (expected loss of entropy), what the readings have in common, and which of them is
 * the odd one when nothing fits.
 */
export interface Reading {
  readonly check: Check;
  readonly value: string;
}

export interface Suspect {
  readonly row: SymptomRow;
  /** 0 to 1 over all suspects. */
  readonly weight: number;
  /** Every reading is what this fault gives. */
  readonly fits: boolean;
}

/** How often each kind of fault is met, against the others; an instructor may set their own (memory). */
export const USUAL_PRIORS: Readonly<Record<FaultKind, number>> = {
  'will-not-apply': 6,
  'stuck-on': 2,
  'will-not-hold': 3,
  seized: 1,
  reversed: 0.5,
  broken: 1,
};

/** Chance that a reading is taken wrongly. */
export const READING_ERROR = 0.02;

export function suspects(
  rows: readonly SymptomRow[],
  readings: readonly Reading[],
  priors: Readonly<Record<FaultKind, number>> = USUAL_PRIORS,
  error = READING_ERROR,
): Suspect[] {
  const weighed = rows.map((row) => {
    const wrong = readings.filter((r) => readingOf(r.check, row) !== r.value).length;
    const prior = row.faults.reduce((p, f) => p * (priors[f.kind] / PRIOR_SCALE), 1);
    const likely = error ** wrong * (1 - error) ** (readings.length - wrong);
    return { row, fits: wrong === 0, raw: prior * likely };
  });
  const total = weighed.reduce((s, w) => s + w.raw, 0);
  return weighed
    .map(({ row, fits, raw }) => ({ row, fits, weight: total > 0 ? raw / total : 0 }))
    .sort((a, b) => b.weight - a.weight);
}

/** Two faults at once are as rare as the product of both. */
const PRIOR_SCALE = 100;

const entropy = (weights: readonly number[]): number => {
  const total = weights.reduce((a, b) => a + b, 0);
  if (total <= 0) return 0;
  return weights.reduce((s, w) => (w > 0 ? s - (w / total) * Math.log2(w / total) : s), 0);
};

export interface NextCheck {
  readonly check: Check;
  /** Bits that it is expected to say, and bits for each minute. */
  readonly bits: number;
  readonly worth: number;
}

/** Checks by what they say for their minutes, the best first; those that can say nothing are left out. */
export function nextChecks(
  known: readonly Suspect[],
  checks: readonly Check[],
  done: readonly Reading[],
): NextCheck[] {
  const before = entropy(known.map((s) => s.weight));
  return checks
    .filter((c) => !done.some((d) => d.check.id === c.id))
    .map((check) => {
      const parts = new Map<string, number[]>();
      for (const { row, weight } of known) {
        const value = readingOf(check, row);
        parts.set(value, [...(parts.get(value) ?? []), weight]);
      }
      const after = [...parts.values()].reduce(
        (s, weights) => s + weights.reduce((a, b) => a + b, 0) * entropy(weights),
        0,
      );
      const bits = Math.max(0, before - after);
      return { check, bits, worth: bits / check.minutes };
    })
    .filter((n) => n.bits > LEAST_BITS)
    .sort((a, b) => b.worth - a.worth || a.check.minutes - b.check.minutes);
}

const LEAST_BITS = 1e-9;

/** The readings without which some fault would fit; empty when one fits as it is, or none would. */
export function oddReadings(rows: readonly SymptomRow[], readings: readonly Reading[]): Reading[] {
  const fits = (list: readonly Reading[]) =>
    rows.some((row) => list.every((r) => readingOf(r.check, row) === r.value));
  if (fits(readings)) return [];
  return readings.filter((odd) => fits(readings.filter((r) => r !== odd)));
}

/** What the bad ranges have in common, as an expert reasons on the chart. */
export interface ChartReason {
  readonly bad: readonly string[];
  readonly good: readonly string[];
  /** Elements that work in every bad range. */
  readonly inAllBad: readonly string[];
  /** Of these, those that also work in a good one: they are cleared. */
  readonly cleared: readonly string[];
  /** What is left. */
  readonly left: readonly string[];
}

/** @param bad ranges that do not drive as they should @param good those that do */
export function chartReason(
  unit: Unit,
  bad: readonly string[],
  good: readonly string[],
): ChartReason {
  const works = new Map(
    unit.ranges.map((r) => {
      const { elements } = solveUnit(unit, r.apply);
      const on = [...elements].filter(([, e]) => e.state !== 'open' && e.state !== 'overrunning');
      return [r.id, on.map(([id]) => id)];
    }),
  );
  const of = (range: string) => works.get(range) ?? [];
  const inAllBad =
    bad.length === 0 ? [] : of(bad[0]!).filter((id) => bad.every((r) => of(r).includes(id)));
  const cleared = inAllBad.filter((id) => good.some((r) => of(r).includes(id)));
  return { bad, good, inAllBad, cleared, left: inAllBad.filter((id) => !cleared.includes(id)) };
}

/** The faults of a row as one text, for lists and for keys. */
export const faultKey = (faults: readonly Fault[]): string =>
  faults.map((f) => `${f.target}=${f.kind}`).join(' + ');
