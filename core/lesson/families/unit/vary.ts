import { solveUnit, type Unit } from '../../../geartrain';
import type { Random } from '../../../numerics';
import type { Family } from '../../family';
import { onceFor } from '../../../numerics';
import { cellKey, type UnitQuestion } from './kinds';
import type { UnitTypes } from './types';

/** Other rows of the same unit. What an instructor wrote of a row would be wrong of another: the program words it. */
export const vary: Family<UnitTypes>['vary'] = {
  'fill-chart': (question, { unit }, random) => {
    const all = driving(unit);
    // Where the whole chart is asked for, some of its rows are.
    const asked = question.ranges.length;
    const ranges = some(all, asked < all.length ? asked : Math.ceil(asked * 0.7), random);
    const cells = ranges.flatMap((r) => unit.elements.map((e) => cellKey(r, e.id)));
    return { ...question, prompt: '', ranges, given: some(cells, question.given.length, random) };
  },
  'trace-path': otherRange,
  reaction: otherRange,
  'drive-or-coast': otherRange,
  'row-outcome': (question, { unit }, random) => {
    const apply = new Set(pickFrom(random, unit.ranges)?.apply ?? question.apply);
    // Half of the time one element more or less: rows that no chart has.
    const other = pickFrom(
      random,
      unit.elements.filter((e) => e.kind !== 'one-way'),
    );
    if (other && random.next() < 0.5 && !apply.delete(other.id)) apply.add(other.id);
    return { ...question, prompt: '', apply: [...apply] };
  },
};

function otherRange<Q extends UnitQuestion & { range: string }>(
  question: Q,
  { unit }: UnitTypes['subject'],
  random: Random,
): Q {
  return { ...question, prompt: '', range: pickFrom(random, driving(unit)) ?? question.range };
}

/** Ranges that drive, forward or back. */
const driving = (unit: Unit): string[] =>
  known(unit, 'driving', () =>
    unit.ranges.filter((r) => solveUnit(unit, r.apply).outcome === 'drives').map((r) => r.id),
  );
const known = onceFor<Unit, string[]>();

/** So many of a list, in the list's order. */
function some<T>(list: readonly T[], count: number, random: Random): T[] {
  const left = [...list];
  while (left.length > count) left.splice(random.whole(0, left.length - 1), 1);
  return left;
}

/** A unit may have no ranges and no elements yet: then there is nothing to draw. */
const pickFrom = <T>(random: Random, list: readonly T[]): T | undefined =>
  list.length > 0 ? random.pick(list) : undefined;
