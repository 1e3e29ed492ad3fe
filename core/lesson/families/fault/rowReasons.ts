import { worksIn, type Fault } from '../../../faults';
import type { Unit } from '../../../geartrain';
import type { Of, Keyed, ThoughtOf } from '../../family';
import { cellsWith, changesOf, othersOf, type FaultClaim } from './claims';
import type { FaultAnswer, SaidCell } from './kinds';
import type { FaultKey } from './key';
import type { FaultSlip } from './slips';
import type { FaultTypes } from './types';

const saidIn = (cells: readonly SaidCell[], range: string) =>
  cells.find((c) => c.range === range)?.drive;

/** What a wrong row of symptoms comes of. */
export function rowThoughts({
  question,
  subject: { subject },
  key,
}: Keyed<FaultTypes, 'symptom-row'>): ThoughtOf<FaultTypes, 'symptom-row'>[] {
  const { unit } = subject;
  if (!unit) return [];
  const fault = question.fault as Fault;
  const right = key.cells;
  type Said = Of<FaultAnswer, 'symptom-row'>;
  const wrong = (a: Said) => right.filter((c) => saidIn(a.cells, c.range) !== c.drive);
  const claims = (a: Said): FaultClaim[] =>
    wrong(a)
      .slice(0, 3)
      .flatMap(({ range, drive }) => [
        worksAt(unit, fault.target, range),
        { claim: 'cell', range, drive },
      ]);
  const said = (of: (cell: (typeof right)[number]) => SaidCell['drive']) => ({
    kind: 'symptom-row' as const,
    cells: right.map((c) => ({ range: c.range, drive: of(c) })),
  });
  const list: ThoughtOf<FaultTypes, 'symptom-row'>[] = [];
  const only = (
    slip: FaultSlip,
    has: boolean,
    answer: Said,
    is: (range: string, a: Said) => boolean,
  ) => {
    if (has)
      list.push({
        slip,
        answer,
        gives: (a) => wrong(a).length > 0 && wrong(a).every((c) => is(c.range, a)),
        claims,
      });
  };
  const driveOf = (range: string) => right.find((c) => c.range === range)?.drive;
  only(
    'no-fall-back',
    right.some((c) => c.drive === 'wrong-ratio'),
    said((c) => (c.drive === 'wrong-ratio' ? 'neutral' : c.drive)),
    (range, a) => driveOf(range) === 'wrong-ratio' && saidIn(a.cells, range) === 'neutral',
  );
  only(
    'tie-up-unseen',
    right.some((c) => c.drive === 'binds'),
    said((c) => (c.drive === 'binds' ? 'right' : c.drive)),
    (range, a) => driveOf(range) === 'binds' && saidIn(a.cells, range) !== 'binds',
  );
  const bad = right.filter((c) => c.drive !== 'right');
  if (bad.length > 1)
    list.push({
      slip: 'only-its-own-gear',
      answer: said((c) => (c === bad[0] ? c.drive : 'right')),
      gives: (a) => {
        const named = right.filter((c) => saidIn(a.cells, c.range) !== 'right');
        return named.length === 1 && named[0]!.drive !== 'right';
      },
      claims,
    });
  if (bad.length > 0)
    list.push({
      slip: 'expects-no-symptom',
      answer: said(() => 'right'),
      gives: (a) => right.every((c) => saidIn(a.cells, c.range) === 'right'),
      claims,
    });
  for (const other of othersOf(unit, fault)) {
    const cells = cellsWith(unit, other).filter((c) => right.some((r) => r.range === c.range));
    if (cells.length === 0 || cells.every((c) => driveOf(c.range) === c.drive)) continue;
    if (cells.every((c) => c.drive === 'right')) continue;
    const with_ = (a: Said): FaultClaim[] =>
      wrong(a)
        .slice(0, 2)
        .flatMap(({ range, drive }) => [
          { claim: 'cell-with', fault: other.kind, range, drive: saidIn(a.cells, range)! },
          { claim: 'cell', range, drive },
        ]);
    list.push({
      slip: 'another-fault-of-the-part',
      answer: { kind: 'symptom-row', cells: cells.map(({ range, drive }) => ({ range, drive })) },
      gives: (a) => cells.every((c) => saidIn(a.cells, c.range) === c.drive),
      claims: with_,
    });
  }
  return list;
}

/** Whether a part works in a range: said of elements only. */
export const worksAt = (unit: Unit, element: string, range: string): FaultClaim => ({
  claim: 'works',
  element,
  range,
  way: worksIn(unit, range).includes(element) ? 'works' : 'idle',
});

/** What naming another element comes of. */
export function elementThoughts({
  subject: { subject },
  key,
}: Keyed<FaultTypes, 'which-element'>): ThoughtOf<FaultTypes, 'which-element'>[] {
  const { unit } = subject;
  if (!unit) return [];
  const ranges = (good: boolean) =>
    key.cells.filter((c) => (c.drive === 'right') === good).map((c) => c.range);
  const [good, bad] = [ranges(true), ranges(false)];
  // What binds or moves is made by something that is on too much: there the chart's rule does not clear.
  const lost = key.cells.every((c) => c.drive !== 'binds' && c.drive !== 'moves');
  if (!lost) return [];
  const changed = changesOf(unit);
  return unit.elements
    .map((e) => e.id)
    .filter((id) => !key.right.includes(id))
    .flatMap((element): ThoughtOf<FaultTypes, 'which-element'>[] => {
      const works = (range: string) => worksIn(unit, range).includes(element);
      const answer = { kind: 'which-element' as const, element };
      const needed = good.filter((r) => changed.mustWork(r, element));
      if (bad.length > 0 && bad.every(works) && needed.length > 0)
        return [
          {
            slip: 'works-in-a-good-range',
            answer,
            claims: () => [
              { claim: 'cell', range: needed[0]!, drive: 'right' },
              { claim: 'needs', element, range: needed[0]! },
            ],
          },
        ];
      const idle = bad.filter((r) => !works(r));
      if (idle.length > 0)
        return [
          {
            slip: 'not-in-every-bad-range',
            answer,
            claims: () => [
              {
                claim: 'cell',
                range: idle[0]!,
                drive: key.cells.find((c) => c.range === idle[0])!.drive,
              },
              worksAt(unit, element, idle[0]!),
            ],
          },
        ];
      return [];
    });
}

/** The element that is it works in a range that is bad. */
export function elementFacts(key: Of<FaultKey, 'which-element'>, unit: Unit | null): FaultClaim[] {
  if (!unit) return [];
  const bad = key.cells.filter((c) => c.drive !== 'right').slice(0, 2);
  return bad.flatMap(({ range, drive }) => [
    { claim: 'cell', range, drive },
    worksAt(unit, key.right[0]!, range),
  ]);
}
