import { randomFromSeed } from '../numerics';
import type { Vehicle } from '../vehicle';
import { handOver, shiftQuality, steady, type HandOver, type Trace } from './index';
import { demoFile, demoUnit } from '../tests/demoFile';

const unit = demoUnit('quay-four');
const vehicle = demoFile<Vehicle>('vehicles/yard-tractor');
const applyOf = (id: string) => unit.ranges.find((r) => r.id === id)!.apply;

const rise = (from: number, over: number, nm: number): Trace => [
  { time: from, value: 0 },
  { time: from + over, value: nm },
];
const fall = (from: number, over: number, nm: number): Trace => [
  { time: from, value: nm },
  { time: from + over, value: 0 },
];
const SECOND_TO_THIRD: HandOver = {
  unit,
  from: applyOf('D2'),
  to: applyOf('D3'),
  inputNm: 150,
  inputInertia: 0.25,
  vehicle,
  inputRpm: 2000,
  holds: new Map([
    ['C3', rise(0.15, 0.5, 260)],
    ['B1', fall(0.3, 0.08, 300)],
  ]),
  seconds: 1.5,
  step: 1e-3,
};
const run = (change: Partial<HandOver> = {}) => handOver({ ...SECOND_TO_THIRD, ...change });
const timed = (on: number, off: number) =>
  run({
    holds: new Map([
      ['C3', rise(on, 0.5, 260)],
      ['B1', fall(off, 0.08, 300)],
    ]),
  });

// First law: work of engine and road is kept in motion and springs, rubbed off, or damped.
test.each([
  ['a plain shift', {}],
  [
    'onto a one-way clutch',
    { from: applyOf('D1'), to: applyOf('D2'), holds: new Map([['B1', rise(0.1, 0.4, 300)]]) },
  ],
] as const)('energy: %s', (_name, change) => {
  const { energy, why } = run(change);
  expect(why).toBe('done');
  const { work, kept, rubbed, damped } = energy;
  expect(Math.abs(work - kept - rubbed - damped)).toBeLessThan(1e-6 * Math.abs(work));
  expect(rubbed).toBeGreaterThan(0);
});

// By hand: at rest before and after, the output carries input torque × ratio, and the input turns by it.
test('both ends are the ranges themselves', () => {
  const { samples, summary } = run();
  const before = samples.filter((s) => s.time <= 0).at(-1)!;
  expect(Math.abs(before.outputNm / 150 / 1.515 - 1)).toBeLessThan(0.35);
  const last = samples.at(-1)!;
  const turning = (last.speed / vehicle.tyreRadiusM) * vehicle.finalDrive;
  expect((last.inputRpm * Math.PI) / 30 / turning).toBeCloseTo(1, 3);
  expect(summary.arrives).toBeGreaterThan(summary.begins!);
});

// Common practice, no source: too little overlap flares, too much ties up.
test('overlap makes or breaks a shift', () => {
  const [flare, tie] = [timed(0.6, 0.2), timed(0.15, 1)];
  expect(shiftQuality(flare.summary)).toBe('flares');
  expect(flare.summary.flareRpm).toBeGreaterThan(400);
  expect(tie.summary.dip).toBeLessThan(run().summary.dip - 0.2);
  expect(tie.summary.flareRpm).toBeLessThan(50);
});

// Common practice, no source: a dual clutch hands torque across in about 30 ms and never lets it fall to nothing.
test('a dual clutch never lets go', () => {
  const dual = demoUnit('ferry-dual');
  const of = (id: string) => dual.ranges.find((r) => r.id === id)!.apply;
  const { summary } = handOver({
    ...SECOND_TO_THIRD,
    unit: dual,
    from: of('D2'),
    to: of('D3'),
    holds: new Map<string, Trace>([
      ['K2', fall(0.1, 0.03, 220)],
      [
        'K1',
        [
          { time: 0.1, value: 0 },
          { time: 0.13, value: 170 },
          { time: 0.6, value: 230 },
        ],
      ],
    ]),
  });
  expect(summary.gap).toBe(0);
  expect(summary.dip).toBeGreaterThan(0.3);
  expect(summary.begins).not.toBeNull();
});

// Invariant: results hardly depend on the step.
test('half the step, the same shift', () => {
  const [a, b] = [run(), run({ step: 0.5e-3 })];
  expect(Math.abs(a.summary.begins! - b.summary.begins!)).toBeLessThan(0.021);
  expect(Math.abs(a.energy.rubbed - b.energy.rubbed) / b.energy.rubbed).toBeLessThan(0.02);
});

// Common practice, no source: a band that takes hold and then lets slip is neither a flare nor a missed shift.
test('an on-coming element that takes hold and then gives way slips in the new gear', () => {
  const [into, gives] = [rise(0.1, 0.4, 300), fall(0.9, 0.1, 300)];
  const held = (trace: Trace) =>
    shiftQuality(
      run({ from: applyOf('D1'), to: applyOf('D2'), holds: new Map([['B1', trace]]) }).summary,
    );
  expect(held([...into, ...gives])).toBe('slips-in-new-gear');
  expect(held(into)).not.toBe('slips-in-new-gear');
});

test('an on-coming element that never comes is no shift, and nonsense is refused', () => {
  const none = run({
    holds: new Map([
      ['C3', steady(0)],
      ['B1', steady(300)],
    ]),
  });
  expect(shiftQuality(none.summary)).toBe('no-shift');
  expect(() => run({ step: 0 })).toThrow('expected a step');
  expect(() => run({ from: [] })).toThrow('expected a range that drives');
  expect(() => run({ from: ['X'] })).toThrow('expected an element');
});

// First law on random overlaps: whatever the valves do, nothing is lost or made.
test('energy closes for any overlap', () => {
  const random = randomFromSeed('overlaps');
  for (let k = 0; k < 8; k++) {
    const on = 0.05 + 0.6 * random.next();
    const off = 0.05 + 0.8 * random.next();
    const { energy, why, summary } = timed(on, off);
    const { work, kept, rubbed, damped } = energy;
    expect([k, why]).toEqual([k, 'done']);
    expect(Math.abs(work - kept - rubbed - damped)).toBeLessThan(1e-6 * Math.abs(work));
    // The later the on-coming element takes hold after the other has let go, the higher the flare.
    if (on > off + 0.3) expect([k, summary.flareRpm > 180]).toEqual([k, true]);
    if (off > on + 0.5) expect([k, summary.flareRpm < 60]).toEqual([k, true]);
  }
});

// Domain rule: a member with no inertia stated gets an estimate; the engine and the vehicle are far heavier.
test('ten times or a tenth of the unit’s own inertias changes the shift little', () => {
  const scaled = (times: number) =>
    run({
      unit: {
        ...unit,
        members: unit.members.map((m) => ({ ...m, inertia: (m.inertia ?? 2e-3) * times })),
      },
    }).summary;
  const [less, as, more] = [0.1, 1, 10].map(scaled) as [
    ReturnType<typeof scaled>,
    ReturnType<typeof scaled>,
    ReturnType<typeof scaled>,
  ];
  for (const other of [less, more]) {
    expect(Math.abs(other.begins! - as.begins!)).toBeLessThan(0.05);
    expect(Math.abs(other.arrives! - as.arrives!)).toBeLessThan(0.08);
    expect(Math.abs(other.dip - as.dip)).toBeLessThan(0.15);
  }
});
