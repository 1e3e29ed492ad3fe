import { readFileSync } from 'node:fs';
import type { Unit } from '../geartrain';
import { applyChartCsv, openText, openValue, readApplyChart } from './index';

const text = readFileSync('demo/units/skerry-three.json', 'utf8');
const unit = JSON.parse(text) as Unit;

const problemsOf = (value: unknown) => {
  const opened = openValue(value, 'fair-sprocket/unit');
  if (opened.ok) return [];
  if (opened.failure.cause !== 'invalid') return [opened.failure.cause];
  return opened.failure.problems.map((p) => `${p.path}: ${p.code}`);
};

const withTeeth = (sun: number) => ({
  ...unit,
  gearsets: unit.gearsets.map((set, k) =>
    k === 0 ? { ...set, teeth: { ...set.teeth, sun } } : set,
  ),
});

test.each([0, -3, 1e9, 12.5, NaN])('teeth of %p are refused at their path', (sun) => {
  expect(problemsOf(withTeeth(sun)).some((p) => p.startsWith('gearsets[0].teeth.sun: '))).toBe(
    true,
  );
});

test('what contradicts itself inside a unit is refused, all of it at once', () => {
  expect(
    problemsOf({
      ...unit,
      input: 'nobody',
      members: [...unit.members, unit.members[0]],
      ranges: [...unit.ranges, { id: 'X', lever: 'D', gear: 'X', apply: ['F1', 'Q9'] }],
    }),
  ).toEqual(
    expect.arrayContaining([
      'input: unknown-member',
      `members[${unit.members.length}].id: duplicate-id`,
      `ranges[${unit.ranges.length}].apply[0]: one-way-listed`,
      `ranges[${unit.ranges.length}].apply[1]: unknown-element`,
    ]),
  );
  const headless = { ...unit, input: undefined };
  expect(problemsOf(headless)).toEqual(['input: invalid_type']);
});

test('500 members, and more one-way clutches than can be settled, are findings and no hang', () => {
  const members = Array.from({ length: 500 }, (_, k) => ({ id: `m${k}`, name: '' }));
  expect(problemsOf({ ...unit, members: [...unit.members, ...members] })).toContain(
    'members: too_many',
  );
  const ways = Array.from({ length: 12 }, (_, k) => ({
    id: `W${k}`,
    name: '',
    kind: 'one-way',
    between: ['car2', 'case'],
  }));
  expect(problemsOf({ ...unit, elements: [...unit.elements, ...ways] })).toEqual([
    'elements: one-ways-too-many',
  ]);
});

test('a chart goes out as CSV and comes back the same', () => {
  const csv = applyChartCsv(unit, () => '2.44');
  expect(csv.split('\r\n')[0]).toMatch(/^id,lever,gear,C1,/);
  expect(readApplyChart(csv, unit)).toEqual({ ok: true, ranges: unit.ranges });
  const semicolons = csv.replaceAll(',', ';').replaceAll('x', 'X');
  expect(readApplyChart(`\uFEFF${semicolons}`, unit)).toEqual({ ok: true, ranges: unit.ranges });
});

test('a chart without ids gets them, and formulas in names are defused on the way out', () => {
  const result = readApplyChart('lever,gear,C1\nD,1,x\nD,1,\nR,R,1\n', unit);
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  expect(result.ranges.map((r) => [r.id, r.apply])).toEqual([
    ['D1', ['C1']],
    ['D1-2', []],
    ['R', ['C1']],
  ]);
  const sly = { ...unit, ranges: [{ id: 'a', lever: '=1+1', gear: '1', apply: [] }] };
  const csv = applyChartCsv(sly, () => '');
  expect(csv).toContain("'=1+1");
  expect(readApplyChart(csv, sly)).toEqual({ ok: true, ranges: sly.ranges });
});

test('what is wrong with a chart is told by row and column', () => {
  const codes = (csv: string) => {
    const result = readApplyChart(csv, unit);
    return result.ok ? [] : result.problems.map((p) => `${p.row} ${p.column} ${p.code}`);
  };
  expect(codes('')).toEqual(['0  csv-empty']);
  expect(codes('gear,Z9\n1,x\n')).toEqual([
    '1 lever csv-column-missing',
    '1 Z9 csv-column-unknown',
  ]);
  expect(codes('lever,gear,C1\nD,1,maybe\nD,2,x\n')).toEqual(['2 C1 csv-mark']);
  expect(codes('id,lever,gear\na,D,1\na,D,2\n')).toEqual(['3 id csv-duplicate-id']);
  expect(codes(`lever,gear\n${'D,1\n'.repeat(100)}`)).toEqual(['0  csv-too-many-rows']);
});

test('the demo unit opens as it is', () => {
  expect(openText(text, 'fair-sprocket/unit').ok).toBe(true);
});
