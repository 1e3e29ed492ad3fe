import { AS_BUILT, holdingTorque, withClutchFault, worn, type ClutchFault } from '../clutch';
import { BOLLARD, HAWSER } from '../clutch/tests/demo';
import { memberInertias, type Unit } from '../geartrain';
import { GRAVITY } from '../vehicle';
import {
  demands,
  dragTest,
  engage,
  engagementVerdicts,
  FEET_AT,
  feetTrace,
  mainClutchOf,
  mostTorque,
  roadSlipTest,
  brakesMustHold,
  slipTest,
  slipWear,
  steady,
  sweepEngagement,
  sweptSetup,
  traceAt,
  type EngagementSetup,
} from './index';
import { manual, petrol, START, tractor } from './tests/aStart';
import { demoFile, demoUnit } from '../tests/demoFile';

const quay = demoUnit('quay-four');

const run = (change: Partial<EngagementSetup> = {}) => engage({ ...START, ...change });
const faulty = (fault: ClutchFault) => withClutchFault(BOLLARD, AS_BUILT, fault);

// First law, on the whole drivetrain: work of engine and road is in motion, springs and heat.
test.each([
  ['a clean start', {}],
  ['uphill, rolling back first', { grade: 0.15 }],
  ['a warped disc', { state: faulty('warped-disc') }],
  [
    'dropped at once',
    {
      pedal: [
        { time: 0.2, value: 1 },
        { time: 0.25, value: 0 },
      ],
    },
  ],
  [
    'a planetary unit with one-way clutches',
    { unit: quay, apply: quay.ranges.find((r) => r.gear === '1')!.apply },
  ],
] as const)('energy in = energy kept and rubbed away: %s', (_name, change) => {
  const { energy, why } = run(change);
  const { work, kinetic, sprung, clutch, elements, damped } = energy;
  expect(why).toBe('done');
  const scale = Math.abs(work) + Math.abs(kinetic) + clutch;
  expect(Math.abs(work - kinetic - sprung - clutch - elements - damped) / scale).toBeLessThan(1e-6);
  expect(clutch).toBeGreaterThan(0);
});

// Domain rule: a member with no inertia stated gets an estimate; results must hardly depend on it.
test('ten times or a tenth of the estimated inertias changes little', () => {
  const of = (estimate: number) => run({ estimate }).summary;
  const [less, as, more] = [0.1, 1, 10].map(of) as [
    ReturnType<typeof of>,
    ReturnType<typeof of>,
    ReturnType<typeof of>,
  ];
  for (const other of [less, more]) {
    expect(Math.abs(other.heat - as.heat) / as.heat).toBeLessThan(0.02);
    expect(Math.abs(other.slipTime - as.slipTime)).toBeLessThan(0.03);
    expect(Math.abs(other.speed - as.speed) / as.speed).toBeLessThan(0.03);
  }
});

// By hand: a steel disc of 40 teeth, module 2.5 mm, 25 mm wide: ½·π·7850·0.025·0.05⁴ = 0.00193 kg·m².
test('inertias from teeth, and stated ones as they are', () => {
  const unit: Unit = {
    ...manual,
    members: manual.members.map((m) => (m.id === 'out' ? { ...m, inertia: 0.5 } : m)),
  };
  const inertias = memberInertias(unit);
  expect(inertias.get('out')).toBe(0.5);
  expect(inertias.get('g1')).toBeCloseTo((Math.PI / 2) * 7850 * 0.025 * (0.041 * 1.25) ** 4, 9);
});

// A thin ring turns as its mass at its pitch circle does, J = m·r² (textbook): 4 modules of wall all round.
test('the inertia of a ring from its teeth', () => {
  const planetary = demoFile<Unit>('units/skerry-three');
  const [set] = planetary.gearsets;
  if (set?.kind !== 'single-pinion') throw new Error('expected a single-pinion set');
  const alone: Unit = { ...planetary, gearsets: [set] };
  const r = (set.teeth.ring * 0.0025) / 2;
  const mass = 7850 * 0.025 * (4 * 0.0025) * 2 * Math.PI * r;
  expect(memberInertias(alone).get(set.ring)).toBeCloseTo(mass * r * r, 9);
});

// Order of the scheme on the whole drivetrain.
test('finer steps settle on one answer', () => {
  const heat = (step: number) => run({ step }).summary.heat;
  const fine = heat(1.25e-4);
  expect(Math.abs(heat(1e-3) - fine) / fine).toBeLessThan(2e-3);
  expect(Math.abs(heat(1e-3) - fine)).toBeGreaterThan(Math.abs(heat(2.5e-4) - fine));
});

// Published closed form (Shigley): on the level with steady engine torque the heat can't be less than that of bringing
// two inertias together; and a quicker start heats less when the engine runs on.
test('heat of a start against its closed form', () => {
  const pedal = [
    { time: 0, value: 1 },
    { time: 0.5, value: 1 },
    { time: 0.6, value: 0.2 },
  ];
  const { summary, samples } = run({ pedal, throttle: steady(0.6), seconds: 2.5 });
  const first = samples.find((s) => s.clutchNm > 20)!;
  const omega = (first.engineRpm * Math.PI) / 30;
  const i1 = petrol.inertia;
  const lever = tractor.tyreRadiusM / (tractor.finalDrive * (34 / 22) * (41 / 15));
  const i2 = tractor.massKg * lever * lever;
  const closed = ((i1 * i2) / (i1 + i2) / 2) * omega * omega;
  expect(summary.heat).toBeGreaterThan(0.9 * closed);
});

// Common practice, no source: slip test with the brakes on, first gear, pedal up quickly: the engine stalls if the
// clutch holds, and runs on if it slips.
test('slip test: a sound clutch stalls the engine, one that is worn through lets it run on', () => {
  const setup = { ...START, grade: 0 };
  expect(slipTest(setup).verdict).toBe('stalls');
  const gone = { ...setup, state: worn(BOLLARD, AS_BUILT, 0.0029) };
  const slipping = slipTest(gone);
  expect(slipping.verdict).toBe('runs-on');
  expect(slipping.run.summary.engineRpm).toBeGreaterThan(0.6 * petrol.idleRpm);
});

// Published (statics): torque at the wheels is torque at the clutch × all ratios, so a high gear asks less of the brakes.
test('the slip test reads the same in every gear; the brakes have less to hold in a high one', () => {
  const gears = demands({ engine: petrol, unit: manual, vehicle: tractor, throttle: 1, grade: 0 });
  const holds = gears.map(({ range, ratio }) => {
    const { apply } = manual.ranges.find((r) => r.id === range)!;
    expect([range, slipTest({ ...START, grade: 0, apply }).verdict]).toEqual([range, 'stalls']);
    return brakesMustHold(BOLLARD, AS_BUILT, ratio);
  });
  const first = (34 / 22) * (41 / 15) * tractor.finalDrive;
  expect(holds[0]).toBeCloseTo(holdingTorque(BOLLARD, AS_BUILT) * first, 6);
  for (let k = 1; k < holds.length; k++) expect(holds[k]!).toBeLessThan(holds[k - 1]!);
});

// Common practice, no source: a disc that nears its rivets slips in the upper gears under power first.
test('a worn disc slips in the upper gears first', () => {
  const rig = { engine: petrol, unit: manual, vehicle: tractor, throttle: 1, grade: 0.05 };
  const gears = demands(rig);
  expect(gears.map((g) => g.gear)).toEqual(['1', '2', '3', '4', '5']);
  const wears = gears.map((g) => slipWear(BOLLARD, g.torque)!);
  for (let k = 1; k < wears.length; k++) expect(wears[k]!).toBeLessThan(wears[k - 1]!);
  expect(wears[4]!).toBeGreaterThan(0.002);
  expect(wears[4]!).toBeLessThan(0.0024);
  // Just past the wear, holding torque is below what is asked; just before, above.
  for (const [k, g] of gears.entries()) {
    const at = (w: number) => holdingTorque(BOLLARD, worn(BOLLARD, AS_BUILT, w));
    expect(at(wears[k]! - 1e-5)).toBeGreaterThan(g.torque);
    expect(at(wears[k]! + 1e-5)).toBeLessThan(g.torque);
  }
  expect(slipWear(BOLLARD, 1000)).toBe(0);
  expect(slipWear(HAWSER, 183)).toBeNull();
  const road = { ...START, apply: ['S5'] };
  expect(roadSlipTest(road, gears[4]!.ratio).verdict).toBe('holds');
  const slipped = roadSlipTest(
    { ...road, state: worn(BOLLARD, AS_BUILT, 0.0026) },
    gears[4]!.ratio,
  );
  expect(slipped.verdict).toBe('slips');
});

// Slow twin: what the clutch carries in the run is what statics and inertia say.
test('the torque that a gear asks is what the run carries', () => {
  const gear = demands({
    engine: petrol,
    unit: manual,
    vehicle: tractor,
    throttle: 0.7,
    grade: 0.04,
  })[2]!;
  const { samples } = run({
    apply: ['S3'],
    pedal: steady(0),
    throttle: steady(0.7),
    grade: 0.04,
    start: { speed: 8 },
    seconds: 4,
    state: { ...AS_BUILT, damper: 1 },
  });
  const late = samples.filter((s) => s.time > 2.5);
  const carried = late.reduce((sum, s) => sum + s.clutchNm, 0) / late.length;
  const torque = late.reduce((sum, s) => sum + petrol.torque(s.engineRpm, 0.7), 0) / late.length;
  const scale = torque / mostTorque(petrol, 0.7);
  expect(Math.abs(carried - gear.torque * scale) / carried).toBeLessThan(0.06);
});

// Trade facts, common practice: no source.
test('what each way of starting does', () => {
  const verdicts = (change: Partial<EngagementSetup>) => engagementVerdicts(run(change).summary);
  expect(verdicts({})).toEqual(['clean']);
  const dump = [
    { time: 0.3, value: 1 },
    { time: 0.35, value: 0 },
  ];
  expect(verdicts({ pedal: dump, throttle: steady(0.05) })).toContain('stalls');
  expect(verdicts({ pedal: dump, throttle: steady(0.8) })).toContain('jolts');
  expect(verdicts({ pedal: steady(1) })).toContain('never-bites');
  expect(verdicts({ grade: 0.15 })).toContain('rolls-back');
  const ridden = run({
    pedal: steady(0.42),
    throttle: steady(0.6),
    seconds: 6,
    start: { iron: { skinC: 200, massC: 200 } },
  });
  expect(engagementVerdicts(ridden.summary)).toContain('slips-on');
  expect(ridden.summary.peakC).toBeGreaterThan(230);
});

// Common practice, no source: chatter comes from oil, uneven height, a warped disc; a sound clutch takes up smoothly.
test('judder comes with a cause, and not without', () => {
  const gentle = {
    seconds: 4,
    throttle: [
      { time: 0, value: 0.1 },
      { time: 0.5, value: 0.2 },
    ],
    pedal: [
      { time: 0, value: 1 },
      { time: 0.4, value: 0.5 },
      { time: 1.5, value: 0.38 },
      { time: 3, value: 0.2 },
      { time: 3.5, value: 0 },
    ],
  };
  const swing = (fault: ClutchFault | null) =>
    run({ ...gentle, state: fault ? faulty(fault) : AS_BUILT }).summary.judder.swing;
  expect(swing(null)).toBe(0);
  for (const fault of ['oiled', 'warped-disc'] as const)
    expect([fault, swing(fault) > 0.4]).toEqual([fault, true]);
});

// By hand: on a grade of 10 % the pull of gravity is m·g·sin; with the clutch open and no brake it rolls back by that.
test('with the pedal down it rolls as gravity says', () => {
  const { samples } = run({ pedal: steady(1), grade: 0.1, seconds: 1 });
  const along = 1 / Math.sqrt(1.01);
  const acceleration = -GRAVITY * along * (0.1 - tractor.rolling);
  expect(samples.at(-1)!.speed).toBeCloseTo(acceleration, 1);
  const held = run({ pedal: steady(1), grade: 0.1, brake: steady(1), seconds: 1 });
  expect(Math.abs(held.samples.at(-1)!.speed)).toBeLessThan(1e-6);
});

// Common practice, no source: drag test and the pedal's feel.
test('drag test: what it says of each fault', () => {
  const says = (fault: ClutchFault) => dragTest(BOLLARD, faulty(fault)).says;
  expect(dragTest(BOLLARD, AS_BUILT)).toMatchObject({
    running: 'quiet',
    says: 'releases',
    spongy: false,
  });
  expect(says('air')).toBe('air-or-leak');
  expect(says('leak')).toBe('air-or-leak');
  expect(says('warped-disc')).toBe('touches');
  expect(says('tight-pilot')).toBe('drags-though-clear');
  const bent = { ...AS_BUILT, bent: 0.008 };
  expect(dragTest(BOLLARD, bent)).toMatchObject({
    says: 'too-little-lift',
    spongy: false,
    off: 'quiet',
  });
});

test('the main clutch of a unit stands where the dry clutch goes; a planetary unit has none', () => {
  expect(mainClutchOf(manual)).toEqual({ id: 'K', driven: 'in' });
  expect(mainClutchOf(quay)).toBeNull();
});

test('sweeps: every run once, shared between workers, and more wear never holds more at the end', () => {
  const sweep = {
    setup: { ...START, step: 4e-3 },
    swept: 'let-up' as const,
    from: 0.3,
    to: 3,
    runs: 9,
  };
  const all = [...sweepEngagement(sweep)];
  const parts = [0, 1].flatMap((index) => [...sweepEngagement(sweep, { index, of: 2 })]);
  expect(parts.sort((a, b) => a.index - b.index)).toEqual(all);
  expect(all.map((p) => p.index)).toEqual([0, 1, 2, 3, 4, 5, 6, 7, 8]);
  // Evenly from the first value to the last.
  [0.3, 1.65, 3].forEach((value, k) => expect(all[4 * k]!.value).toBeCloseTo(value, 12));
  // Energy against how fast it engages: a longer slip under power heats more, a quick one jolts more.
  expect(all.at(-1)!.summary.heat).toBeGreaterThan(all[2]!.summary.heat);
  expect(all[0]!.summary.jerk).toBeGreaterThan(all.at(-1)!.summary.jerk);
  expect(sweptSetup(START, 'wear', 0.001).state.wear).toBe(0.001);
  expect(sweptSetup(START, 'grade', 0.2).grade).toBe(0.2);
  expect(Math.max(...sweptSetup(START, 'throttle', 0.9).throttle.map((p) => p.value))).toBeCloseTo(
    0.9,
    12,
  );
  expect(sweptSetup(START, 'let-up', 4).pedal.at(-1)!.time).toBeCloseTo(4, 12);
});

test('traces go straight between points and hold at their ends', () => {
  const trace = feetTrace(FEET_AT.map((_t, k) => k / 8));
  expect(traceAt(trace, -1)).toBe(0);
  expect(traceAt(trace, 99)).toBe(1);
  expect(traceAt(trace, (FEET_AT[2]! + FEET_AT[3]!) / 2)).toBeCloseTo(2.5 / 8, 12);
  expect(traceAt([], 3)).toBe(0);
});

test('bad input: refused, or stopped with the last good state', () => {
  expect(() => run({ step: 0 })).toThrow('step');
  expect(() => run({ seconds: -1 })).toThrow('duration');
  expect(() => run({ apply: ['nobody'] })).toThrow('nobody');
  const broken = { ...petrol, torque: (rpm: number) => (rpm > 1000 ? NaN : 100) };
  const stopped = run({ engine: broken });
  expect(stopped.why).toBe('unstable');
  for (const s of stopped.samples)
    for (const v of Object.values(s) as number[]) expect(Number.isFinite(v)).toBe(true);
  expect(stopped.steps).toBeLessThan(3000);
  // A step far too long still closes its balance and stays finite.
  const long = run({ step: 0.05 });
  expect(long.why).toBe('done');
  expect(Number.isFinite(long.summary.heat)).toBe(true);
});
