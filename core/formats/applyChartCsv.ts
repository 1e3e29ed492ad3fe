import Papa from 'papaparse';
import type { Range, Unit } from '../geartrain';
import { MOST_JSON_BYTES, MOST_NAME, MOST_RANGES } from './limits';
import { FORMULA_LIKE } from './spreadsheetCells';

/**
 * An apply chart as CSV, both ways (RFC 4180; a semicolon or tab between cells is understood too). A row a
 * range, a column a controlled element; `x` is applied. One-way clutches have no column, since they find out
 * for themselves. The ratio is written for readers and not read back.
 */
const COLUMNS = ['id', 'lever', 'gear'] as const;
const READ_ONLY = ['ratio'];
const ON = ['x', '1', 'yes', 'on', '●', '•'];
const OFF = ['', '0', 'no', 'off', '-', '–'];

export interface ChartProblem {
  readonly code:
    | 'csv-empty'
    | 'csv-too-large'
    | 'csv-too-many-rows'
    | 'csv-column-missing'
    | 'csv-column-unknown'
    | 'csv-mark'
    | 'csv-duplicate-id'
    | 'csv-too-long';
  /** Row in the file, 1 for the titles; 0 for the whole. */
  readonly row: number;
  readonly column: string;
  readonly value: string;
}

export type ChartResult =
  | { readonly ok: true; readonly ranges: Range[] }
  | { readonly ok: false; readonly problems: readonly ChartProblem[] };

const controlled = (unit: Unit) => unit.elements.filter((e) => e.kind !== 'one-way');

/** @param ratioOf a range's ratio in words; empty where it does not drive */
export function applyChartCsv(unit: Unit, ratioOf: (range: Range) => string): string {
  const elements = controlled(unit);
  return Papa.unparse(
    {
      fields: [...COLUMNS, ...elements.map((e) => e.id), ...READ_ONLY],
      data: unit.ranges.map((range) => [
        range.id,
        range.lever,
        range.gear,
        ...elements.map((e) => (range.apply.includes(e.id) ? 'x' : '')),
        ratioOf(range),
      ]),
    },
    { newline: '\r\n', escapeFormulae: FORMULA_LIKE },
  );
}

/** Reads a chart for a unit. Nothing is taken over when anything is wrong; all problems are listed. */
export function readApplyChart(text: string, unit: Unit): ChartResult {
  const whole = (code: ChartProblem['code'], value = ''): ChartResult => ({
    ok: false,
    problems: [{ code, row: 0, column: '', value }],
  });
  if (text.length > MOST_JSON_BYTES) return whole('csv-too-large');
  const { data, meta } = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (title) => title.trim(),
    preview: MOST_RANGES + 1,
  });
  if (data.length === 0) return whole('csv-empty');
  if (data.length > MOST_RANGES) return whole('csv-too-many-rows', String(MOST_RANGES));
  const problems = columnProblems(meta.fields ?? [], unit);
  if (problems.length > 0) return { ok: false, problems };
  const ranges: Range[] = [];
  data.forEach((cells, k) => {
    const row = k + 2;
    const read = readRow(cells, row, unit, ranges);
    problems.push(...read.problems);
    ranges.push(read.range);
  });
  return problems.length > 0 ? { ok: false, problems } : { ok: true, ranges };
}

function columnProblems(fields: readonly string[], unit: Unit): ChartProblem[] {
  const known: string[] = [...COLUMNS, ...READ_ONLY, ...controlled(unit).map((e) => e.id)];
  const needed = ['lever', 'gear'];
  const at = (code: ChartProblem['code'], column: string) => ({ code, row: 1, column, value: '' });
  return [
    ...needed.filter((c) => !fields.includes(c)).map((c) => at('csv-column-missing', c)),
    ...fields.filter((c) => !known.includes(c)).map((c) => at('csv-column-unknown', c)),
  ];
}

function readRow(
  cells: Readonly<Record<string, string>>,
  row: number,
  unit: Unit,
  before: readonly Range[],
): { range: Range; problems: ChartProblem[] } {
  const problems: ChartProblem[] = [];
  const text = (column: string) => (cells[column] ?? '').trim().replace(/^'/, '');
  for (const column of ['lever', 'gear'])
    if (text(column).length > MOST_NAME)
      problems.push({ code: 'csv-too-long', row, column, value: text(column).slice(0, 20) });
  const apply = controlled(unit)
    .filter(({ id }) => {
      const mark = text(id).toLowerCase();
      if (!ON.includes(mark) && !OFF.includes(mark))
        problems.push({ code: 'csv-mark', row, column: id, value: text(id).slice(0, 20) });
      return ON.includes(mark);
    })
    .map((e) => e.id);
  const taken = (id: string) => before.some((r) => r.id === id);
  const named = text('id').replace(/[^A-Za-z0-9._-]/g, '');
  const wanted = named || rangeId(text('lever'), text('gear'), taken);
  if (taken(wanted)) problems.push({ code: 'csv-duplicate-id', row, column: 'id', value: wanted });
  return { range: { id: wanted, lever: text('lever'), gear: text('gear'), apply }, problems };
}

/** An id from a lever place and a gear that is not taken yet. */
export function rangeId(lever: string, gear: string, taken: (id: string) => boolean): string {
  const letters = (s: string) => s.replace(/[^A-Za-z0-9]/g, '');
  const stem = (lever === gear ? letters(lever) : letters(lever) + letters(gear)) || 'range';
  for (let n = 1; ; n++) {
    const id = n === 1 ? stem : `${stem}-${n}`;
    if (!taken(id)) return id;
  }
}
