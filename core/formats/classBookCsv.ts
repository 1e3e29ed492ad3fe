import Papa from 'papaparse';
import type { ClassBook, SetAside, Misconception } from '../lesson';
import { FORMULA_LIKE } from './spreadsheetCells';

/**
 * The class book as CSV (RFC 4180: CRLF, quoted where needed). Cells that a spreadsheet would run as a
 * formula are defused with a leading apostrophe.
 * @param words column titles and the wording of answers, from the catalogue
 */
export interface CsvWords {
  readonly columns: readonly string[];
  answer(cell: NonNullable<ClassBook['rows'][number]['cells'][number]>): string;
  misconception(code: Misconception): string;
  setAside(why: SetAside): string;
  question(index: number): string;
}

export function classBookCsv(lessonTitle: string, book: ClassBook, words: CsvWords): string {
  const rows = book.rows.flatMap(({ attempt, cells }) =>
    cells.flatMap((cell, k) =>
      cell
        ? [
            [
              attempt.student,
              lessonTitle,
              words.question(k),
              words.answer(cell),
              cell.score?.toFixed(2) ?? '',
              cell.answer.confidence,
              cell.setAside
                ? words.setAside(cell.setAside)
                : (cell.why?.named ?? []).map((n) => words.misconception(n.slip)).join(' / '),
              String(cell.practice),
              cell.answer.words ?? '',
              cell.answer.at,
            ],
          ]
        : [],
    ),
  );
  return Papa.unparse(
    { fields: [...words.columns], data: rows },
    {
      newline: '\r\n',
      escapeFormulae: FORMULA_LIKE,
    },
  );
}
