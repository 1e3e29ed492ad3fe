import { nullVector } from '../numerics';
import { compileTrain, type CompiledTrain } from './fastSpeeds';
import { loadedTrain } from './loadedEquations';
import { maskOf } from './outcomeTable';
import { solveUnit } from './solve';
import { candidateSource, type ToothLimits } from './toothCandidates';
import { CASE, portsOf, type GearSet, type Unit } from './unit';

/**
 * Tooth counts for wanted ratios: the same arrangement with other gears.
 *
 * Method: branch and bound (derived here). Sets are filled one after the other with counts that can be built;
 * as soon as all sets that carry torque in a wanted range are filled, its ratio is known and a partial choice
 * whose worst error is no better than the poorest answer kept is left. Candidates of one ratio Nr/Ns stand for
 * each other, the smallest for all, unless another set takes its ring from them.
 */
export interface ToothWish {
  readonly range: string;
  /** ω_in/ω_out; negative for reverse. */
  readonly ratio: number;
}

export interface ToothSearch extends ToothLimits {
  readonly unit: Unit;
  readonly wishes: readonly ToothWish[];
  /** Answers kept, best first. */
  readonly keep: number;
  /** Largest error of a ratio, as a share of it. */
  readonly tolerance: number;
}

export interface FoundTeeth {
  /** Teeth by gear set id. */
  readonly teeth: Readonly<Record<string, GearSet['teeth']>>;
  /** Ratios in the order of the wishes. */
  readonly ratios: readonly number[];
  /** Worst error over the wishes, as a share. */
  readonly error: number;
}

export interface SearchStep {
  readonly tried: number;
  /** 0 to 1. */
  readonly share: number;
  readonly found: readonly FoundTeeth[];
}

/** Candidates are weighed in lots of this many between two steps of the generator. */
const LOT = 4000;

/** The unit with these teeth in its sets. */
export const withTeeth = (unit: Unit, teeth: FoundTeeth['teeth']): Unit => ({
  ...unit,
  gearsets: unit.gearsets.map((set) =>
    teeth[set.id] ? ({ ...set, teeth: teeth[set.id] } as GearSet) : set,
  ),
});

/**
 * Runs piece by piece: each step tells how far it is and the best found so far; the last has `share` 1.
 * @param part of the first set's candidates, for several workers: `{ index: 0, of: 2 }` is every second
 * @throws Error when a wish names a range that is not there or does not drive
 */
export function* searchTeeth(
  search: ToothSearch,
  part: { readonly index: number; readonly of: number } = { index: 0, of: 1 },
): Generator<SearchStep, void> {
  const plan = planSearch(search);
  const candidates = candidateSource(search, search.unit);
  const chosen = new Map<string, GearSet['teeth']>();
  const found: FoundTeeth[] = [];
  let tried = 0;
  let next = LOT;
  const bound = () =>
    found.length < search.keep ? search.tolerance : Math.min(search.tolerance, found.at(-1)!.error);

  /** Into its place, best first; what no longer counts among the kept goes. */
  const put = (answer: FoundTeeth) => {
    const at = found.findIndex((f) => f.error > answer.error);
    found.splice(at < 0 ? found.length : at, 0, answer);
    if (found.length > search.keep) found.pop();
  };
  /** Tries each candidate and keeps those that may still lead to an answer, best first. */
  const weigh = ({ set, wishes }: Level, before: Weighed): Weighed[] => {
    const weighed: Weighed[] = [];
    const ratios = [...before.ratios];
    for (const teeth of candidates(set, chosen)) {
      plan.put(set, teeth);
      tried++;
      let error = before.error;
      for (const wish of wishes) {
        ratios[wish] = plan.ratio(wish);
        error = Math.max(error, errorOf(ratios[wish], search.wishes[wish]!.ratio));
        if (!(error < bound())) break;
      }
      if (error < bound()) weighed.push({ teeth, error, ratios: [...ratios] });
    }
    return weighed.sort((x, y) => x.error - y.error);
  };
  function* fill(level: number, before: Weighed): Generator<number> {
    const here = plan.levels[level]!;
    const weighed = weigh(here, before);
    const own = level === 0 ? weighed.filter((_w, k) => k % part.of === part.index) : weighed;
    for (const [k, candidate] of own.entries()) {
      if (candidate.error >= bound()) break;
      chosen.set(here.set.id, candidate.teeth);
      plan.put(here.set, candidate.teeth);
      const { ratios, error } = candidate;
      if (level + 1 < plan.levels.length) yield* fill(level + 1, candidate);
      else put({ teeth: Object.fromEntries(chosen), ratios, error });
      if (level === 0) yield (k + 1) / own.length;
      else if (tried >= next) yield NaN;
    }
    chosen.delete(here.set.id);
  }
  let share = 0;
  const nothing: Weighed = { teeth: NO_TEETH, error: 0, ratios: search.wishes.map(() => NaN) };
  if (plan.levels.length > 0)
    for (const done of fill(0, nothing)) {
      if (!Number.isNaN(done)) share = done;
      if (tried < next) continue;
      next = tried + LOT;
      yield { tried, share, found: [...found] };
    }
  yield { tried, share: 1, found: [...found] };
}

interface Weighed {
  readonly teeth: GearSet['teeth'];
  readonly error: number;
  readonly ratios: readonly number[];
}
const NO_TEETH: GearSet['teeth'] = { sun: 0, ring: 0 };

/** Share by which a ratio misses; a ratio that is not there misses entirely. */
const errorOf = (ratio: number, wanted: number): number => {
  const error = Math.abs(ratio / wanted - 1);
  return Number.isNaN(error) ? Infinity : error;
};

interface Level {
  readonly set: GearSet;
  /** Wishes that are settled once this set is filled. */
  readonly wishes: readonly number[];
}

interface Plan {
  readonly levels: readonly Level[];
  readonly put: (set: GearSet, teeth: GearSet['teeth']) => void;
  /** ω_in/ω_out of a wish with the teeth now put in. */
  readonly ratio: (wish: number) => number;
}

function planSearch({ unit, wishes }: ToothSearch): Plan {
  const train = compileTrain(unit);
  const needs = wishes.map((wish) => {
    const range = unit.ranges.find((r) => r.id === wish.range);
    if (!range) throw new Error(`searchTeeth: expected a range of the unit, got "${wish.range}"`);
    const solution = solveUnit(unit, range.apply);
    if (solution.outcome !== 'drives')
      throw new Error(`searchTeeth: range "${range.id}" does not drive: ${solution.outcome}`);
    const { sets, ties } = loadedTrain(unit, solution);
    const tied = maskOf(
      unit,
      ties.map((e) => e.id),
    );
    const rows = rowsOf(train, unit, sets, tied);
    return { sets, rows, columns: columnsOf(train, rows) };
  });
  const levels: Level[] = [];
  const placed = new Set<GearSet>();
  const wanted = unit.gearsets.filter((set) => needs.some((n) => n.sets.includes(set)));
  while (placed.size < wanted.length) {
    const settledBy = (set: GearSet) =>
      needs.flatMap((n, k) =>
        n.sets.includes(set) && n.sets.every((s) => s === set || placed.has(s)) ? [k] : [],
      );
    // Single-pinion sets first: a long pinion of theirs settles the double-pinion set's outer one.
    const rank = (set: GearSet) =>
      settledBy(set).length * 2 + (set.kind === 'double-pinion' ? 0 : 1);
    const set = wanted.filter((s) => !placed.has(s)).reduce((a, b) => (rank(b) > rank(a) ? b : a));
    levels.push({ set, wishes: settledBy(set) });
    placed.add(set);
  }
  const places = new Map(
    unit.gearsets.map((set, row) => [
      set,
      portsOf(set).map(({ member }) =>
        member === CASE ? -1 : row * train.members.length + train.members.indexOf(member),
      ),
    ]),
  );
  const work = new Float64Array(train.coefficients.length);
  const out = new Float64Array(train.members.length);
  return {
    levels,
    put: (set, teeth) => putTeeth(train, places.get(set)!, set, teeth),
    ratio: (wish) => 1 / outputSpeed(train, needs[wish]!, work, out),
  };
}

/** Rows of A that settle a range, and no others: what carries no torque must not stand in the way. */
function rowsOf(
  train: CompiledTrain,
  unit: Unit,
  sets: readonly GearSet[],
  ties: number,
): number[] {
  const rows = sets.map((set) => unit.gearsets.indexOf(set));
  for (let e = 0; e < unit.elements.length; e++)
    if (ties & (1 << e)) rows.push(train.gearSetCount + e);
  return rows;
}

/** Columns that these rows speak of, the output's first and the input's last. */
const columnsOf = ({ members, coefficients }: CompiledTrain, rows: readonly number[]): number[] =>
  members.flatMap((_m, c) =>
    rows.some((r) => coefficients[r * members.length + c] !== 0) ? [c] : [],
  );

/** ω_out/ω_in. NaN when the rows do not settle it. */
function outputSpeed(
  { coefficients, members, zero }: CompiledTrain,
  { rows, columns }: { readonly rows: readonly number[]; readonly columns: readonly number[] },
  work: Float64Array,
  out: Float64Array,
): number {
  const width = columns.length;
  for (let r = 0; r < rows.length; r++)
    for (let k = 0; k < width; k++)
      work[r * width + k] = coefficients[rows[r]! * members.length + columns[k]!]!;
  return nullVector(work, rows.length, width, zero, out) ? out[0]! : NaN;
}

/** @param places of the set's ports in the coefficients, −1 for the case */
function putTeeth(
  { coefficients }: CompiledTrain,
  places: readonly number[],
  set: GearSet,
  teeth: GearSet['teeth'],
): void {
  const [a, b] =
    'sun' in teeth
      ? [teeth.sun, set.kind === 'double-pinion' ? -teeth.ring : teeth.ring]
      : [teeth.first, set.kind === 'mesh' && set.internal ? -teeth.second : teeth.second];
  for (const place of places) if (place >= 0) coefficients[place] = 0;
  for (let k = 0; k < places.length; k++)
    if (places[k]! >= 0) coefficients[places[k]!]! += k === 0 ? a : k === 1 ? b : -(a + b);
}
