import { found, refused, type KeyResult } from '../../family';
import {
  holdersOf,
  powerFlow,
  powerSteps,
  solveUnit,
  type Outcome,
  type Range,
  type Solution,
  type Unit,
} from '../../../geartrain';
import { equals, type Fraction } from '../../../numerics';
import type { CoastQuestion, ReactionQuestion, TracePathQuestion, UnitQuestion } from './kinds';

/** The right answers to questions about a unit, computed from it at the moment they are asked for. */
export type UnitKey =
  | { readonly kind: 'fill-chart'; readonly ranges: readonly Range[] }
  | {
      readonly kind: 'trace-path';
      /** One way from input to output; every other way along `steps` is as right. */
      readonly members: readonly string[];
      readonly steps: ReadonlyMap<string, ReadonlySet<string>>;
    }
  | { readonly kind: 'row-outcome'; readonly outcome: Outcome; readonly ratio: Fraction | null }
  | {
      readonly kind: 'reaction';
      readonly elements: readonly string[];
      /** Those that share: statics leave open who carries how much, so one of each group will do. */
      readonly shared: readonly (readonly string[])[];
    }
  | {
      readonly kind: 'drive-or-coast';
      readonly braking: boolean;
      /** One-way clutches that hold on drive and run over on coast. */
      readonly letGo: readonly string[];
    };

/** Why a question can't be asked as it stands. */
export type UnitKeyFault =
  | 'unit-missing'
  | 'range-missing'
  | 'element-missing'
  | 'range-does-not-drive'
  | 'nothing-holds'
  | 'nothing-to-fill'
  | 'torque-open';

export type UnitKeyResult = KeyResult<UnitKey, UnitKeyFault>;

export function unitKey(question: UnitQuestion, unit: Unit): UnitKeyResult {
  switch (question.kind) {
    case 'fill-chart': {
      const ranges = question.ranges.map((id) => unit.ranges.find((r) => r.id === id));
      if (ranges.length === 0) return refused('nothing-to-fill');
      return ranges.every((r) => r !== undefined)
        ? found({ kind: 'fill-chart', ranges })
        : refused('range-missing');
    }
    case 'row-outcome': {
      if (question.apply.some((id) => !unit.elements.some((e) => e.id === id)))
        return refused('element-missing');
      const { outcome, ratio } = solveUnit(unit, question.apply, question.load);
      return found({ kind: 'row-outcome', outcome, ratio });
    }
    case 'trace-path':
    case 'reaction':
    case 'drive-or-coast':
      return rangeKey(question, unit);
  }
}

function rangeKey(
  question: TracePathQuestion | ReactionQuestion | CoastQuestion,
  unit: Unit,
): UnitKeyResult {
  const range = unit.ranges.find((r) => r.id === question.range);
  if (!range) return refused('range-missing');
  const drive = solveUnit(unit, range.apply);
  if (drive.outcome !== 'drives') return refused('range-does-not-drive');
  switch (question.kind) {
    case 'trace-path': {
      const steps = powerSteps(unit, powerFlow(unit, drive));
      const members = shortestWay(steps, unit.input, unit.output);
      return members ? found({ kind: 'trace-path', members, steps }) : refused('torque-open');
    }
    case 'reaction': {
      const elements = holdersOf(unit, drive).map((h) => h.element);
      const shared = sharedGroups(unit, drive, elements);
      return elements.length > 0
        ? found({ kind: 'reaction', elements, shared })
        : refused('nothing-holds');
    }
    case 'drive-or-coast': {
      const coast = solveUnit(unit, range.apply, 'coast');
      return found({
        kind: 'drive-or-coast',
        braking: coast.outcome === 'drives',
        letGo: lettingGo(unit, drive, coast),
      });
    }
  }
}

/** Holders that share, by the member that they hold. */
function sharedGroups(unit: Unit, drive: Solution, holders: readonly string[]): string[][] {
  const groups = new Map<string, string[]>();
  for (const { id, between } of unit.elements) {
    if (!holders.includes(id) || drive.elements.get(id)?.state !== 'shared') continue;
    const member = [...between].sort().join();
    groups.set(member, [...(groups.get(member) ?? []), id]);
  }
  return [...groups.values()];
}

function lettingGo(unit: Unit, drive: Solution, coast: Solution): string[] {
  const held = (s: Solution, id: string) =>
    ['holding', 'shared'].includes(s.elements.get(id)?.state ?? '');
  return unit.elements
    .filter(({ id, kind }) => kind === 'one-way' && held(drive, id) && !held(coast, id))
    .map((e) => e.id);
}

/** Breadth-first search along the power. */
function shortestWay(
  steps: ReadonlyMap<string, ReadonlySet<string>>,
  from: string,
  to: string,
): string[] | null {
  const ways: string[][] = [[from]];
  const seen = new Set([from]);
  for (const way of ways) {
    const last = way.at(-1)!;
    if (last === to) return way;
    for (const next of steps.get(last) ?? []) {
      if (seen.has(next)) continue;
      seen.add(next);
      ways.push([...way, next]);
    }
  }
  return null;
}

/** Two rows of a chart do the same: on drive and on coast, with the same ratio. */
export function rowsAlike(unit: Unit, a: readonly string[], b: readonly string[]): boolean {
  return (['drive', 'coast'] as const).every((load) => {
    const [x, y] = [solveUnit(unit, a, load), solveUnit(unit, b, load)];
    if (x.outcome !== y.outcome) return false;
    return x.ratio && y.ratio ? equals(x.ratio, y.ratio) : x.ratio === y.ratio;
  });
}
