import { memberInertias, solveUnit, type Range } from '../geartrain';
import { toNumber } from '../numerics';
import { demoFile, demoUnit } from '../tests/demoFile';
import type { Vehicle } from '../vehicle';
import {
  crossing,
  crossingQuality,
  meeting,
  synchronizingTime,
  USUAL_CROSSING,
  traceAt,
  wayOf,
  type Crossing,
  type Trace,
} from './index';

const ferry = demoUnit('ferry-dual');
const vehicle = demoFile<Vehicle>('vehicles/yard-tractor');
const range = (id: string): Range => ferry.ranges.find((r) => r.id === id)!;
const cross = (change: Partial<Crossing> = {}) =>
  crossing({
    unit: ferry,
    vehicle,
    from: range('D2'),
    to: range('D3'),
    waiting: 'S3',
    engineNm: 160,
    engineInertia: 0.2,
    engineRpm: 2400,
    ...USUAL_CROSSING,
    ...change,
  });

test('each gear drives through one clutch and one side of a sleeve, whatever else waits', () => {
  expect(wayOf(ferry, range('D2'))).toEqual({ clutch: 'K2', side: 'S2' });
  expect(wayOf(ferry, range('D3'))).toEqual({ clutch: 'K1', side: 'S3' });
  expect(wayOf(ferry, range('R'))).toEqual({ clutch: 'K2', side: 'SR' });
  expect(wayOf(ferry, range('N'))).toBeNull();
  // By clutches and bands alone nothing waits.
  const other = demoUnit('skerry-three');
  expect(other.ranges.map((r) => wayOf(other, r))).toEqual(other.ranges.map(() => null));
});

// Common practice, no source: in a sound crossing the torque never lets go, and the wheels feel no hole.
test('a sound crossing: both clutches carry for a moment, and their sum is never nothing', () => {
  for (const [from, to, waiting] of [
    ['D1', 'D2', 'S2'],
    ['D2', 'D3', 'S3'],
    ['D3', 'D4', 'S4'],
    ['D4', 'D5', 'S5'],
    ['D5', 'D6', 'S6'],
  ] as const) {
    const { run, lost, across, leastSum, dip } = cross({
      from: range(from),
      to: range(to),
      waiting,
    });
    expect(lost).toBe(0);
    expect(run.why).toBe('done');
    expect(across).toBeGreaterThan(0);
    expect(leastSum).toBeGreaterThan(0.25);
    expect(run.summary.arrives).not.toBeNull();
    expect(run.summary.gap).toBe(0);
    // What a lesson asks of a drawn crossing: a dip of a tenth, a flare of 100 rev/min.
    expect(run.summary.flareRpm).toBeLessThan(100);
    expect([from, dip]).toEqual([from, expect.closeTo(0, 1)]);
    // What came in is kept, rubbed away, or damped: nothing is lost on the way (energy, by hand).
    const { work, kept, rubbed, damped } = run.energy;
    expect(kept + rubbed + damped).toBeCloseTo(work, -Math.log10(0.02 * Math.abs(work)));
  }
});

// Momentum by hand: engine and what turns with it lose J·Δω, which the clutches take up beside the engine's own torque.
test('while the speed changes, the clutches carry the engine and its inertia', () => {
  const { run } = cross();
  const slow = run.samples.filter((s) => s.time > 0 && s.time <= run.summary.arrives!);
  const spacing = 0.01;
  const impulse = slow.reduce((sum, s) => sum + (s.torques['K1']! + s.torques['K2']!) * spacing, 0);
  // Half of its torque from 0.14 s on, as long as J·Δω over the other half takes: 720 of 2400 rev/min.
  const back = 0.1 + (0.2 * ((720 * Math.PI) / 30)) / (0.5 * 160);
  const share: Trace = [
    { time: 0.1, value: 1 },
    { time: 0.14, value: 0.5 },
    { time: back, value: 0.5 },
    { time: back + 0.04, value: 1 },
  ];
  const engine = slow.reduce((sum, s) => sum + 160 * traceAt(share, s.time) * spacing, 0);
  const [first, last] = [slow[0]!, slow.at(-1)!];
  const inertia = 0.2 + memberInertias(ferry).get('eng')!;
  const lost = (inertia * ((first.inputRpm - last.inputRpm) * Math.PI)) / 30;
  expect(impulse / (engine + lost)).toBeCloseTo(1, 1);
});

// t = J·i²·Δω/T_s by hand (published: Naunheimer, Bertsche, Ryborz, Novak, Automotive Transmissions, ch. 9).
test('the wrong gear waits: the time that its shaft takes is lost, and nothing else', () => {
  const outputRpm = 2400 / toNumber(solveUnit(ferry, range('D2').apply).ratio!);
  // Odd shaft with first in: 46/14, with third: 35/25 turns for one of the layshaft, which turns 60/20 for the output's.
  const [first, third] = [46 / 14, 35 / 25];
  const inertia = memberInertias(ferry).get('odd')! * third ** 2;
  const slip = (((first - third) / third) * 3 * outputRpm * Math.PI) / 30;
  expect(synchronizingTime(ferry, 'K1', 'S1', 'S3', outputRpm)).toBeCloseTo(
    0.08 + (inertia * slip) / 20,
    9,
  );
  const [right, wrong] = [cross(), cross({ waiting: 'S1' })];
  expect(wrong.lost).toBeGreaterThan(0.08);
  expect(wrong.run.summary.begins! - right.run.summary.begins!).toBeCloseTo(wrong.lost, 1);
  expect(wrong.run.summary.gap).toBe(0);
});

test('two gears on one clutch: it opens, and nothing drives until the sleeve is over', () => {
  const { leastSum, run, lost, clutches } = cross({
    from: range('D2'),
    to: range('D4'),
    waiting: 'S3',
  });
  expect(clutches).toEqual(['K2', 'K2']);
  // Its own shaft is in second: fourth can't have been waiting, whatever is said.
  expect(cross({ from: range('D2'), to: range('D4'), waiting: 'S4' }).lost).toBe(lost);
  expect(leastSum).toBe(0);
  expect(run.summary.gap).toBeGreaterThan(0.8 * lost);
});

test('ramps that do not meet: apart the engine flares, too early they bind', () => {
  const late = cross({ on: { at: 0.35, over: 0.03 } });
  expect(late.leastSum).toBeLessThan(0.05);
  expect(late.run.summary.flareRpm).toBeGreaterThan(cross().run.summary.flareRpm + 50);
  const early = cross({ on: { at: 0.02, over: 0.03 }, off: { at: 0.3, over: 0.05 } });
  expect(early.run.summary.dip).toBeLessThan(cross().run.summary.dip);
  expect(() => cross({ to: range('N') })).toThrow(/drive by a clutch/);
});

// By hand (published: Naunheimer and others, ch. 9): what turns with the gear comes from the speed that the gear before gave
// it to that of the hub. From third into second: the countershaft turns as third has it, and with it second’s gear.
test('a gear comes to the speed of its hub before the sleeve goes over', () => {
  const winch = demoUnit('winch-manual');
  const ratioOf = (range: string) =>
    toNumber(solveUnit(winch, winch.ranges.find((r) => r.id === range)!.apply).ratio!);
  const down = meeting(winch, 'S3', 'S2', 600)!;
  // On the output shaft the hub turns as the road has it, and second's gear slower by the step between the two.
  expect(down.hubRpm).toBeCloseTo(600, 9);
  expect(down.gearRpm).toBeCloseTo((600 * ratioOf('G3')) / ratioOf('G2'), 9);
  const first = meeting(winch, null, 'S1', 600)!;
  expect(first.gearRpm).toBe(0);
  expect(first.brakes).toBeGreaterThan(down.brakes);
  expect(meeting(winch, 'S2', 'S2', 600)!.brakes).toBe(0);
  // Faster on the road, longer at the ring.
  expect(meeting(winch, 'S3', 'S2', 1200)!.brakes).toBeCloseTo(2 * down.brakes, 9);
});

test('what a driver says of a crossing: smooth, a flare, a bump, and a hole where neither clutch holds', () => {
  expect(crossingQuality(cross())).toBe('smooth');
  expect(crossingQuality(cross({ on: { at: 0.6, over: 0.03 } }))).toBe('flares');
  // Both hold for long: a bump, and no hole.
  const bound = cross({ on: { at: 0.02, over: 0.03 }, off: { at: 0.4, over: 0.05 } });
  expect([crossingQuality(bound), bound.leastSum > 0.5]).toEqual(['bumps', true]);
  // Two gears on one clutch: it has to open between.
  const opened = cross({ from: range('D2'), to: range('D4'), waiting: 'S3' });
  expect(['hole', 'flares']).toContain(crossingQuality(opened));
  const { run } = bound;
  expect(crossingQuality({ ...bound, run, leastSum: 0.04 })).toBe('hole');
});
