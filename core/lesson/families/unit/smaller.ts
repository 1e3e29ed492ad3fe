import type { SmallerQuestions } from '../../family';
import { applyOf, type UnitQuestion } from './kinds';
import { unitKey } from './key';
import type { UnitTypes } from './types';
import type { Unit } from '../../../geartrain';

export const SMALLER_UNIT_QUESTIONS: SmallerQuestions<UnitTypes> = {
  /** Of a chart the first row that is wrong; of a row, of its power and of its coast, what holds in it. */
  twice(question, { unit }, { answer }) {
    switch (question.kind) {
      case 'fill-chart': {
        if (answer.kind !== 'fill-chart' || question.ranges.length < 2) return null;
        const wrong = question.ranges.find((id) => !sameRow(unit, id, answer.on));
        const given = question.given.filter((cell) => cell.startsWith(`${wrong} `));
        return wrong === undefined ? null : { ...question, prompt: '', ranges: [wrong], given };
      }
      case 'trace-path':
      case 'drive-or-coast':
        return whoHolds(unit, question.range);
      case 'row-outcome':
        return whoHolds(unit, rangeOf(unit, question.apply));
      case 'reaction':
        return null;
    }
  },
};

const sorted = (ids: readonly string[]) => [...ids].sort().join(' ');

const sameRow = (unit: Unit, id: string, on: readonly string[]): boolean =>
  sorted(applyOf(unit, id, on)) === sorted(unit.ranges.find((r) => r.id === id)?.apply ?? []);

const rangeOf = (unit: Unit, apply: readonly string[]): string =>
  unit.ranges.find((r) => sorted(r.apply) === sorted(apply))?.id ?? '';

function whoHolds(unit: Unit, range: string): UnitQuestion | null {
  const question = { kind: 'reaction' as const, prompt: '', unit: unit.id, range };
  return unitKey(question, unit).ok ? question : null;
}
