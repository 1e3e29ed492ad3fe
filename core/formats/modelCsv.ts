import Papa from 'papaparse';
import {
  kPerRootNewtonMetre,
  type ConverterRow,
  type Engine,
  type EngineRow,
  type PartLoad,
  type TableModel,
} from '../converter';
import { readNumberTable, type TableProblem } from './numberTable';
import { FORMULA_LIKE } from './spreadsheetCells';

/**
 * A converter's table and an engine's curves as CSV, both ways. Titles are known by their words, so that a file from
 * a test stand needs no more than "SR, TR, K" or "rpm, torque"; a title with "lbf" is read in pound-feet. Whether the
 * numbers make sense is for the document's schema to say.
 */
const NM_PER_LBF_FT = kPerRootNewtonMetre(1) ** -2;

const letters = (title: string): string => title.toLowerCase().replace(/[^a-z0-9%]/g, '');
const inPounds = (title: string): boolean => /lbf|lbft|ftlb/.test(letters(title));

export type ConverterRowsResult =
  | { readonly ok: true; readonly rows: ConverterRow[]; readonly rowNumbers: readonly number[] }
  | { readonly ok: false; readonly problems: readonly TableProblem[] };

const CONVERTER_TITLES = {
  speedRatio: /^(speedratio|sr|nu)/,
  torqueRatio: /^(torqueratio|tr|mu)/,
  capacity: /^(k|capacity)/,
} as const;

export const converterCsv = ({ rows }: TableModel): string =>
  Papa.unparse(
    {
      fields: ['speed ratio', 'torque ratio', 'K (rev/min per root N·m)'],
      data: rows.map((r) => [r.speedRatio, r.torqueRatio, r.capacity]),
    },
    { newline: '\r\n' },
  );

export function readConverterRows(text: string): ConverterRowsResult {
  const read = readNumberTable(text);
  if (!read.ok) return read;
  const { table } = read;
  const columns = Object.entries(CONVERTER_TITLES).map(([field, pattern]) => ({
    field,
    at: table.titles.findIndex((title) => pattern.test(letters(title))),
  }));
  const missing = columns.filter((c) => c.at < 0).map((c) => columnMissing(c.field));
  if (missing.length > 0) return { ok: false, problems: missing };
  const [sr, tr, k] = columns.map((c) => c.at) as [number, number, number];
  const pounds = inPounds(table.titles[k]!);
  const rows = table.rows.map((cells) => ({
    speedRatio: cells[sr]!,
    torqueRatio: cells[tr]!,
    capacity: pounds ? kPerRootNewtonMetre(cells[k]!) : cells[k]!,
  }));
  return { ok: true, rows, rowNumbers: table.rowNumbers };
}

const columnMissing = (column: string): TableProblem => ({
  code: 'csv-column-missing',
  row: 1,
  column,
  value: '',
});

export type EngineRowsResult =
  | {
      readonly ok: true;
      readonly rows: EngineRow[];
      readonly partLoad: PartLoad[];
      readonly rowNumbers: readonly number[];
    }
  | { readonly ok: false; readonly problems: readonly TableProblem[] };

/** Full throttle first, then a column for each measured opening; all at the speeds of the full-throttle rows. */
export function engineCsv({ rows, partLoad = [] }: Pick<Engine, 'rows' | 'partLoad'>): string {
  const at = (part: PartLoad, speedRpm: number) =>
    part.rows.find((r) => r.speedRpm === speedRpm)?.torqueNm ?? '';
  return Papa.unparse(
    {
      fields: [
        'speed (rev/min)',
        'torque (N·m)',
        ...partLoad.map((p) => `torque at ${Math.round(100 * p.throttle)} %`),
      ],
      data: rows.map((r) => [r.speedRpm, r.torqueNm, ...partLoad.map((p) => at(p, r.speedRpm))]),
    },
    { newline: '\r\n' },
  );
}

export function readEngineRows(text: string): EngineRowsResult {
  const read = readNumberTable(text);
  if (!read.ok) return read;
  const { table } = read;
  const speed = table.titles.findIndex((title) =>
    /^(speed|rpm|n$|nrpm|enginespeed)/.test(letters(title)),
  );
  const torques = table.titles.flatMap((title, at) =>
    at === speed || !/(torque|%|throttle|full|nm|lbf)/.test(letters(title))
      ? []
      : [{ at, throttle: openingOf(title), factor: inPounds(title) ? NM_PER_LBF_FT : 1 }],
  );
  const full = torques.find((c) => c.throttle === 1);
  const missing = [
    ...(speed < 0 ? [columnMissing('speedRpm')] : []),
    ...(full ? [] : [columnMissing('torqueNm')]),
  ];
  if (missing.length > 0 || !full) return { ok: false, problems: missing };
  const rowsOf = (column: (typeof torques)[number]): EngineRow[] =>
    table.rows.map((cells) => ({
      speedRpm: cells[speed]!,
      torqueNm: cells[column.at]! * column.factor,
    }));
  return {
    ok: true,
    rows: rowsOf(full),
    partLoad: torques
      .filter((c) => c !== full)
      .sort((a, b) => a.throttle - b.throttle)
      .map((c) => ({ throttle: c.throttle, rows: rowsOf(c) })),
    rowNumbers: table.rowNumbers,
  };
}

/** "torque at 50 %" → 0.5; without a number, full throttle. */
function openingOf(title: string): number {
  const percent = /(\d+(?:[.,]\d+)?)\s*%/.exec(title);
  return percent ? Number(percent[1]!.replace(',', '.')) / 100 : 1;
}

/** Any table of figures for a spreadsheet. */
export const figuresCsv = (
  titles: readonly string[],
  rows: readonly (readonly (number | string)[])[],
): string =>
  Papa.unparse(
    { fields: [...titles], data: rows.map((r) => [...r]) },
    { newline: '\r\n', escapeFormulae: FORMULA_LIKE },
  );
