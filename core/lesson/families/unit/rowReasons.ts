import { solveUnit, type Unit } from '../../../geartrain';
import type { Of, Keyed, ThoughtOf } from '../../family';
import { NumberThoughts } from '../../numberClaims';
import { within, type Direction } from '../../questionParts';
import { doesOf, meshStages, sameDoing, withoutOneWays, type Does, type UnitClaim } from './claims';
import type { UnitAnswer } from './kinds';
import type { UnitSlip } from './slips';
import type { UnitTypes } from './types';

type RowAnswer = Of<UnitAnswer, 'row-outcome'>;

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

/** What a wrong word on a row comes of: its outcome, its ratio, its direction. */
export function rowThoughts({
  question,
  subject: { unit },
}: Keyed<UnitTypes, 'row-outcome'>): ThoughtOf<UnitTypes, 'row-outcome'>[] {
  const { apply, load, tolerance } = question;
  const right = doesOf(unit, apply, load);
  const here: UnitClaim = { claim: 'does', ...right };
  const list: ThoughtOf<UnitTypes, 'row-outcome'>[] = [];
  const add = (slip: UnitSlip, does: Does, claims: readonly UnitClaim[], weight = 1) => {
    if (sameDoing(does, right)) return;
    list.push({
      slip,
      weight,
      answer: answerOf(does),
      gives: (a) =>
        a.outcome === does.outcome &&
        (does.ratio === null ||
          (a.direction === does.way && within(tolerance, does.ratio, a.ratio ?? NaN))),
      claims: () => [...claims, here],
    });
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
  const numbers = new NumberThoughts<RowAnswer, UnitSlip, UnitClaim>({
    right: ratio,
    tolerance,
    answer: driving,
    valueOf: (a) => (a.outcome === 'drives' && a.direction === way ? a.ratio : undefined),
    facts: [here],
  });
  numbers.add('upside-down', 1 / ratio, () => [{ claim: 'one-over', inverse: 1 / ratio, ratio }]);
  const stages = meshStages(unit, apply);
  if (stages && load === 'drive') {
    const stage = (given: number, how: 'sum' | 'one'): UnitClaim[] => [
      { claim: 'stages', factors: stages, ratio, given, way: how },
    ];
    numbers.add(
      'ratios-added',
      stages.reduce((a, b) => a + b, 0),
      (given) => stage(given, 'sum'),
    );
    for (const factor of stages)
      numbers.add('one-stage-only', factor, (given) => stage(given, 'one'));
  }
  list.push({
    slip: 'wrong-sign',
    answer: driving(ratio, way === 'same' ? 'opposite' : 'same'),
    gives: (a) =>
      a.outcome === 'drives' && a.direction !== way && within(tolerance, ratio, a.ratio ?? NaN),
    claims: () => [here],
  });
  return [...list, ...numbers.withArithmetic()];
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
export function oneWayStates(
  unit: Unit,
  apply: readonly string[],
  load: Does['load'],
): UnitClaim[] {
  const { elements } = solveUnit(unit, apply, load);
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
