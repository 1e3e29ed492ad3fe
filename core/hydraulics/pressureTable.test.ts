import { demoUnit } from '../tests/demoFile';
import { circuitOf } from './circuit';
import { planFor } from './generate';
import { gearsOf } from './gears';
import { partsOf } from './plan';
import { withPlanFaults, type PlanFault } from './planFaults';
import { pressureTable, toldApart } from './pressureTable';
import { shiftMap } from './shiftMap';
import { USUAL_PRESSURES } from './wishes';

const unit = demoUnit('quay-four');
const gears = gearsOf(unit);
const plan = planFor(unit);
const setting = { gears, celsius: 80, idleRpm: 700 };
const tableWith = (fault?: PlanFault) => {
  const worn = withPlanFaults(plan, fault ? [fault] : []);
  return pressureTable(circuitOf(worn.plan, worn.condition), setting);
};
const row = (table: ReturnType<typeof tableWith>, line: string) =>
  table.rows.find((r) => r.line === line)!.readings;

// Regulator by hand: p = F/A at idle, and in reverse over that by A/(A − A_rev).
test('the line reads what its regulator asks for, more in reverse and at a stall', () => {
  const table = tableWith();
  expect(table.conditions).toEqual(['idle', 'idle-back', 'stall', 'stall-back', 'rolling']);
  const [idle, back, stall, stallBack] = row(table, 'line') as [number, number, number, number];
  const [regulator] = partsOf(plan, 'regulator');
  expect(idle / (regulator!.spring / regulator!.area)).toBeCloseTo(1, 2);
  expect(back / idle).toBeCloseTo(USUAL_PRESSURES.reverseBoost, 2);
  expect(stall / USUAL_PRESSURES.full).toBeCloseTo(1, 1);
  expect(stallBack).toBeGreaterThan(1.2 * stall);
});

test('each element reads the line where the chart has it on, and nothing where not', () => {
  const table = tableWith();
  const on = (condition: number) =>
    table.rows.flatMap((r) => (r.element && r.readings[condition]! > 50e3 ? [r.element] : []));
  expect(on(0)).toEqual(['C1']);
  expect(on(1)).toEqual(['C2', 'B2']);
  expect(on(4).sort()).toEqual([...gears.forward.at(-1)!.range.apply].sort());
  const rolling = row(table, 'governor')[4]!;
  expect(rolling).toBeGreaterThan(100e3);
  expect(row(table, 'governor')[0]).toBeLessThan(1e3);
});

// Common practice, no source: a slack cable is low under the pedal and right at idle; a weak regulator spring is low everywhere.
test('a slack cable and a broken regulator spring are split at idle, not at a stall alone', () => {
  const slack = row(tableWith({ kind: 'cable-slack', part: 'throttle-valve' }), 'line');
  const weak = row(tableWith({ kind: 'spring-broken', part: 'regulator' }), 'line');
  const sound = row(tableWith(), 'line');
  expect(toldApart(slack[0]!, sound[0]!)).toBe(false);
  expect(toldApart(slack[2]!, sound[2]!)).toBe(true);
  expect(toldApart(weak[0]!, sound[0]!)).toBe(true);
  expect(toldApart(weak[0]!, slack[0]!)).toBe(true);
});

test('a unit without reverse is not tried in it', () => {
  expect(gears.reverse).toBe('R');
  const table = pressureTable(circuitOf(plan), { ...setting, gears: { ...gears, reverse: null } });
  expect(table.conditions).toEqual(['idle', 'stall', 'rolling']);
  expect(table.rows.every((r) => r.readings.length === 3)).toBe(true);
});

test('rolling, top gear stays in where its valve has it, though it would not come at that speed', () => {
  const late = planFor(unit, { governedRpm: 5200 });
  const table = pressureTable(circuitOf(late), setting);
  const { points } = shiftMap(circuitOf(late), {
    celsius: 80,
    idleRpm: 700,
    ratios: gears.forward.map((f) => f.ratio),
    throttles: [0.3],
  }).at(-1)!;
  // Rolling at 2000 rev/min: between the speed at which it comes and the one at which it goes.
  expect([points[0]!.up! > 2000, points[0]!.down! < 2000]).toEqual([true, true]);
  const on = table.rows.flatMap((r) => (r.element && r.readings[4]! > 50e3 ? [r.element] : []));
  expect(on.sort()).toEqual([...gears.forward.at(-1)!.range.apply].sort());
});

// Common practice, no source: a lock-up that is held on shows at its release port, which has no pressure at idle.
test('a lock-up valve stuck up is split from a sound one at the release port alone', () => {
  const locks = planFor(unit, { lockUp: true });
  const stuck = withPlanFaults(locks, [{ kind: 'valve-stuck-up', part: 'lock-up-valve' }]);
  const [sound, faulty] = [
    pressureTable(circuitOf(locks), setting),
    pressureTable(circuitOf(stuck.plan, stuck.condition), setting),
  ];
  const split = sound.rows.flatMap((r, k) =>
    toldApart(r.readings[0]!, faulty.rows[k]!.readings[0]!) ? [r.line] : [],
  );
  expect(split).toEqual(['release']);
});
