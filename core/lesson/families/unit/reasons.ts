import {
  holdersOf,
  memberRoles,
  solveUnit,
  type ElementState,
  type Unit,
} from '../../../geartrain';
import type { Asked, Of, Reasons } from '../../family';
import type { Thought } from '../../learners';
import { arithmeticSlips } from '../../numberClaims';
import { within, type Direction } from '../../questionParts';
import {
  doesOf,
  meshStages,
  sameDoing,
  unitClaimHolds,
  withoutOneWays,
  type Does,
  type UnitClaim,
} from './claims';
import { rowsAlike, solvedOnce, type UnitKey } from './key';
import { applyOf, cellKey, type UnitAnswer, type UnitQuestion } from './kinds';
import type { UnitSlip } from './slips';
import type { UnitTypes } from './types';

type About<K> = Omit<Asked<UnitTypes, K>, 'answer'>;
type ThoughtAs<K> = Thought<Of<UnitAnswer, K>, UnitSlip, UnitClaim>;

const applied = (unit: Unit, rangeId: string): readonly string[] =>
  unit.ranges.find((r) => r.id === rangeId)?.apply ?? [];

/** The elements that a row needs, one by one, and what is so without each. */
const without = (unit: Unit, apply: readonly string[], load: Does['load'] = 'drive') =>
  apply.map((element) => ({
    element,
    does: doesOf(
      unit,
      apply.filter((e) => e !== element),
      load,
    ),
  }));

function rowThoughts({
  question,
  subject: { unit },
}: About<'row-outcome'>): ThoughtAs<'row-outcome'>[] {
  const { apply, load, tolerance } = question;
  const right = doesOf(unit, apply, load);
  const here: UnitClaim = { claim: 'does', ...right };
  const list: ThoughtAs<'row-outcome'>[] = [];
  const add = (slip: UnitSlip, does: Does, claims: readonly UnitClaim[], weight = 1) => {
    if (sameDoing(does, right)) return;
    list.push({ slip, weight, answer: answerOf(does), claims: () => [...claims, here] });
  };
  const blind = withoutOneWays(unit);
  const unaided = doing(blind, apply, load);
  add('one-way-ignored', unaided, [
    { claim: 'without-one-ways', ...unaided },
    ...oneWayStates(unit, apply, load),
  ]);
  if (load === 'coast') {
    const drive = doesOf(unit, apply, 'drive');
    add(
      'one-way-brakes',
      { ...drive, load },
      [{ claim: 'does', ...drive }, ...oneWayStates(unit, apply, load)],
      2.5,
    );
  }
  // Who overlooks the only element that is on has not looked at all.
  for (const { element, does } of apply.length > 1 ? without(unit, apply, load) : []) {
    const slip: UnitSlip =
      right.outcome === 'drives' || right.outcome === 'neutral'
        ? 'element-overlooked'
        : 'held-fast-unseen';
    add(slip, does, [{ claim: 'without', element, ...does }], 0.9);
  }
  for (const range of unit.ranges) {
    const does = doesOf(unit, range.apply, 'drive');
    if (does.outcome === 'drives' && does.ratio !== null)
      add(
        'another-range',
        { ...does, load },
        [{ claim: 'range-ratio', range: range.id, ratio: does.ratio }],
        0.6,
      );
  }
  if (right.outcome !== 'drives' && right.outcome !== 'neutral')
    list.push({
      slip: 'held-fast-unseen',
      weight: 0.4,
      answer: { kind: 'row-outcome', outcome: 'drives', ratio: 1, direction: 'same' },
      gives: (a) => a.outcome === 'drives',
      claims: () => [here, ...releasing(unit, apply, load)],
    });
  if (right.outcome === 'drives' || right.outcome === 'neutral')
    list.push({
      slip: 'expects-tie-up',
      weight: 0.4,
      answer: { kind: 'row-outcome', outcome: 'tied-up' },
      gives: (a) => a.outcome === 'tied-up',
      claims: () => [here],
    });
  if (right.outcome !== 'drives' || right.ratio === null) return list;
  const { ratio, way } = right;
  const driving = (value: number, direction: Direction = way) =>
    ({ kind: 'row-outcome', outcome: 'drives', ratio: value, direction }) as const;
  const size = (
    slip: UnitSlip,
    value: number,
    claims: (given: number) => readonly UnitClaim[],
    weight = 1,
  ) => {
    if (within(tolerance, ratio, value)) return;
    list.push({
      slip,
      weight,
      answer: driving(value),
      claims: (a) => [...claims(a.ratio ?? NaN), here],
    });
  };
  size('upside-down', 1 / ratio, () => [{ claim: 'one-over', inverse: 1 / ratio, ratio }]);
  const stages = meshStages(unit, apply);
  if (stages && load === 'drive') {
    const stage = (given: number, how: 'sum' | 'one'): UnitClaim[] => [
      { claim: 'stages', factors: stages, ratio, given, way: how },
    ];
    size(
      'ratios-added',
      stages.reduce((a, b) => a + b, 0),
      (given) => stage(given, 'sum'),
    );
    for (const factor of stages) size('one-stage-only', factor, (given) => stage(given, 'one'));
  }
  list.push({
    slip: 'wrong-sign',
    answer: driving(ratio, way === 'same' ? 'opposite' : 'same'),
    gives: (a) =>
      a.outcome === 'drives' && a.direction !== way && within(tolerance, ratio, a.ratio ?? NaN),
    claims: () => [here],
  });
  for (const { slip, value, gives, weight, claims } of arithmeticSlips(ratio, tolerance))
    list.push({
      slip,
      weight,
      answer: driving(value),
      ...(gives ? { gives: (a) => a.outcome === 'drives' && gives(a.ratio ?? NaN) } : {}),
      claims: (a) => [...claims(a.ratio ?? NaN), here],
    });
  return list;
}

const doing = (unit: Unit, apply: readonly string[], load: Does['load']): Does => {
  const known = apply.filter((id) => unit.elements.some((e) => e.id === id));
  return { ...doesOf(unit, known, load), apply };
};

const answerOf = ({ outcome, ratio, way }: Does): Of<UnitAnswer, 'row-outcome'> => ({
  kind: 'row-outcome',
  outcome,
  ...(outcome === 'drives' && ratio !== null ? { ratio, direction: way } : {}),
});

/** What each one-way clutch does in a row. */
function oneWayStates(unit: Unit, apply: readonly string[], load: Does['load']): UnitClaim[] {
  const { elements } = solvedOnce(unit, apply, load);
  return unit.elements
    .filter((e) => e.kind === 'one-way')
    .flatMap(({ id }): UnitClaim[] => {
      const state = elements.get(id)?.state;
      return state ? [{ claim: 'element', element: id, apply, load, state }] : [];
    })
    .slice(0, 2);
}

/** What lets a row that binds turn again: the first element without which it drives. */
function releasing(unit: Unit, apply: readonly string[], load: Does['load']): UnitClaim[] {
  const found = without(unit, apply, load).find(({ does }) => does.outcome === 'drives');
  return found ? [{ claim: 'without', element: found.element, ...found.does }] : [];
}

function coastThoughts({
  question,
  subject: { unit },
  key,
}: About<'drive-or-coast'>): ThoughtAs<'drive-or-coast'>[] {
  if (key.kind !== 'drive-or-coast') return [];
  const apply = applied(unit, question.range);
  const { elements } = solvedOnce(unit, apply, 'coast');
  const oneWays = unit.elements.filter((e) => e.kind === 'one-way').map((e) => e.id);
  if (!key.braking) {
    const claims = () => key.letGo.flatMap((id) => bothLoads(unit, apply, id));
    const others = oneWays.filter((id) => !key.letGo.includes(id));
    return [
      { slip: 'one-way-brakes', answer: { kind: 'drive-or-coast', braking: true }, claims },
      ...others.map((id): ThoughtAs<'drive-or-coast'> => ({
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
  const state = solvedOnce(unit, apply, load).elements.get(element)?.state;
  return state ? [{ claim: 'element', element, apply, load, state }] : [];
};

const bothLoads = (unit: Unit, apply: readonly string[], element: string): UnitClaim[] => [
  ...states(unit, apply, element, 'drive'),
  ...states(unit, apply, element, 'coast'),
];

function reactionThoughts({
  question,
  subject: { unit },
  key,
}: About<'reaction'>): ThoughtAs<'reaction'>[] {
  if (key.kind !== 'reaction') return [];
  const apply = applied(unit, question.range);
  const solution = solvedOnce(unit, apply);
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
  ): ThoughtAs<'reaction'>[] => {
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
  const fewer: ThoughtAs<'reaction'>[] =
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

function pathThoughts({
  question,
  subject: { unit },
  key,
}: About<'trace-path'>): ThoughtAs<'trace-path'>[] {
  if (key.kind !== 'trace-path') return [];
  const apply = applied(unit, question.range);
  const roles = memberRoles(unit, solvedOnce(unit, apply));
  const right = key.members;
  const goes: UnitClaim = { claim: 'power-goes', apply, members: right };
  const through = (slip: UnitSlip, role: 'held' | 'idle'): ThoughtAs<'trace-path'>[] => {
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

/** Wrong rows of a filled chart, each with what the student put on in it. */
function wrongRows(unit: Unit, key: Of<UnitKey, 'fill-chart'>, on: readonly string[]) {
  return key.ranges
    .map((range) => ({ range, given: applyOf(unit, range.id, on) }))
    .filter(({ range, given }) => !rowsAlike(unit, given, range.apply));
}

function chartThoughts({ subject: { unit }, key }: About<'fill-chart'>): ThoughtAs<'fill-chart'>[] {
  if (key.kind !== 'fill-chart') return [];
  const driving = unit.ranges.filter((r) => solvedOnce(unit, r.apply).outcome === 'drives');
  if (driving.length === 0) return [];
  const filled = (of: (apply: readonly string[]) => readonly string[]) =>
    key.ranges.flatMap((r) => of(r.apply).map((e) => cellKey(r.id, e)));
  type Row = ReturnType<typeof wrongRows>[number];
  const rows = (
    slip: UnitSlip,
    answer: readonly string[],
    is: (row: Row) => boolean,
    weight: number,
  ): ThoughtAs<'fill-chart'> => ({
    slip,
    weight,
    answer: { kind: 'fill-chart', on: [...answer] },
    gives: (a) => {
      const wrong = wrongRows(unit, key, a.on);
      return wrong.length > 0 && wrong.every(is);
    },
    claims: (a) =>
      wrongRows(unit, key, a.on)
        .slice(0, 2)
        .flatMap(({ range, given }): UnitClaim[] => [
          { claim: 'does', ...doesOf(unit, given, 'drive') },
          { claim: 'does', ...doesOf(unit, range.apply, 'drive') },
        ]),
  });
  const drives = (row: Row) => solvedOnce(unit, row.range.apply).outcome === 'drives';
  const subset = (row: Row) =>
    row.given.length > 0 &&
    row.given.length < row.range.apply.length &&
    row.given.every((e) => row.range.apply.includes(e));
  const binds = (row: Row) => {
    const { outcome } = solvedOnce(unit, row.given);
    return outcome !== 'drives' && outcome !== 'neutral';
  };
  const all = unit.elements.filter((e) => e.kind !== 'one-way').map((e) => e.id);
  const oneOf = (apply: readonly string[]) => (apply.length > 1 ? apply.slice(0, 1) : apply);
  const oneLess = (apply: readonly string[]) => (apply.length > 2 ? apply.slice(0, -1) : apply);
  const shifted = key.ranges.flatMap((r) =>
    anotherRow(unit, r.apply).map((element) => cellKey(r.id, element)),
  );
  return [
    rows('nothing-applied', [], (r) => drives(r) && r.given.length === 0, 1),
    rows(
      'one-element-a-gear',
      filled(oneOf),
      (r) => drives(r) && r.given.length === 1 && r.range.apply.length > 1,
      1,
    ),
    rows(
      'element-overlooked',
      filled(oneLess),
      (r) => drives(r) && subset(r) && r.given.length > 1,
      1,
    ),
    rows(
      'held-fast-unseen',
      filled(() => all),
      binds,
      0.9,
    ),
    rows(
      'another-range',
      shifted,
      (r) => driving.some((o) => rowsAlike(unit, o.apply, r.given)),
      0.6,
    ),
  ];
}

/** What some other range that drives has on. */
const anotherRow = (unit: Unit, apply: readonly string[]): readonly string[] =>
  unit.ranges.find(
    (o) => solvedOnce(unit, o.apply).outcome === 'drives' && !rowsAlike(unit, o.apply, apply),
  )?.apply ?? apply;

const same = (a: readonly string[], b: readonly string[]): boolean =>
  a.length === b.length && [...a].sort().join('\n') === [...b].sort().join('\n');

function sameRow(
  { tolerance }: Of<UnitQuestion, 'row-outcome'>,
  a: Of<UnitAnswer, 'row-outcome'>,
  b: Of<UnitAnswer, 'row-outcome'>,
): boolean {
  if (a.outcome !== b.outcome) return false;
  if (a.ratio === undefined || b.ratio === undefined) return a.ratio === b.ratio;
  return a.direction === b.direction && within(tolerance, b.ratio, a.ratio);
}

export const reasons: Reasons<UnitTypes> = {
  thoughts: {
    'fill-chart': chartThoughts,
    'trace-path': pathThoughts,
    'row-outcome': rowThoughts,
    reaction: reactionThoughts,
    'drive-or-coast': coastThoughts,
  },
  same: {
    'fill-chart': ({ answer }, other) => same(answer.on, other.on),
    'trace-path': ({ answer }, other) => answer.members.join('\n') === other.members.join('\n'),
    'row-outcome': ({ question, answer }, other) => sameRow(question, answer, other),
    reaction: ({ answer }, other) => same(answer.elements, other.elements),
    'drive-or-coast': ({ answer }, other) =>
      answer.braking === other.braking && answer.letsGo === other.letsGo,
  },
  facts: {
    'fill-chart': ({ subject: { unit }, key, answer }) =>
      key.kind === 'fill-chart'
        ? [...wrongRows(unit, key, answer.on).map((r) => r.range), ...key.ranges]
            .slice(0, 1)
            .map((r) => ({ claim: 'does' as const, ...doesOf(unit, r.apply, 'drive') }))
        : [],
    'trace-path': ({ question, subject: { unit }, key }) =>
      key.kind === 'trace-path'
        ? [{ claim: 'power-goes', apply: applied(unit, question.range), members: key.members }]
        : [],
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
      return key.kind === 'drive-or-coast' && !key.braking
        ? key.letGo.flatMap((id) => bothLoads(unit, apply, id))
        : [{ claim: 'does', ...doesOf(unit, apply, 'coast') }];
    },
  },
  holds: (claim, { question, subject }) => unitClaimHolds(claim, question, subject.unit),
};
