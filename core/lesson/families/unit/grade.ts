import type { UnitSlip } from './slips';
import { memberRoles, solveUnit, type Unit } from '../../../geartrain';
import { signOf, toNumber } from '../../../numerics';
import { keyAs, type Family, type GradedPart, type Judged, type Of } from '../../family';
import { allowedAround } from '../../questionParts';
import type { UnitPart, UnitTypes } from './types';
import { rowsAlike, solvedOnce, type UnitKey } from './key';
import { applyOf, type RowOutcomeQuestion, type UnitAnswer } from './kinds';

type UnitJudged = Judged<UnitPart, UnitSlip>;
type UnitGradedPart = GradedPart<UnitPart>;

/** A row is right when it does what the unit's row does: other elements to the same effect count. */
function chart(
  unit: Unit,
  key: Of<UnitKey, 'fill-chart'>,
  answer: Of<UnitAnswer, 'fill-chart'>,
): UnitJudged {
  const rows = key.ranges.map((range) => {
    const given = applyOf(unit, range.id, answer.on);
    return { range, given, right: rowsAlike(unit, given, range.apply) };
  });
  const wrong = rows.filter((r) => !r.right);
  const driving = wrong.filter((r) => solvedOnce(unit, r.range.apply).outcome === 'drives');
  const code: UnitSlip | null = driving.some((r) => r.given.length === 0)
    ? 'gears-shifted'
    : driving.some((r) => solvedOnce(unit, r.given).outcome === 'tied-up')
      ? 'tie-up-unseen'
      : driving.length > 0 && driving.every((r) => r.given.length === 1)
        ? 'one-element-a-gear'
        : null;
  return {
    parts: rows.map(({ range, right }) => ({ part: 'row' as const, right, of: range.id })),
    misconception: code,
  };
}

function path(
  unit: Unit,
  rangeId: string,
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
  const range = unit.ranges.find((r) => r.id === rangeId);
  const roles = memberRoles(unit, solvedOnce(unit, range?.apply ?? []));
  const backward = [...members].reverse();
  const code: UnitSlip | null = members.some((m) => roles.get(m) === 'held')
    ? 'path-through-held'
    : members.some((m) => roles.get(m) === 'idle')
      ? 'path-through-idle'
      : follows(backward) && backward[0] === unit.input
        ? 'path-backward'
        : null;
  return { parts, misconception: code };
}

function rowOutcome(
  question: RowOutcomeQuestion,
  unit: Unit,
  key: Of<UnitKey, 'row-outcome'>,
  answer: Of<UnitAnswer, 'row-outcome'>,
): UnitJudged {
  const outcome: UnitGradedPart = { part: 'outcome', right: answer.outcome === key.outcome };
  if (!outcome.right) {
    const withoutOneWays = { ...unit, elements: unit.elements.filter((e) => e.kind !== 'one-way') };
    const unaided = solveUnit(withoutOneWays, question.apply, question.load);
    const blind = answer.outcome === 'drives' && key.outcome !== 'neutral';
    const code: UnitSlip | null =
      question.load === 'coast' && key.outcome === 'neutral' && answer.outcome === 'drives'
        ? 'one-way-brakes'
        : answer.outcome === unaided.outcome
          ? 'one-way-ignored'
          : blind
            ? 'tie-up-unseen'
            : null;
    const others: UnitGradedPart[] = key.ratio
      ? [
          { part: 'value', right: false },
          { part: 'direction', right: false },
        ]
      : [];
    return { parts: [outcome, ...others], misconception: code };
  }
  if (!key.ratio) return { parts: [outcome], misconception: null };
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
  if (near(size)) return { parts, misconception: 'wrong-sign' };
  return { parts, misconception: near(1 / size) ? 'upside-down' : null };
}

function reaction(
  unit: Unit,
  rangeId: string,
  key: Of<UnitKey, 'reaction'>,
  answer: Of<UnitAnswer, 'reaction'>,
): UnitJudged {
  const alone = key.elements.filter((id) => !key.shared.flat().includes(id));
  const named = (id: string) => answer.elements.includes(id);
  const right =
    answer.elements.every((id) => key.elements.includes(id)) &&
    alone.every(named) &&
    key.shared.every((group) => group.some(named));
  const range = unit.ranges.find((r) => r.id === rangeId);
  const { elements } = solvedOnce(unit, range?.apply ?? []);
  const extra = answer.elements.filter((id) => !key.elements.includes(id));
  const state = (id: string) => elements.get(id)?.state;
  const code: UnitSlip | null = extra.some((id) => state(id) === 'overrunning')
    ? 'runs-over-not-holding'
    : extra.some((id) => state(id) === 'applied')
      ? 'applied-not-holding'
      : null;
  return { parts: [{ part: 'elements', right }], misconception: code };
}

function coast(
  key: Of<UnitKey, 'drive-or-coast'>,
  answer: Of<UnitAnswer, 'drive-or-coast'>,
): UnitJudged {
  const braking: UnitGradedPart = { part: 'braking', right: answer.braking === key.braking };
  const code: UnitSlip | null = answer.braking && !key.braking ? 'one-way-brakes' : null;
  if (key.braking || key.letGo.length === 0) return { parts: [braking], misconception: code };
  const letsGo = answer.letsGo !== undefined && key.letGo.includes(answer.letsGo);
  return { parts: [braking, { part: 'lets-go', right: letsGo }], misconception: code };
}

export const judge: Family<UnitTypes>['judge'] = {
  'fill-chart': ({ subject, key, answer }) => chart(subject.unit, keyAs(key, 'fill-chart'), answer),
  'trace-path': ({ question, subject, key, answer }) =>
    path(subject.unit, question.range, keyAs(key, 'trace-path'), answer),
  'row-outcome': ({ question, subject, key, answer }) =>
    rowOutcome(question, subject.unit, keyAs(key, 'row-outcome'), answer),
  reaction: ({ question, subject, key, answer }) =>
    reaction(subject.unit, question.range, keyAs(key, 'reaction'), answer),
  'drive-or-coast': ({ key, answer }) => coast(keyAs(key, 'drive-or-coast'), answer),
};
