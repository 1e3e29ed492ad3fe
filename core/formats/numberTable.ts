import Papa from 'papaparse';
import { MOST_JSON_BYTES, MOST_TABLE_ROWS } from './limits';

/**
 * A table of numbers from CSV text (RFC 4180; a semicolon or tab between cells is understood too, and then a comma
 * may stand for the decimal point). Nothing is taken over when anything is wrong; all problems are listed, each with
 * its row.
 */
export interface TableProblem {
  readonly code:
    | 'csv-empty'
    | 'csv-too-large'
    | 'csv-too-many-rows'
    | 'csv-column-missing'
    | 'csv-number'
    | 'csv-too-many-cells';
  /** Row in the file, 1 for the titles; 0 for the whole. */
  readonly row: number;
  readonly column: string;
  readonly value: string;
}

export interface NumberTable {
  readonly titles: readonly string[];
  /** One number for each title. */
  readonly rows: readonly (readonly number[])[];
  /** Row in the file that each came from. */
  readonly rowNumbers: readonly number[];
}

export type NumberTableResult =
  | { readonly ok: true; readonly table: NumberTable }
  | { readonly ok: false; readonly problems: readonly TableProblem[] };

export function readNumberTable(text: string): NumberTableResult {
  const whole = (code: TableProblem['code'], value = ''): NumberTableResult => ({
    ok: false,
    problems: [{ code, row: 0, column: '', value }],
  });
  if (text.length > MOST_JSON_BYTES) return whole('csv-too-large');
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), {
    preview: MOST_TABLE_ROWS + 3,
  });
  const isBlank = (cells: readonly string[]) => cells.every((c) => c.trim() === '');
  const lines = data
    .map((cells, k) => ({ cells, row: k + 1 }))
    .filter(({ cells }) => !isBlank(cells));
  const [head, ...body] = lines;
  if (!head || body.length === 0) return whole('csv-empty');
  if (body.length > MOST_TABLE_ROWS) return whole('csv-too-many-rows', String(MOST_TABLE_ROWS));
  const titles = head.cells.map((c) => c.trim());
  const problems: TableProblem[] = [];
  const rows = body.map(({ cells, row }) => {
    if (cells.slice(titles.length).some((c) => c.trim() !== ''))
      problems.push({ code: 'csv-too-many-cells', row, column: '', value: cells.join(' ') });
    return titles.map((column, k) => {
      const value = (cells[k] ?? '').trim();
      const number = numberOf(value);
      if (number === null)
        problems.push({ code: 'csv-number', row, column, value: value.slice(0, 20) });
      return number ?? 0;
    });
  });
  if (problems.length > 0) return { ok: false, problems };
  return { ok: true, table: { titles, rows, rowNumbers: body.map((b) => b.row) } };
}

/** "0,85" and "0.85", "1 500" and "1500"; `null` for anything else. */
function numberOf(text: string): number | null {
  const plain = text
    .replace(/[\s\u2009\u202f\u00a0]/g, '')
    .replace(/^'/, '')
    .replace('\u2212', '-');
  if (!/^[+-]?(\d+([.,]\d*)?|[.,]\d+)(e[+-]?\d+)?$/i.test(plain)) return null;
  return Number(plain.replace(',', '.'));
}
