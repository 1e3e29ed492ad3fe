import { holdersOf, solveUnit } from '../../../geartrain';
import type { Reasons } from '../../family';
import { doesOf, unitClaimHolds } from './claims';
import type { UnitTypes } from './types';
import { chartThoughts, wrongRows } from './chartReasons';
import { applied, bothLoads, coastThoughts, pathThoughts, reactionThoughts } from './rangeReasons';
import { oneWayStates, rowThoughts } from './rowReasons';

export const reasons: Reasons<UnitTypes> = {
  thoughts: {
    'fill-chart': chartThoughts,
    'trace-path': pathThoughts,
    'row-outcome': rowThoughts,
    reaction: reactionThoughts,
    'drive-or-coast': coastThoughts,
  },
  facts: {
    'fill-chart': ({ subject: { unit }, key, answer }) =>
      [...wrongRows(unit, key, answer.on).map((r) => r.range), ...key.ranges]
        .slice(0, 1)
        .map((r) => ({ claim: 'does' as const, ...doesOf(unit, r.apply, 'drive') })),
    'trace-path': ({ question, subject: { unit }, key }) => [
      { claim: 'power-goes', apply: applied(unit, question.range), members: key.members },
    ],
    'row-outcome': ({ question, subject: { unit } }) => [
      { claim: 'does', ...doesOf(unit, question.apply, question.load) },
      ...oneWayStates(unit, question.apply, question.load),
    ],
    reaction: ({ question, subject: { unit } }) => {
      const apply = applied(unit, question.range);
      return holdersOf(unit, solveUnit(unit, apply)).map(({ element }) => ({
        claim: 'to-case' as const,
        element,
        apply,
      }));
    },
    'drive-or-coast': ({ question, subject: { unit }, key }) => {
      const apply = applied(unit, question.range);
      return key.braking
        ? [{ claim: 'does', ...doesOf(unit, apply, 'coast') }]
        : key.letGo.flatMap((id) => bothLoads(unit, apply, id));
    },
  },
  holds: (claim, { question, subject }) => unitClaimHolds(claim, question, subject.unit),
};
