import { solveUnit, type Unit } from '../../../geartrain';
import type { Of, Keyed, ThoughtOf } from '../../family';
import { doesOf, type UnitClaim } from './claims';
import { rowsAlike, type UnitKey } from './key';
import { applyOf, cellKey } from './kinds';
import type { UnitSlip } from './slips';
import type { UnitTypes } from './types';

/** Wrong rows of a filled chart, each with what the student put on in it. */
export function wrongRows(unit: Unit, key: Of<UnitKey, 'fill-chart'>, on: readonly string[]) {
  return key.ranges
    .map((range) => ({ range, given: applyOf(unit, range.id, on) }))
    .filter(({ range, given }) => !rowsAlike(unit, given, range.apply));
}

/** What a filled chart with wrong rows comes of. */
export function chartThoughts({
  subject: { unit },
  key,
}: Keyed<UnitTypes, 'fill-chart'>): ThoughtOf<UnitTypes, 'fill-chart'>[] {
  const driving = unit.ranges.filter((r) => solveUnit(unit, r.apply).outcome === 'drives');
  if (driving.length === 0) return [];
  const filled = (of: (apply: readonly string[]) => readonly string[]) =>
    key.ranges.flatMap((r) => of(r.apply).map((e) => cellKey(r.id, e)));
  type Row = ReturnType<typeof wrongRows>[number];
  const rows = (
    slip: UnitSlip,
    answer: readonly string[],
    is: (row: Row) => boolean,
    weight: number,
  ): ThoughtOf<UnitTypes, 'fill-chart'> => ({
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
  const drives = (row: Row) => solveUnit(unit, row.range.apply).outcome === 'drives';
  const subset = (row: Row) =>
    row.given.length > 0 &&
    row.given.length < row.range.apply.length &&
    row.given.every((e) => row.range.apply.includes(e));
  const binds = (row: Row) => {
    const { outcome } = solveUnit(unit, row.given);
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
    (o) => solveUnit(unit, o.apply).outcome === 'drives' && !rowsAlike(unit, o.apply, apply),
  )?.apply ?? apply;
