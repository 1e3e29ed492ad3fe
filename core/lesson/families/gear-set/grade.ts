import type { SetSlip } from './slips';
import { keyAs, type Asked, type Family, type Judged } from '../../family';
import { within } from '../../questionParts';
import type { GearSetTypes, SetPart } from './types';
import { recogniseChoice, recogniseNumber, recogniseRoles, sameRoles } from './misread';

type AskedAs<K> = Asked<GearSetTypes, K>;

function judgeNumber({
  question,
  subject,
  key,
  answer,
}: AskedAs<'number'>): Judged<SetPart, SetSlip> {
  const right = keyAs(key, 'number');
  const value = {
    part: 'value' as const,
    right: within(question.tolerance, right.value, answer.value),
  };
  return {
    parts: question.direction
      ? [value, { part: 'direction', right: answer.direction === right.direction }]
      : [value],
    misconception: recogniseNumber(question, subject.setup, right, answer),
  };
}

function judgeChoice({
  question,
  subject,
  key,
  answer,
}: AskedAs<'choice'>): Judged<SetPart, SetSlip> {
  const { right } = keyAs(key, 'choice');
  return {
    parts: [{ part: 'choice', right: right.includes(answer.choice) }],
    misconception: recogniseChoice(question, subject.setup, right, answer.choice),
  };
}

function judgeRoles({ key, answer }: AskedAs<'roles'>): Judged<SetPart, SetSlip> {
  const { right } = keyAs(key, 'roles');
  const exact = right.find((r) => sameRoles(r, answer)) ?? right[0]!;
  return {
    parts: (['drives', 'driven', 'held'] as const).map((part) => ({
      part,
      right: exact[part] === answer[part],
    })),
    misconception: recogniseRoles(right, answer),
  };
}

export const judge: Family<GearSetTypes>['judge'] = {
  number: judgeNumber,
  choice: judgeChoice,
  roles: judgeRoles,
};
