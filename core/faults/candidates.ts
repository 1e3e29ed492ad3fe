import { agrees, type Answer, type Reading } from './answer';
import type { Check } from './checks';
import type { SymptomCell } from './driving';
import { faultKey, levelsOf, type Fault } from './fault';
import type { Shop } from './shop';
import { faultPairs } from './symptoms';

/** One thing that could be wrong, with what every check would read then. */
export interface Candidate {
  readonly faults: readonly Fault[];
  /** By the id of the check. */
  readonly answers: Readonly<Record<string, Answer>>;
  /** Of the symptom table; empty for a rig without a unit. */
  readonly cells: readonly SymptomCell[];
}

/** @param checks those to be answered; all when left out */
export function examine(
  { machine, driving, answer, checks: all }: Shop,
  faults: readonly Fault[],
  checks: readonly Check[] = all,
): Candidate {
  const now = machine(faults);
  return {
    faults,
    answers: Object.fromEntries(checks.map((c) => [c.id, answer(now, c)])),
    cells: driving?.cells(now) ?? [],
  };
}

export const readingOf = ({ id }: Check, { answers }: Pick<Candidate, 'answers'>): Answer =>
  answers[id] ?? { word: 'not-asked' };

/** Whether a check reads differently for the two, as closely as it can be read. */
export const tellsApart = (
  check: Check,
  a: Pick<Candidate, 'answers'>,
  b: Pick<Candidate, 'answers'>,
): boolean => !agrees(check, readingOf(check, a), readingOf(check, b));

/**
 * Every single fault at each of its levels, one after the other, so that progress can be told.
 * @param also faults with a severity of their own, asked for beside the usual levels
 */
export function* singleCandidates(shop: Shop, also: readonly Fault[] = []): Generator<Candidate> {
  const own = also.filter((f) => f.severity !== undefined);
  for (const fault of shop.faults) {
    const levels = levelsOf(fault);
    const extra = own.filter(
      (f) =>
        f.kind === fault.kind &&
        f.target === fault.target &&
        levels.every((l) => l.severity !== f.severity),
    );
    for (const level of [...levels, ...extra]) yield examine(shop, [level]);
  }
}

export const singleCandidatesCount = (shop: Shop): number =>
  shop.faults.reduce((sum, fault) => sum + levelsOf(fault).length, 0);

/** Pairs of faults that give all of these readings, each with only those checks answered. */
export function* fittingPairs(shop: Shop, readings: readonly Reading[]): Generator<Candidate> {
  for (const faults of faultPairs(shop.faults)) {
    const now = shop.machine(faults);
    const answers: Record<string, Answer> = {};
    const fits = readings.every(({ check, answer }) => {
      const told = (answers[check.id] = shop.answer(now, check));
      return agrees(check, answer, told);
    });
    if (fits) yield { faults, answers, cells: [] };
  }
}

/** Candidates that differ only in how far a fault has gone, in groups. */
export function byFault<T extends { readonly faults: readonly Fault[] }>(
  list: readonly T[],
): Map<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const item of list) {
    const key = faultKey(item.faults);
    const group = groups.get(key);
    if (group) group.push(item);
    else groups.set(key, [item]);
  }
  return groups;
}
