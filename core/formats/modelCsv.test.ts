import type { Converter, Engine, TableModel } from '../converter';
import { converterCsv, engineCsv, figuresCsv, readConverterRows, readEngineRows } from './index';
import { demoFile } from '../tests/demoFile';

const table = demoFile<Converter>('converters/slipway-table').model as TableModel;
const engine = demoFile<Engine>('engines/pilot-petrol');

test('what is written is read back', () => {
  expect(readConverterRows(converterCsv(table))).toMatchObject({ ok: true, rows: table.rows });
  const partLoad = [
    { throttle: 0.5, rows: engine.rows.map((r) => ({ ...r, torqueNm: r.torqueNm / 2 })) },
  ];
  expect(readEngineRows(engineCsv({ rows: engine.rows, partLoad }))).toMatchObject({
    ok: true,
    rows: engine.rows,
    partLoad,
  });
});

test('decimal commas, semicolons, thin spaces and a byte order mark are understood', () => {
  const text = '\uFEFFSR;TR;K\r\n0;2,05;118,5\r\n0,5;1,45;1 280\r\n\r\n';
  expect(readConverterRows(text)).toEqual({
    ok: true,
    rows: [
      { speedRatio: 0, torqueRatio: 2.05, capacity: 118.5 },
      { speedRatio: 0.5, torqueRatio: 1.45, capacity: 1280 },
    ],
    rowNumbers: [2, 3],
  });
});

// By hand: K = 174.66 rev/min/√lbf·ft is 150 per √N·m; 100 lbf·ft = 135.58 N·m.
test('pound-feet in a title are turned into newton metres', () => {
  const converter = readConverterRows('SR,TR,K (rpm per sqrt lbf-ft)\n0,2,174.66\n0.9,1,300\n');
  expect(converter.ok && converter.rows[0]!.capacity).toBeCloseTo(150, 2);
  const read = readEngineRows('rpm,torque lbf-ft\n1000,100\n2000,90\n');
  expect(read.ok && read.rows[0]!.torqueNm).toBeCloseTo(135.58, 2);
});

test('each fault is a finding at its row', () => {
  const problems = (text: string) => {
    const result = readConverterRows(text);
    return result.ok ? [] : result.problems.map((p) => [p.code, p.row, p.column]);
  };
  expect(problems('')).toEqual([['csv-empty', 0, '']]);
  expect(problems('SR,TR,K\n')).toEqual([['csv-empty', 0, '']]);
  expect(problems('SR,K\n0,100\n')).toEqual([['csv-column-missing', 1, 'torqueRatio']]);
  expect(problems('SR,TR,K\n0,2,100\n0.5,abc,\n')).toEqual([
    ['csv-number', 3, 'TR'],
    ['csv-number', 3, 'K'],
  ]);
  // Decimal commas between comma-separated cells make too many cells.
  expect(problems('SR,TR,K\n0,5,1,9,120\n')).toEqual([['csv-too-many-cells', 2, '']]);
  const long = `SR,TR,K\n${'0,1,100\n'.repeat(501)}`;
  expect(problems(long)).toEqual([['csv-too-many-rows', 0, '']]);
  const bare = readEngineRows('rpm,load\n1000,2\n');
  expect(bare.ok ? [] : bare.problems.map((p) => p.column)).toEqual(['torqueNm']);
});

test('figures for a spreadsheet can’t smuggle formulas in', () => {
  expect(figuresCsv(['a', '=1+1'], [[1, '=cmd']])).toBe('a,"\'=1+1"\r\n1,"\'=cmd"');
});
