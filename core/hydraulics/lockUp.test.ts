import { characteristicOf, engineModel, type Converter, type Engine } from '../converter';
import { demoFile, demoUnit } from '../tests/demoFile';
import { fluidOf, launch, scheduleOf, type Vehicle } from '../vehicle';
import { circuitOf, type Spools } from './circuit';
import { planFor } from './generate';
import { gearsOf } from './gears';
import { draggedDown, lockedByValves, lockedHolds, lockUpLine, oilMap } from './lockUp';
import { partsOf, type HydraulicPlan } from './plan';
import { planFindings } from './planFindings';
import { withPlanFaults, type PlanFault } from './planFaults';
import { gearByValves, pointAt, shiftMap } from './shiftMap';
import { WARM } from './tests/handPlans';

const unit = demoUnit('quay-four');
const gears = gearsOf(unit);
const forward = gears.forward.map((f) => f.range.id);
const INPUT_NM = 200;
const byValves = planFor(unit, { lockUp: true, inputNm: INPUT_NM });
const electric = planFor(unit, { lockUp: true, shifting: 'solenoids', inputNm: INPUT_NM });
const setting = { lever: 'D', celsius: 80, idleRpm: 700 };

const worn = (plan: HydraulicPlan, fault?: PlanFault) => {
  const { plan: made, condition } = withPlanFaults(plan, fault ? [fault] : []);
  return circuitOf(made, condition);
};

/** Driven up and down the road in top gear's lever place: speeds at which the clutch comes on and goes off, and the gear then. */
function driven(plan: HydraulicPlan, throttle: number, fault?: PlanFault) {
  const circuit = worn(plan, fault);
  const control = partsOf(plan, 'control').length > 0;
  const lines = control ? shiftMap(circuit, setting) : [];
  let stood: Spools = new Map();
  let gear = 1;
  let was = false;
  let settled = true;
  const changes: { on: boolean; rpm: number; gear: number }[] = [];
  const speeds = Array.from({ length: 900 }, (_v, k) => 5 * k);
  for (const outputRpm of [...speeds, ...speeds.toReversed()]) {
    if (control) {
      const at = (from: number) =>
        lines.find((l) => l.from === from)?.points[Math.round(10 * throttle)];
      if (outputRpm > (at(gear)?.up ?? Infinity)) gear++;
      else if (outputRpm < (at(gear - 1)?.down ?? -1)) gear--;
    }
    const range = control ? gears.rangeAt('D', gear)!.id : '';
    const state = circuit.at({ ...WARM, throttle, outputRpm }, stood, range);
    settled &&= state.settled;
    stood = state.spools;
    if (!control)
      gear = 1 + partsOf(plan, 'shift-valve').filter((v) => stood.get(v.id)! > 0.5).length;
    const on = lockedHolds(plan, state)! > 1;
    if (on !== was) changes.push({ on, rpm: outputRpm, gear });
    was = on;
  }
  expect(settled).toBe(true);
  return changes;
}

test.each([
  ['valves', byValves],
  ['a control unit', electric],
])(
  'by %s the clutch comes on once, from third gear up, and goes off at a lower speed',
  (_by, plan) => {
    expect(planFindings(plan, unit)).toEqual([]);
    for (const throttle of [0.1, 0.5]) {
      const changes = driven(plan, throttle);
      expect(changes.map((c) => c.on)).toEqual([true, false]);
      const [on, off] = changes as [(typeof changes)[0], (typeof changes)[0]];
      expect(on.gear).toBeGreaterThanOrEqual(3);
      expect(off.rpm).toBeLessThan(on.rpm - 20);
      // The line tells the speeds at which it was seen.
      const line = lockUpLine(circuitOf(plan), { ...setting, throttles: [throttle] }, forward)!;
      expect(line.gear).toBe(3);
      expect(Math.abs(line.points[0]!.up! - on.rpm)).toBeLessThan(10);
    }
  },
);

// The valve's own balance by hand: F = A·(m₁r₁ + m₂r₂)·ω²/A_gov with the throttle closed, the heavy weight not yet at its stop or at it.
test('with the throttle closed the valve goes up where the governor takes its spring', () => {
  const [valve] = partsOf(byValves, 'lock-up-valve');
  const [governor] = partsOf(byValves, 'governor');
  const asked = (valve!.spring / valve!.governor.area) * governor!.area;
  const [heavy, light] = [governor!.heavy, governor!.light].map((w) => w.mass * w.radius) as [
    number,
    number,
  ];
  const free = asked / (heavy + light);
  const square = free * heavy <= governor!.spring ? free : (asked - governor!.spring) / light;
  const rpm = (Math.sqrt(square) * 30) / Math.PI;
  const line = lockUpLine(circuitOf(byValves), { ...setting, throttles: [0] })!;
  expect(line.points[0]!.up! / rpm).toBeCloseTo(1, 2);
});

test('on, it holds its area times the pressure of the inside over the drained chamber; off, nothing', () => {
  const circuit = circuitOf(byValves);
  const [clutch] = partsOf(byValves, 'lock-up-clutch');
  const running = { ...WARM, throttle: 0.5, outputRpm: 3800 };
  const stood = circuit.at({ ...running, outputRpm: 0 }).spools;
  const up = circuit.at(running, stood);
  const at = (line: string) => up.pressures.get(line)!;
  expect(at('release')).toBeLessThan(0.01 * at('line'));
  // Two openings in a row, by hand: k of the feed is four times the cooler's.
  expect(at('inside') / at('line')).toBeCloseTo(16 / 17, 2);
  const byHand = (at('inside') - at('release')) * clutch!.area * clutch!.torquePerForce;
  expect(lockedHolds(byValves, up)!).toBeCloseTo(byHand, 6);
  // Common practice, no source: it holds the engine's torque with something to spare.
  expect(byHand).toBeGreaterThan(1.2 * INPUT_NM * 0.5);
  const down = circuit.at({ ...running, outputRpm: 300 }, stood);
  expect(lockedHolds(byValves, down)).toBe(0);
  // Oil goes through the converter to the cooler either way.
  for (const state of [up, down])
    expect(state.passing.find((p) => p.part === 'cooler')!.flow).toBeGreaterThan(1e-5);
});

// Common practice, no source: more pedal, later; the floor lets it go.
test('it comes later with more throttle, and the floored pedal lets it go', () => {
  for (const plan of [byValves, electric]) {
    const { points } = lockUpLine(circuitOf(plan), setting, forward)!;
    const ups = points.map((p) => p.up!);
    expect(ups).toEqual([...ups].sort((a, b) => a - b));
    const [light, floored] = [points[1]!, points[10]!];
    expect(floored.down!).toBeGreaterThan(light.up!);
  }
});

// Common practice, no source: a lock-up stuck on kills the engine at a stop; one stuck off only wastes fuel and heats the fluid.
test('stuck up it is on at a standstill, stuck down or without its signal never', () => {
  for (const plan of [byValves, electric]) {
    const at = (fault: PlanFault) =>
      lockedHolds(plan, worn(plan, fault).at({ ...WARM, throttle: 0.1 }, undefined, forward[0]))!;
    expect(at({ kind: 'valve-stuck-up', part: 'lock-up-valve' })).toBeGreaterThan(50);
    const stuck = { kind: 'valve-stuck-down', part: 'lock-up-valve' } as const;
    expect(driven(plan, 0.3, stuck)).toEqual([]);
    const line = lockUpLine(worn(plan, stuck), setting, forward)!;
    expect(line.points.every((p) => p.up === null && p.down === null)).toBe(true);
  }
  expect(driven(electric, 0.3, { kind: 'solenoid-dead', part: 'sol-lock-up' })).toEqual([]);
  const open = { kind: 'solenoid-stuck-open', part: 'sol-lock-up' } as const;
  expect(driven(electric, 0.3, open).map((c) => c.rpm)).toEqual([0]);
});

test('a weaker spring locks earlier, and pulses lost at the pickup lock later by just that share', () => {
  const first = (plan: HydraulicPlan, fault?: PlanFault) =>
    lockUpLine(worn(plan, fault), { ...setting, throttles: [0.2] }, forward)!.points[0]!.up!;
  expect(
    first(byValves, { kind: 'spring-broken', part: 'lock-up-valve', amount: 0.5 }),
  ).toBeLessThan(0.95 * first(byValves));
  const swarf = { kind: 'pickup-swarf', part: 'control', amount: 0.2 } as const;
  expect(first(electric, swarf) / first(electric)).toBeCloseTo(1 / 0.8, 9);
});

test('a unit of one gear has nothing to lock up in, and a plan made without the wish has no such part', () => {
  expect(partsOf(planFor(unit), 'lock-up-valve')).toEqual([]);
  expect(lockUpLine(circuitOf(planFor(unit)), setting)).toBeNull();
  const single = { ...unit, ranges: unit.ranges.filter((r) => r.lever === 'R') };
  expect(partsOf(planFor(single, { lockUp: true }), 'lock-up-clutch')).toEqual([]);
});

test('a launch locks up where the plan says, in no gear below it, and lets go when a gear changes', () => {
  const vehicle = demoFile<Vehicle>('vehicles/yard-tractor');
  const engine = engineModel(demoFile<Engine>('engines/yard-diesel'));
  const ratios = gears.forward.map((f) => f.ratio);
  const plan = planFor(unit, {
    lockUp: true,
    idleRpm: engine.idleRpm,
    governedRpm: engine.governedRpm,
  });
  const map = oilMap(circuitOf(plan), { celsius: 80, idleRpm: engine.idleRpm, ratios }, forward);
  const locks = lockedByValves(map.lockUp!, vehicle);
  const run = launch({
    engine,
    converter: characteristicOf(demoFile<Converter>('converters/jetty-eleven'))!,
    vehicle,
    gears: ratios,
    throttle: [{ at: 0, throttle: 0.5 }],
    grade: 0,
    schedule: scheduleOf(vehicle),
    valves: gearByValves(map.shifts, vehicle, ratios.length),
    locks,
    lockUp: 600,
    fluid: fluidOf(vehicle),
    seconds: 40,
    step: 0.002,
  });
  const first = run.samples.findIndex((s) => s.locked);
  expect(run.samples[first]!.gear).toBeGreaterThanOrEqual(3);
  const rpm = (speed: number) =>
    ((speed * vehicle.finalDrive) / vehicle.tyreRadiusM) * (30 / Math.PI);
  const wanted = pointAt(map.lockUp!, 0.5).up!;
  expect(rpm(run.samples[first - 1]!.speed)).toBeLessThan(wanted * 1.01);
  expect(rpm(run.samples[first]!.speed)).toBeGreaterThan(wanted * 0.99);
  // Locked, engine and turbine turn as one.
  const last = run.samples.at(-1)!;
  expect(last.locked).toBe(true);
  expect(last.turbineRpm / last.engineRpm).toBeGreaterThan(0.98);
});

test('asked by a launch, it is off below its gear at any speed, and between both lines stays as it was', () => {
  const vehicle = demoFile<Vehicle>('vehicles/yard-tractor');
  const line = lockUpLine(circuitOf(byValves), setting)!;
  const locks = lockedByValves(line, vehicle);
  const { up, down } = pointAt(line, 0.5);
  const road = (rpm: number) => (rpm * (Math.PI / 30) * vehicle.tyreRadiusM) / vehicle.finalDrive;
  expect(locks(false, line.gear - 2, 0.5, road(2 * up!))).toBe(false);
  expect(locks(false, line.gear - 1, 0.5, road(1.01 * up!))).toBe(true);
  const between = road((up! + down!) / 2);
  expect([true, false].map((was) => locks(was, line.gear - 1, 0.5, between))).toEqual([
    true,
    false,
  ]);
  expect(locks(true, line.gear - 1, 0.5, road(0.99 * down!))).toBe(false);
});

test('a clutch that is on drags an engine down where its gear turns it slower than it can run, and nowhere else', () => {
  const at = (outputRpm: number) => ({ outputRpm, engineRpm: Math.max(700, outputRpm * 2) });
  expect([0, 200, 300, 1500].map((rpm) => draggedDown(80, 2, at(rpm)))).toEqual([
    true,
    true,
    false,
    false,
  ]);
  // Off, without such a clutch, or in neutral: nothing ties it.
  expect([draggedDown(0, 2, at(0)), draggedDown(null, 2, at(0))]).toEqual([false, false]);
  expect(draggedDown(80, undefined, at(0))).toBe(false);
});
