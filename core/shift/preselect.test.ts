import { demoFile, demoUnit } from '../tests/demoFile';
import type { Vehicle } from '../vehicle';
import { drivePreselected, USUAL_RULE, type Drive, type Trace } from './index';

const ferry = demoUnit('ferry-dual');
const gears = ferry.ranges.filter((r) => r.lever === 'D');
const vehicle = demoFile<Vehicle>('vehicles/yard-tractor');
const away: Trace = [
  { time: 0, value: 0 },
  { time: 20, value: 9 },
  { time: 30, value: 9 },
  { time: 40, value: 0.5 },
];
const drive = (change: Partial<Drive> = {}) =>
  drivePreselected({
    unit: ferry,
    vehicle,
    gears,
    speed: away,
    changes: { up: 2400, down: 1100 },
    waits: USUAL_RULE,
    ...change,
  });

// Common practice, no source: gaining speed the next gear up waits, braking the next one down.
test('up through the gears and down again, the right gear waits each time', () => {
  const { changes, lane, lost } = drive();
  const top = Math.max(...changes.map((c) => c.to));
  expect(top).toBeGreaterThan(1);
  for (const c of changes) expect([c.time, c.waiting, c.lost]).toEqual([c.time, c.to, 0]);
  expect(lost).toBe(0);
  expect(changes.map((c) => c.to - c.from)).toEqual([
    ...Array<number>(top).fill(1),
    ...Array<number>(changes.length - top).fill(-1),
  ]);
  for (let k = 1; k < lane.length; k++) expect(lane[k]!.time).toBeGreaterThan(lane[k - 1]!.time);
});

test('a rule that never lets the lower gear wait loses time on the brake, and so does one that is set by hand wrongly', () => {
  const blind = drive({ waits: { ...USUAL_RULE, brakes: -99 } });
  expect(blind.lost).toBeGreaterThan(0);
  expect(blind.changes.filter((c) => c.lost > 0).every((c) => c.to < c.from)).toBe(true);
  // First and third hang on the odd clutch: in second, one of the two can wait.
  const byHand = drive({
    waits: [
      { from: 0, gear: 1 },
      { from: 5, gear: 0 },
    ],
  });
  const [up] = byHand.changes.filter((c) => c.from === 1 && c.to === 2);
  expect(up!.waiting).toBe(0);
  expect(up!.lost).toBeGreaterThan(0.08);
});

test('a drive that begins at speed begins in its gear', () => {
  const { changes, lane } = drive({
    speed: [
      { time: 0, value: 8 },
      { time: 10, value: 8 },
    ],
  });
  expect(changes).toEqual([]);
  expect(lane).toHaveLength(1);
  expect(lane[0]!.gear).toBeGreaterThan(1);
});

test('a gear on the clutch that drives can’t wait; nonsense is refused', () => {
  const { lane } = drive({ waits: [{ from: 0, gear: 2 }] });
  expect(lane[0]).toMatchObject({ gear: 0, waiting: 1 });
  expect(() => drive({ gears: [] })).toThrow(/expected gears/);
  expect(() => drive({ gears: ferry.ranges.filter((r) => r.lever === 'N') })).toThrow(/expected/);
});

test('what has just let go waits at first; a foot that wobbles does not make the sleeves run to and fro', () => {
  const { changes, lane } = drive();
  for (const c of changes)
    expect(lane.find((l) => l.time === c.time)).toMatchObject({ gear: c.to, waiting: c.from });
  const wobbles: Trace = Array.from({ length: 41 }, (_, k) => ({
    time: k,
    value: 4 + 0.5 * (k % 2),
  }));
  const moved = (keeps: number) =>
    drive({ speed: wobbles, waits: { ...USUAL_RULE, keeps } }).lane.length;
  expect(moved(0)).toBeGreaterThan(2 * moved(5));
});
