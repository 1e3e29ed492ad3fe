import { sameStudent, type ClassBook, type ClassRow } from './classBook';

/** One lesson's class book, for a table over several. */
export interface TermLesson {
  readonly id: string;
  readonly title: string;
  readonly book: ClassBook;
}

/** A student across lessons: first tries only, of the record that counts where there are several. */
export interface TermRow {
  readonly student: string;
  /** 0 to 1 by lesson, over all of its questions; `null` where this student has no record. */
  readonly scores: readonly (number | null)[];
  /** Mean of the lessons that were begun. */
  readonly mean: number;
}

/** Every student of any of the lessons, by name. */
export function termRows(lessons: readonly TermLesson[]): TermRow[] {
  const students: string[] = [];
  for (const { book } of lessons)
    for (const { attempt } of book.rows)
      if (!students.some((s) => sameStudent(s, attempt.student)))
        students.push(attempt.student.trim());
  return students
    .map((student): TermRow => {
      const scores = lessons.map(({ book }) => {
        const row = countingRow(book, student);
        return row ? scoreOf(row) : null;
      });
      const begun = scores.filter((s) => s !== null);
      return {
        student,
        scores,
        mean: begun.reduce((a, b) => a + b, 0) / Math.max(1, begun.length),
      };
    })
    .sort((a, b) => (a.student.toLowerCase() < b.student.toLowerCase() ? -1 : 1));
}

const countingRow = ({ rows }: ClassBook, student: string): ClassRow | undefined =>
  rows.find((r) => r.counts && sameStudent(r.attempt.student, student));

/** What was not answered, and what had to be set aside, is nothing. */
const scoreOf = ({ cells }: ClassRow): number =>
  cells.reduce((sum, cell) => sum + (cell?.score ?? 0), 0) / Math.max(1, cells.length);
