import { memberRoles, solveUnit, type ElementState, type Unit } from '../../../geartrain';
import type { Keyed, ThoughtOf } from '../../family';
import { doesOf, type Does, type UnitClaim } from './claims';
import type { UnitSlip } from './slips';
import type { UnitTypes } from './types';

/** What a range has on. */
export const applied = (unit: Unit, rangeId: string): readonly string[] =>
  unit.ranges.find((r) => r.id === rangeId)?.apply ?? [];

/** What a wrong word on engine braking comes of. */
export function coastThoughts({
  question,
  subject: { unit },
  key,
}: Keyed<UnitTypes, 'drive-or-coast'>): ThoughtOf<UnitTypes, 'drive-or-coast'>[] {
  const apply = applied(unit, question.range);
  const { elements } = solveUnit(unit, apply, 'coast');
  const oneWays = unit.elements.filter((e) => e.kind === 'one-way').map((e) => e.id);
  if (!key.braking) {
    const claims = () => key.letGo.flatMap((id) => bothLoads(unit, apply, id));
    const others = oneWays.filter((id) => !key.letGo.includes(id));
    return [
      { slip: 'one-way-brakes', answer: { kind: 'drive-or-coast', braking: true }, claims },
      ...others.map((id): ThoughtOf<UnitTypes, 'drive-or-coast'> => ({
        slip: 'one-way-blamed',
        answer: { kind: 'drive-or-coast', braking: false, letsGo: id },
        claims: () => [...bothLoads(unit, apply, id), ...claims()],
      })),
    ];
  }
  const standing = unit.elements.filter((e) => {
    const state = elements.get(e.id)?.state;
    return e.kind !== 'one-way' && (state === 'applied' || state === 'shared');
  });
  const claims = (): UnitClaim[] => [
    ...oneWays.flatMap((id) => bothLoads(unit, apply, id)).slice(0, 2),
    ...standing.slice(0, 2).flatMap(({ id }) => states(unit, apply, id, 'coast')),
    { claim: 'does', ...doesOf(unit, apply, 'coast') },
  ];
  return [
    {
      slip: 'braking-overlooked',
      answer: {
        kind: 'drive-or-coast',
        braking: false,
        ...(oneWays[0] ? { letsGo: oneWays[0] } : {}),
      },
      gives: (a) => !a.braking,
      claims,
    },
  ];
}

const states = (
  unit: Unit,
  apply: readonly string[],
  element: string,
  load: Does['load'],
): UnitClaim[] => {
  const state = solveUnit(unit, apply, load).elements.get(element)?.state;
  return state ? [{ claim: 'element', element, apply, load, state }] : [];
};

/** What an element does while the engine drives, and while the road does. */
export const bothLoads = (unit: Unit, apply: readonly string[], element: string): UnitClaim[] => [
  ...states(unit, apply, element, 'drive'),
  ...states(unit, apply, element, 'coast'),
];

/** What a wrong list of what holds comes of. */
export function reactionThoughts({
  question,
  subject: { unit },
  key,
}: Keyed<UnitTypes, 'reaction'>): ThoughtOf<UnitTypes, 'reaction'>[] {
  const apply = applied(unit, question.range);
  const solution = solveUnit(unit, apply);
  const stateOf = (id: string): ElementState | undefined => solution.elements.get(id)?.state;
  const wrong = (state: ElementState) =>
    unit.elements
      .map((e) => e.id)
      .filter((id) => stateOf(id) === state && !key.elements.includes(id));
  const holders = (): UnitClaim[] =>
    key.elements.map((element) => ({ claim: 'to-case', element, apply }));
  const naming = (
    slip: UnitSlip,
    state: ElementState,
    of: (element: string) => UnitClaim[],
  ): ThoughtOf<UnitTypes, 'reaction'>[] => {
    const extra = wrong(state);
    if (extra.length === 0) return [];
    return [
      {
        slip,
        answer: { kind: 'reaction', elements: [...key.elements, extra[0]!] },
        gives: (a) => a.elements.some((id) => extra.includes(id)),
        claims: (a) => [...a.elements.filter((id) => extra.includes(id)).flatMap(of), ...holders()],
      },
    ];
  };
  const fewer: ThoughtOf<UnitTypes, 'reaction'>[] =
    key.elements.length < 2
      ? []
      : [
          {
            slip: 'holder-overlooked',
            answer: { kind: 'reaction', elements: key.elements.slice(0, 1) },
            gives: (a) =>
              a.elements.length > 0 && a.elements.every((id) => key.elements.includes(id)),
            claims: holders,
          },
        ];
  return [
    ...naming('runs-over-not-holding', 'overrunning', (element) => [
      { claim: 'element', element, apply, load: 'drive', state: 'overrunning' },
    ]),
    ...naming('applied-not-holding', 'applied', (element) => [
      { claim: 'both-turn', element, apply },
    ]),
    ...fewer,
  ];
}

/** What a wrong way of the power comes of. */
export function pathThoughts({
  question,
  subject: { unit },
  key,
}: Keyed<UnitTypes, 'trace-path'>): ThoughtOf<UnitTypes, 'trace-path'>[] {
  const apply = applied(unit, question.range);
  const roles = memberRoles(unit, solveUnit(unit, apply));
  const right = key.members;
  const goes: UnitClaim = { claim: 'power-goes', apply, members: right };
  const through = (slip: UnitSlip, role: 'held' | 'idle'): ThoughtOf<UnitTypes, 'trace-path'>[] => {
    const detour = unit.members
      .map((m) => m.id)
      .find((m) => roles.get(m) === role && !right.includes(m));
    if (!detour) return [];
    const is = (m: string) => roles.get(m) === role && !right.includes(m);
    return [
      {
        slip,
        answer: { kind: 'trace-path', members: [right[0]!, detour, ...right.slice(1)] },
        gives: (a) => a.members.some(is),
        claims: (a) => [
          ...a.members
            .filter(is)
            .map((member): UnitClaim => ({ claim: 'member', member, apply, role })),
          goes,
        ],
      },
    ];
  };
  const follows = (list: readonly string[]) =>
    list.length > 1 && list.slice(1).every((to, k) => key.steps.get(list[k]!)?.has(to) ?? false);
  return [
    ...through('path-through-held', 'held'),
    ...through('path-through-idle', 'idle').map((t) => ({ ...t, weight: 0.45 })),
    {
      slip: 'path-backward',
      weight: 3,
      answer: { kind: 'trace-path', members: [...right].reverse() },
      gives: (a) => {
        const backward = [...a.members].reverse();
        return follows(backward) && backward[0] === unit.input && right.length > 1;
      },
      claims: () => [goes],
    },
    {
      slip: 'path-shortened',
      weight: 0.6,
      answer: {
        kind: 'trace-path',
        members: right.filter((_m, k) => k === 0 || k === right.length - 1),
      },
      gives: (a) =>
        a.members.length < right.length &&
        a.members.length > 0 &&
        !follows(a.members) &&
        inOrder(a.members, right),
      claims: () => [goes],
    },
  ];
}

/** Some of a list's entries, in its order. */
const inOrder = (some: readonly string[], all: readonly string[]): boolean => {
  let at = -1;
  return some.every((s) => {
    const next = all.indexOf(s, at + 1);
    const found = next > at;
    at = next;
    return found;
  });
};
