import type { Unit } from '../../core/geartrain';
import {
  applyReducer,
  cellToggled,
  chartChanged,
  LEVER,
  loadChosen,
  rangeChosen,
  sameElements,
  SECTION,
  unitOpened,
  viewChosen,
} from './applySlice';
import { leverPlaces, leverState } from './leverState';
import { demoFile } from '../../core/tests/demoFile';

const unit = demoFile<Unit>('units/harbour-trainer');
type State = ReturnType<typeof applyReducer>;
const run = (...actions: Parameters<typeof applyReducer>[1][]) =>
  actions.reduce<State>((s, a) => applyReducer(s, a), applyReducer(undefined, { type: '' }));

test('opening a unit forgets what was changed for the last one', () => {
  const state = run(
    unitOpened({ unitId: 'a', applied: ['C1'] }),
    rangeChosen(['C1', 'B1']),
    loadChosen('coast'),
    viewChosen(LEVER),
    chartChanged({ chart: unit.ranges }),
    unitOpened({ unitId: 'b', applied: [] }),
  );
  expect(state).toEqual({
    unitId: 'b',
    applied: [],
    load: 'drive',
    chart: null,
    view: SECTION,
    fault: null,
  });
});

test('what is on is told all at once', () => {
  const on = run(unitOpened({ unitId: 'a', applied: ['C1'] }), rangeChosen(['C2']));
  expect(on.applied).toEqual(['C2']);
});

test('one cell turned over changes its row only', () => {
  const changed = cellToggled(unit.ranges, 'D1', 'C2');
  expect(changed.find((r) => r.id === 'D1')!.apply).toEqual(['C1', 'C2']);
  expect(changed.filter((r) => r.id !== 'D1')).toEqual(unit.ranges.filter((r) => r.id !== 'D1'));
  expect(cellToggled(changed, 'D1', 'C2')).toEqual(unit.ranges);
  expect(sameElements(['C1', 'B1'], ['B1', 'C1'])).toBe(true);
  expect(sameElements(['C1'], ['C1', 'B1'])).toBe(false);
});

// Common practice, no source: a driver finds park, reverse, neutral, drive, then the manual places.
test('the lever’s places stand in the order a driver finds them, and shift inside one place', () => {
  expect(leverPlaces([...unit.ranges].reverse())).toEqual(['P', 'R', 'N', 'D', '1', '2']);
  const of = (id: string) => unit.ranges.find((r) => r.id === id)!;
  const first = leverState(unit.ranges, of('D1').apply);
  expect([first.current?.id, first.up?.id, first.down]).toEqual(['D1', 'D2', undefined]);
  const third = leverState(unit.ranges, of('D3').apply);
  expect([third.up, third.down?.id]).toEqual([undefined, 'D2']);
  expect(leverState(unit.ranges, ['C1', 'C2', 'B2'])).toEqual({
    current: undefined,
    up: undefined,
    down: undefined,
  });
});
