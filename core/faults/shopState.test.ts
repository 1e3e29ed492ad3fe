import {
  afterChecks,
  ARRIVES,
  changedRanges,
  chartReason,
  CHECK_SPECS,
  priceAlone,
  priceFrom,
  reach,
  setMinutes,
  type CheckKind,
} from './index';
import { asSeen } from './tests/rigs';
import { demoUnit } from '../tests/demoFile';

const of = (kind: CheckKind) => ({ machine: 'automatic' as const, ...CHECK_SPECS[kind] });
const after = (...kinds: CheckKind[]) => afterChecks(kinds.map(of));

// By hand, from the list of moves: 8 + 200 + 50 to get inside, then each look its own 20 and 15 minutes.
test('two looks inside an opened unit cost one removal', () => {
  expect(priceAlone(of('look'))).toBe(8 + 200 + 50 + 20);
  expect(priceFrom(after('look').state, of('teeth'))).toBe(15);
  expect(after('look', 'teeth').minutes).toBe(8 + 200 + 50 + 20 + 15);
});

test('what the state forbids can not be had', () => {
  const open = after('look').state;
  for (const kind of ['road', 'stall', 'level', 'pan', 'pressure', 'drag-test'] as const)
    expect([kind, priceFrom(open, of(kind))]).toEqual([kind, null]);
  expect(priceFrom(after('pan').state, of('road'))).not.toBeNull();
});

test('the pan goes back on, fresh fluid is warmed, and the vehicle comes down before it runs', () => {
  const { state } = after('pan');
  expect(state).toMatchObject({ place: 'stands', pan: 'off', fluid: 'cold', engine: 'off' });
  const way = reach('automatic', state, CHECK_SPECS.level.needs)!;
  expect(way.steps.map((s) => s.move)).toEqual(['pan-on', 'off-stands', 'warm-up']);
  expect(way.state).toEqual({ ...ARRIVES, engine: 'runs' });
});

test('nothing is done on stands with the engine running', () => {
  for (const kind of Object.keys(CHECK_SPECS) as CheckKind[]) {
    const { state } = after(kind);
    if (state.place === 'stands') expect([kind, state.engine]).toEqual([kind, 'off']);
  }
  // Nor where what is done there does not say so itself: it is stopped, wherever it ran before.
  const runs = { ...ARRIVES, engine: 'runs' as const };
  expect(reach('automatic', runs, { place: 'stands' })!.state.engine).toBe('off');
  expect(reach('automatic', runs, {})!.state.engine).toBe('runs');
});

test('a set costs the least of its orders', () => {
  const set = [of('look'), of('road'), of('pan'), of('fluid')];
  const orders = (list: typeof set): (typeof set)[] =>
    list.length < 2
      ? [list]
      : list.flatMap((x) => orders(list.filter((y) => y !== x)).map((rest) => [x, ...rest]));
  const possible = orders(set).filter((order) => {
    let state = ARRIVES;
    return order.every((c) => {
      const way = reach(c.machine, state, c.needs);
      if (way) state = way.state;
      return way !== null;
    });
  });
  expect(setMinutes(set)).toBe(Math.min(...possible.map((o) => afterChecks(o).minutes)));
});

const skerry = demoUnit('skerry-three');

// By hand on the chart: in low a brake stands beside the one-way clutch, so a good low clears neither of them.
test('a good range clears only what it could not do without', () => {
  const { mustWork } = changedRanges(skerry);
  expect([mustWork('D1', 'F1'), mustWork('L1', 'F1'), mustWork('L1', 'B2')]).toEqual([
    true,
    false,
    false,
  ]);
  expect(mustWork('L1', 'B2', 'coast')).toBe(true);
  expect(chartReason(skerry, asSeen(['D1'], ['L1'])).left).toContain('F1');
});

// By hand: a band that stays on ties first and third up and leaves second as it is.
test('an element that is on all the time is suspected of just the ranges it would spoil', () => {
  const ranges = skerry.ranges.map((r) => r.id);
  const { withAlwaysOn } = changedRanges(skerry);
  const seen = new Map(ranges.map((r) => [r, withAlwaysOn(r, 'B1')]));
  expect([seen.get('D1'), seen.get('D2'), seen.get('D3')]).toEqual([
    'wrong-ratio',
    'right',
    'binds',
  ]);
  const reason = chartReason(skerry, seen);
  expect(reason.left).toEqual([]);
  expect(reason.alwaysOn).toContain('B1');
  // A third that is lost instead of bound is not its doing.
  expect(chartReason(skerry, new Map([...seen, ['D3', 'neutral']])).alwaysOn).toEqual([]);
});
