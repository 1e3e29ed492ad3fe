import type { Asked, Family, Judged } from '../../family';
import { within } from '../../questionParts';
import type { RoleAnswer } from './key';
import type { GearSetTypes, SetPart } from './types';

type AskedAs<K> = Asked<GearSetTypes, K>;

function judgeNumber({ question, key, answer }: AskedAs<'number'>): Judged<SetPart> {
  const value = {
    part: 'value' as const,
    right: within(question.tolerance, key.value, answer.value),
  };
  return {
    parts: question.direction
      ? [value, { part: 'direction', right: answer.direction === key.direction }]
      : [value],
  };
}

function judgeChoice({ key, answer }: AskedAs<'choice'>): Judged<SetPart> {
  return { parts: [{ part: 'choice', right: key.right.includes(answer.choice) }] };
}

const sameRoles = (a: RoleAnswer, b: RoleAnswer): boolean =>
  a.drives === b.drives && a.driven === b.driven && a.held === b.held;

function judgeRoles({ key, answer }: AskedAs<'roles'>): Judged<SetPart> {
  const { right } = key;
  const exact = right.find((r) => sameRoles(r, answer)) ?? right[0]!;
  return {
    parts: (['drives', 'driven', 'held'] as const).map((part) => ({
      part,
      right: exact[part] === answer[part],
    })),
  };
}

export const judge: Family<GearSetTypes>['judge'] = {
  number: judgeNumber,
  choice: judgeChoice,
  roles: judgeRoles,
};
