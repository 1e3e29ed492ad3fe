import { among, ids, noneTwice, type Family } from '../../family';
import { judge } from './grade';
import { reasons } from './reasons';
import { unitKey } from './key';
import { cellKey } from './kinds';
import { SMALLER_UNIT_QUESTIONS } from './smaller';
import type { UnitTypes } from './types';
import { vary } from './vary';

export const UNIT_FAMILY: Family<UnitTypes> = {
  key: (question, { unit }) => unitKey(question, unit),
  judge,
  reasons,
  vary,
  guess: {
    'fill-chart': null,
    'trace-path': null,
    'row-outcome': null,
    reaction: null,
    'drive-or-coast': () => 1 / 2,
  },
  dear: [],
  smaller: SMALLER_UNIT_QUESTIONS,
  fits: {
    'fill-chart': ({ subject: { unit }, answer }) =>
      among(
        answer.on,
        unit.ranges.flatMap((r) => unit.elements.map((e) => cellKey(r.id, e.id))),
      ),
    'trace-path': ({ subject, answer }) => among(answer.members, ids(subject.unit.members)),
    'row-outcome': ({ answer: { outcome, ratio, direction } }) =>
      outcome === 'drives'
        ? Number.isFinite(ratio) && direction !== undefined
        : ratio === undefined && direction === undefined,
    reaction: ({ subject, answer: { elements } }) =>
      noneTwice(elements) && among(elements, ids(subject.unit.elements)),
    'drive-or-coast': ({ subject, answer: { braking, letsGo } }) =>
      letsGo === undefined ||
      (!braking && subject.unit.elements.some((e) => e.id === letsGo && e.kind === 'one-way')),
  },
};
