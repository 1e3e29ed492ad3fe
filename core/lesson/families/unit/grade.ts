import type { Unit } from '../../../geartrain';
import { signOf, toNumber } from '../../../numerics';
import type { Family, GradedPart, Judged, Of } from '../../family';
import { allowedAround } from '../../questionParts';
import type { UnitPart, UnitTypes } from './types';
import { rowsAlike, type UnitKey } from './key';
import { applyOf, type RowOutcomeQuestion, type UnitAnswer } from './kinds';

type UnitJudged = Judged<UnitPart>;
type UnitGradedPart = GradedPart<UnitPart>;

/** A row is right when it does what the unit's row does: other elements to the same effect count. */
function chart(
  unit: Unit,
  key: Of<UnitKey, 'fill-chart'>,
  answer: Of<UnitAnswer, 'fill-chart'>,
): UnitJudged {
  const rows = key.ranges.map((range) => {
    const given = applyOf(unit, range.id, answer.on);
    return { range, right: rowsAlike(unit, given, range.apply) };
  });
  return {
    parts: rows.map(({ range, right }) => ({ part: 'row' as const, right, of: range.id })),
  };
}

function path(
  unit: Unit,
  key: Of<UnitKey, 'trace-path'>,
  answer: Of<UnitAnswer, 'trace-path'>,
): UnitJudged {
  const { members } = answer;
  const follows = (list: readonly string[]) =>
    list.length > 1 && list.slice(1).every((to, k) => key.steps.get(list[k]!)?.has(to) ?? false);
  const parts: UnitGradedPart[] = [
    { part: 'start', right: members[0] === unit.input },
    { part: 'way', right: follows(members) },
    { part: 'end', right: members.at(-1) === unit.output },
  ];
  return { parts };
}

function rowOutcome(
  question: RowOutcomeQuestion,
  key: Of<UnitKey, 'row-outcome'>,
  answer: Of<UnitAnswer, 'row-outcome'>,
): UnitJudged {
  const outcome: UnitGradedPart = { part: 'outcome', right: answer.outcome === key.outcome };
  if (!outcome.right) {
    const others: UnitGradedPart[] = key.ratio
      ? [
          { part: 'value', right: false },
          { part: 'direction', right: false },
        ]
      : [];
    return { parts: [outcome, ...others] };
  }
  if (!key.ratio) return { parts: [outcome] };
  const size = Math.abs(toNumber(key.ratio));
  const given = answer.ratio ?? NaN;
  const allowed = allowedAround(size, question.tolerance);
  const near = (wanted: number) => Math.abs(given - wanted) <= allowed;
  const way = signOf(key.ratio) > 0 ? 'same' : 'opposite';
  const parts: UnitGradedPart[] = [
    outcome,
    { part: 'value', right: near(size) },
    { part: 'direction', right: answer.direction === way },
  ];
  return { parts };
}

function reaction(key: Of<UnitKey, 'reaction'>, answer: Of<UnitAnswer, 'reaction'>): UnitJudged {
  const alone = key.elements.filter((id) => !key.shared.flat().includes(id));
  const named = (id: string) => answer.elements.includes(id);
  const right =
    answer.elements.every((id) => key.elements.includes(id)) &&
    alone.every(named) &&
    key.shared.every((group) => group.some(named));
  return { parts: [{ part: 'elements', right }] };
}

function coast(
  key: Of<UnitKey, 'drive-or-coast'>,
  answer: Of<UnitAnswer, 'drive-or-coast'>,
): UnitJudged {
  const braking: UnitGradedPart = { part: 'braking', right: answer.braking === key.braking };
  if (key.braking || key.letGo.length === 0) return { parts: [braking] };
  const letsGo = answer.letsGo !== undefined && key.letGo.includes(answer.letsGo);
  return { parts: [braking, { part: 'lets-go', right: letsGo }] };
}

export const judge: Family<UnitTypes>['judge'] = {
  'fill-chart': ({ subject, key, answer }) => chart(subject.unit, key, answer),
  'trace-path': ({ subject, key, answer }) => path(subject.unit, key, answer),
  'row-outcome': ({ question, key, answer }) => rowOutcome(question, key, answer),
  reaction: ({ key, answer }) => reaction(key, answer),
  'drive-or-coast': ({ key, answer }) => coast(key, answer),
};
