import { demoFile, demoUnit } from '../tests/demoFile';
import type { Vehicle } from '../vehicle';
import { circuitOf } from './circuit';
import { planFor } from './generate';
import { gearsOf } from './gears';
import { partsOf, type HydraulicPlan } from './plan';
import { faultsOn, planFaultProblem, withPlanFaults, type PlanFault } from './planFaults';
import { PLAN_FAULT_KINDS, PLAN_FAULTS, type PlanFaultKind } from './planFaultTable';
import { learnedFrom, shiftInTime, withNothingLearned } from './shiftInTime';
import { shiftMap } from './shiftMap';
import { WARM } from './tests/handPlans';

const unit = demoUnit('quay-four');
const vehicle = demoFile<Vehicle>('vehicles/yard-tractor');
const ratios = gearsOf(unit).forward.map((f) => f.ratio);
const plan = planFor(unit);
const MIDDLE = 0.45;

const faulty = (fault: PlanFault | null, of: HydraulicPlan = plan) => {
  const worn = withPlanFaults(of, fault ? [fault] : []);
  return circuitOf(worn.plan, worn.condition);
};
const fault = (kind: PlanFaultKind, part: string, amount?: number): PlanFault => ({
  kind,
  part,
  ...(amount === undefined ? {} : { amount }),
});
const mapOf = (f: PlanFault | null, of = plan) =>
  shiftMap(faulty(f, of), { lever: 'D', celsius: 80, idleRpm: 700, ratios });
/** Speeds up and down at middling throttle, by gear. */
const ups = (f: PlanFault | null, of = plan) => mapOf(f, of).map((l) => l.points[4]!.up);
const shift = (f: PlanFault | null, gear = 2, of = plan, throttle = MIDDLE) => {
  const { forward } = gearsOf(unit);
  const [from, to] = [forward[gear - 1]!, forward[gear]!];
  return shiftInTime({
    circuit: faulty(f, of),
    unit,
    vehicle,
    from: { range: from.range.id, gear },
    to: { range: to.range.id, gear: gear + 1 },
    running: { ...WARM, throttle, outputRpm: 1900 / from.ratio, engineRpm: 1900 },
    inputNm: 200 * throttle,
    inputInertia: 0.2,
    inputRpm: 1900,
    seconds: 1.6,
  });
};
const pressed = (f: PlanFault | null, range: string) => {
  const found = unit.ranges.find((r) => r.id === range)!;
  const { gearOf } = gearsOf(unit);
  const running = { ...WARM, lever: found.lever, throttle: MIDDLE };
  return faulty(f).inGear(running, gearOf(found), range);
};

test('no fault takes more of a thing than there is, and the usual amount is one that it can have', () => {
  for (const [kind, { measure, usual, limits }] of Object.entries(PLAN_FAULTS)) {
    const [least, most] = limits;
    expect([kind, least <= usual && usual <= most]).toEqual([kind, true]);
    if (measure === 'share') expect([kind, least > 0 && most <= 1]).toEqual([kind, true]);
  }
});

test('a sound shift is felt as smooth, torque phase before inertia phase, and heats what slips', () => {
  const { quality, run, heats, filled, coming, going } = shift(null);
  expect([quality, coming, going]).toEqual(['smooth', ['C3'], ['B1']]);
  const touches = filled.elements.get('C3')!.touches!;
  expect(touches).toBeLessThan(run.summary.begins!);
  expect(run.summary.begins!).toBeLessThan(run.summary.arrives!);
  // Energy: what is rubbed away is what the elements' plates took.
  const sum = Object.values(run.energy.heats).reduce((a, b) => a + b, 0);
  expect(sum / run.energy.rubbed).toBeCloseTo(1, 9);
  expect(heats[0]!.element === 'C3' || heats[1]!.element === 'C3').toBe(true);
  const balance = run.energy.work - run.energy.kept - run.energy.rubbed - run.energy.damped;
  expect(Math.abs(balance)).toBeLessThan(0.02 * run.energy.rubbed + 5);
});

// Published: Shigley's chapter on clutches, the least that a shift must rub away is what the input gives up while it slows.
test('a shift rubs away at least what the input has to lose', () => {
  const { run } = shift(null);
  const [first, last] = [run.samples[0]!, run.samples.at(-1)!];
  const omega = (rpm: number) => (rpm * Math.PI) / 30;
  const between = omega(first.inputRpm) - omega(last.inputRpm);
  expect(run.energy.rubbed).toBeGreaterThan(0.5 * 0.2 * between ** 2);
});

// Common practice, no source: a slack cable shifts early, at low pressure, and burns the pack; a short one late and hard.
test('a slack cable shifts early and soft and rubs longer; a short one late and firm', () => {
  const [slack, short] = [
    fault('cable-slack', 'throttle-valve'),
    fault('cable-short', 'throttle-valve'),
  ];
  ups(null).forEach((up, k) => {
    expect(ups(slack)[k]!).toBeLessThan(0.9 * up!);
    expect(ups(short)[k]!).toBeGreaterThan(1.1 * up!);
  });
  const line = (f: PlanFault | null) => pressed(f, 'D1').pressures.get('line')!;
  expect(line(slack)).toBeLessThan(0.8 * line(null));
  expect(line(short)).toBeGreaterThan(1.2 * line(null));
  const heat = (f: PlanFault | null) => shift(f).heats.reduce((sum, h) => sum + h.joules, 0);
  expect(heat(slack)).toBeGreaterThan(1.15 * heat(null));
});

// Common practice, no source: a torn diaphragm means full pressure at any throttle, late and harsh shifts.
test('a torn diaphragm presses fully with the throttle closed, and shifts late', () => {
  const modulated = planFor(unit, { throttle: 'modulator' });
  const torn = fault('diaphragm-torn', 'throttle-valve');
  const at = (f: PlanFault | null) =>
    faulty(f, modulated)
      .at({ ...WARM, throttle: 0 })
      .pressures.get('line')!;
  expect(at(torn) / at(null)).toBeGreaterThan(2);
  ups(torn, modulated).forEach((up, k) => expect(up!).toBeGreaterThan(ups(null, modulated)[k]!));
});

describe('what a control unit believes', () => {
  const electric = planFor(unit, { shifting: 'solenoids', throttle: 'solenoid' });
  const lineAt = (f: PlanFault | null, throttle: number) =>
    faulty(f, electric)
      .at({ ...WARM, throttle })
      .pressures.get('line')!;

  // Common practice, no source: a dead pressure sensor means full pressure at any pedal, a wrong one slips or bangs.
  test('a sensor that reads too much starves what slips; a dead one presses fully with the throttle closed', () => {
    const [high, dead] = [
      fault('sensor-high', 'throttle-valve', 0.4),
      fault('sensor-dead', 'throttle-valve'),
    ];
    expect(lineAt(dead, 0) / lineAt(null, 0)).toBeGreaterThan(1.5);
    expect(lineAt(dead, 1) / lineAt(null, 1)).toBeCloseTo(1, 6);
    for (const throttle of [0.3, 0.6, 1])
      expect(lineAt(high, throttle)).toBeLessThan(0.95 * lineAt(null, throttle));
    const rubs = (f: PlanFault | null) =>
      shift(f, 2, electric).heats.reduce((sum, h) => sum + h.joules, 0);
    expect(rubs(high)).toBeGreaterThan(rubs(null));
    expect(shift(dead, 2, electric, 0.1).run.summary.jerk).toBeGreaterThan(
      shift(null, 2, electric, 0.1).run.summary.jerk,
    );
    // Only where there is one: a cable is asked by nobody.
    expect(planFaultProblem(plan, dead)).not.toBeNull();
  });

  test('a quarter of the pulses lost, every shift comes at a third more speed, up and back', () => {
    const swarf = fault('pickup-swarf', 'control', 0.25);
    const [sound, late] = [mapOf(null, electric), mapOf(swarf, electric)];
    late.forEach((line, k) =>
      line.points.forEach(({ up, down }, n) => {
        const was = sound[k]!.points[n]!;
        expect(up! / was.up!).toBeCloseTo(4 / 3, 9);
        expect(down! / was.down!).toBeCloseTo(4 / 3, 9);
      }),
    );
  });
});

test('a valve that is stuck never gives its gear, or never gives it back', () => {
  const [down, up] = [fault('valve-stuck-down', 'shift-2'), fault('valve-stuck-up', 'shift-2')];
  expect(ups(down).map((v) => v === null)).toEqual([false, true, false]);
  // Stuck up, third comes with the engine hardly turning the wheels.
  const circuit = faulty(up);
  expect(circuit.at({ ...WARM, throttle: 0.2 }).applied).toContain('C3');
});

test('a broken spring shifts its own pair early and leaves the others', () => {
  // With the throttle closed, where the spring is all that holds a valve down.
  const closed = (f: PlanFault | null) => mapOf(f).map((l) => l.points[0]!.up!);
  const [early, sound] = [closed(fault('spring-broken', 'shift-2')), closed(null)];
  expect(early[1]!).toBeLessThan(0.85 * sound[1]!);
  [0, 2].forEach((k) => expect(early[k]! / sound[k]!).toBeCloseTo(1, 2));
  expect(closed(fault('spring-swapped', 'shift-2'))[1]!).toBeGreaterThan(1.15 * sound[1]!);
});

// Common practice, no source: no governor pressure, no upshift.
test('with the governor stuck or its screen blocked, first gear stays in', () => {
  for (const f of [fault('governor-stuck', 'governor'), fault('screen-blocked', 'governor', 1)])
    expect(ups(f)).toEqual([null, null, null]);
});

test('the pump: not driven there is no oil; worn, aerated or starved there is too little at idle', () => {
  const at = (f: PlanFault | null) =>
    faulty(f)
      .at({ ...WARM, throttle: 1, engineRpm: 700 })
      .pressures.get('line')!;
  const sound = at(null);
  expect(at(fault('pump-not-driven', 'pump'))).toBeLessThan(1);
  for (const [kind, amount] of [
    ['pump-worn', 0.7],
    ['pickup-draws-air', 0.7],
    ['level-low', 0.7],
    ['filter-blocked', 0.97],
  ] as const)
    expect(at(fault(kind, 'pump', amount))).toBeLessThan(0.8 * sound);
});

test('what leaks, is shut or stands beside its place starves its own element only', () => {
  const seen = (f: PlanFault | null, range: string, element: string) =>
    pressed(f, range).pressures.get(element)!;
  const seal = fault('piston-seal', 'piston-C3', 1);
  // Feed and seal of one size: half the pressure (two openings in a row).
  expect(seen(seal, 'D3', 'C3') / seen(null, 'D3', 'C3')).toBeCloseTo(0.5, 1);
  expect(seen(seal, 'D3', 'C1') / seen(null, 'D3', 'C1')).toBeCloseTo(1, 1);
  expect(pressed(fault('gasket-other', 'feed-C3'), 'D3').applied).toEqual(['C1']);
  const detent = fault('beside-detent', 'manual', 0.9);
  expect(seen(detent, 'D1', 'C1')).toBeLessThan(0.5 * seen(null, 'D1', 'C1'));
  // The plate lets line pressure into a passage that should be empty: the element comes in where it must not.
  const plate = fault('plate-leaks', 'feed-C3', 1);
  expect(seen(plate, 'D1', 'C3')).toBeGreaterThan(seen(null, 'D1', 'C3') + 1e3);
});

test('accumulators: stuck is harsh, a weak spring slips longer, a leak starves', () => {
  const sound = shift(null).run.summary;
  const stuck = shift(fault('accumulator-stuck', 'acc-C3')).run.summary;
  expect(stuck.jerk).toBeGreaterThan(1.5 * sound.jerk);
  const weak = shift(fault('accumulator-spring', 'acc-C3'));
  expect(weak.run.summary.arrives! > sound.arrives! || weak.run.summary.flareRpm > 20).toBe(true);
  const leaks = shift(fault('accumulator-seal', 'acc-C3', 1));
  expect(leaks.filled.elements.get('C3')!.pressures.at(-1)!).toBeLessThan(
    0.9 * shift(null).filled.elements.get('C3')!.pressures.at(-1)!,
  );
});

test('solenoids: dead rests, stuck open applies what must not be on, gummed fills late', () => {
  const electric = planFor(unit, { shifting: 'solenoids' });
  const at = (f: PlanFault | null, range: string) =>
    faulty(f, electric).at(WARM, undefined, range).applied;
  expect(at(null, 'D3')).toEqual(['C1', 'C3']);
  expect(at(fault('solenoid-dead', 'sol-C3'), 'D3')).toEqual(['C1']);
  expect(at(fault('solenoid-stuck-open', 'sol-C3'), 'D1')).toEqual(['C1', 'C3']);
  const gummed = shift(fault('solenoid-gummed', 'sol-C3', 0.97), 2, electric);
  expect(gummed.filled.elements.get('C3')!.touches!).toBeGreaterThan(
    1.5 * shift(null, 2, electric).filled.elements.get('C3')!.touches!,
  );
  expect(gummed.run.summary.flareRpm).toBeGreaterThan(
    shift(null, 2, electric).run.summary.flareRpm + 100,
  );
});

test('a control unit learns a shift from one to the next, and what it learned elsewhere ties up', () => {
  const electric = planFor(unit, { shifting: 'solenoids' });
  let now = withNothingLearned(electric);
  const offs: number[] = [];
  for (let k = 0; k < 12; k++) {
    const result = shift(null, 2, now);
    offs.push(Math.abs(result.lateBy!));
    now = learnedFrom(now, result);
  }
  expect(offs[0]!).toBeGreaterThan(0.05);
  expect(offs.at(-1)!).toBeLessThan(0.01);
  expect(shift(null, 2, withNothingLearned(electric)).run.summary.flareRpm).toBeGreaterThan(100);
  // Nothing is learned of a shift that was not late, nor by valves alone.
  const timed = shift(null, 2, electric);
  expect(learnedFrom(electric, { ...timed, lateBy: null })).toBe(electric);
  expect(learnedFrom(plan, { ...timed, lateBy: 0.1 })).toBe(plan);
  const other = shift(fault('learned-elsewhere', 'control'), 2, electric).run.summary;
  expect(other.dip).toBeLessThan(shift(null, 2, electric).run.summary.dip - 0.1);
});

test('every fault of every part changes the plan or its condition, and what is not there is refused', () => {
  const plans = [
    plan,
    planFor(unit, { throttle: 'modulator', shifting: 'solenoids' }),
    planFor(unit, { throttle: 'solenoid', shifting: 'solenoids' }),
    withNothingLearned(planFor(unit, { shifting: 'solenoids' })),
  ];
  for (const made of plans) {
    const sound = withPlanFaults(made, []);
    for (const part of made.parts)
      for (const kind of faultsOn(part)) {
        expect(planFaultProblem(made, fault(kind, part.id))).toBeNull();
        expect(withPlanFaults(made, [fault(kind, part.id)])).not.toEqual(sound);
      }
  }
  const some = new Set(plans.flatMap((p) => p.parts.flatMap(faultsOn)));
  expect([...some].sort()).toEqual([...PLAN_FAULT_KINDS].sort());
  expect(planFaultProblem(plan, fault('pump-worn', 'nowhere'))).toBe('unknown-part');
  expect(planFaultProblem(plan, fault('pump-worn', 'manual'))).toBe('not-here');
  expect(planFaultProblem(plan, fault('pump-worn', 'pump', 7))).toBe('amount');
  expect(() => withPlanFaults(plan, [fault('pump-worn', 'manual')])).toThrow('not-here');
  expect(partsOf(plan, 'shift-valve')).toHaveLength(3);
});
