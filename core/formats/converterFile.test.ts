import type { Converter, Engine } from '../converter';
import type { Vehicle } from '../vehicle';
import { openValue } from './index';
import { demoFile } from '../tests/demoFile';

const table = demoFile<Converter>('converters/slipway-table');
const blades = demoFile<Converter>('converters/jetty-eleven');
const engine = demoFile<Engine>('engines/yard-diesel');

const problems = (value: unknown) => {
  const opened = openValue(value);
  if (opened.ok) return [];
  if (opened.failure.cause !== 'invalid') return [opened.failure.cause];
  return opened.failure.problems.map((p) => `${p.path}: ${p.code}`);
};

const rows = table.model.kind === 'table' ? table.model.rows : [];
const withRow = (k: number, change: object) => ({
  ...table,
  model: { kind: 'table', rows: rows.with(k, { ...rows[k]!, ...change }) },
});

test('the demo converters and engines open', () => {
  for (const document of [table, blades, engine]) expect(problems(document)).toEqual([]);
});

test('a table is refused at its row', () => {
  expect(problems(withRow(3, { speedRatio: 0.1 }))).toContain(
    'model.rows[3].speedRatio: must-rise',
  );
  expect(problems(withRow(0, { speedRatio: 0.05 }))).toEqual([
    'model.rows[0].speedRatio: starts-at-stall',
  ]);
  expect(problems(withRow(12, { speedRatio: 1.2, torqueRatio: 0.8 }))).toEqual([
    'model.rows[12].speedRatio: too_big',
  ]);
  expect(problems(withRow(0, { torqueRatio: 0.9 }))).toEqual([
    'model.rows[0].torqueRatio: stall-multiplies',
  ]);
  expect(problems(withRow(9, { torqueRatio: 1.3 }))).toEqual([
    'model.rows[9].torqueRatio: more-out-than-in',
  ]);
  expect(problems(withRow(2, { capacity: 0 }))).toEqual(['model.rows[2].capacity: too_small']);
  expect(problems(withRow(2, { capacity: '120,5' }))).toEqual([
    'model.rows[2].capacity: invalid_type',
  ]);
  expect(problems({ ...table, model: { kind: 'table', rows: [] } })).toEqual([
    'model.rows: too_few',
  ]);
});

test('blades that can’t be are refused where they stand', () => {
  const model = blades.model as Extract<Converter['model'], { kind: 'streamline' }>;
  const changed = (change: object) => ({ ...blades, model: { ...model, ...change } });
  expect(problems(changed({ area: -1 }))).toEqual(['model.area: too_small']);
  expect(problems(changed({ pump: { ...model.pump, exitAngle: 95 } }))).toEqual([
    'model.pump.exitAngle: too_big',
  ]);
  expect(problems(changed({ stator: { ...model.stator, exitRadius: 0 } }))).toEqual([
    'model.stator.exitRadius: too_small',
  ]);
  expect(problems({ ...blades, lockUpCapacity: -5 })).toEqual(['lockUpCapacity: too_small']);
  expect(problems({ ...blades, blades: 27 })[0]).toContain('unrecognized_keys');
});

test('an engine is refused at its row, and above idle its governor must stand', () => {
  const out = { ...engine, rows: engine.rows.with(2, { speedRpm: 700, torqueNm: 200 }) };
  expect(problems(out)).toEqual(['rows[2].speedRpm: must-rise']);
  expect(problems({ ...engine, governedRpm: 500 })).toEqual(['governedRpm: above-idle']);
  expect(problems({ ...engine, rows: engine.rows.slice(0, 1) })).toEqual(['rows: too_few']);
  const negative = { ...engine, rows: engine.rows.with(1, { speedRpm: 800, torqueNm: -3 }) };
  expect(problems(negative)).toEqual(['rows[1].torqueNm: too_small']);
  expect(problems({ ...engine, drag: 2 })).toEqual(['drag: too_big']);
});

test('a vehicle with no mass, no tyre or a negative drag is refused at the field', () => {
  const vehicle = demoFile<Vehicle>('vehicles/yard-tractor');
  expect(problems(vehicle)).toEqual([]);
  expect(problems({ ...vehicle, massKg: -2400 })).toEqual(['massKg: too_small']);
  expect(problems({ ...vehicle, tyreRadiusM: 0 })).toEqual(['tyreRadiusM: too_small']);
  expect(problems({ ...vehicle, dragAreaM2: -1, rolling: 3 })).toEqual([
    'dragAreaM2: too_small',
    'rolling: too_big',
  ]);
  expect(problems({ ...vehicle, finalDrive: 'four' })).toEqual(['finalDrive: invalid_type']);
});
