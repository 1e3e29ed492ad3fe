import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { lessonHash } from '../../core/formats';
import { subjectOf, type ClassBook, type ClassCell, type Lesson } from '../../core/lesson';
import { shortFor } from '../lessons/subjectWords';
import { formatNumber, useNumbers } from '../shared/numbers';
import type { ChosenCell } from './CellDetail';
import { questionName } from './questionName';

type Mark = 'right' | 'partly' | 'wrong';
const MARKS: Readonly<Record<Mark, string>> = { right: '✓', partly: '◐', wrong: '✗' };

const markOf = (score: number): Mark => (score === 1 ? 'right' : score > 0 ? 'partly' : 'wrong');

interface Props {
  lesson: Lesson;
  book: ClassBook;
  chosen: ChosenCell | null;
  onChoose: (cell: ChosenCell | null) => void;
}

/** Students down, questions across; each cell is what was said first, marked by colour and sign. */
export function Ledger({ lesson, book, chosen, onChoose }: Props) {
  const { t } = useTranslation();
  const hash = useMemo(() => lessonHash(lesson), [lesson]);
  return (
    <div
      className="ledger-scroll"
      tabIndex={0}
      role="region"
      aria-label={t('classBook.ledger', { title: lesson.title })}
    >
      <table className="ledger">
        <thead>
          <tr>
            <th scope="col">{t('records.student')}</th>
            {book.questions.map((q, k) => (
              <th key={q.id} scope="col">
                {k + 1} {questionName(t, book, k)}
              </th>
            ))}
            <th scope="col">{t('classBook.total')}</th>
          </tr>
        </thead>
        <tbody>
          {book.rows.map(({ attempt, cells, total }) => (
            <tr key={attempt.id}>
              <th scope="row">
                {attempt.student}
                {attempt.lesson.hash !== hash && (
                  <span className="ledger-version">{t('classBook.otherVersion')}</span>
                )}
              </th>
              {cells.map((cell, k) => (
                <td key={book.questions[k]!.id} data-score={cell ? markOf(cell.score) : undefined}>
                  {cell ? (
                    <LedgerCell
                      lesson={lesson}
                      cell={cell}
                      book={book}
                      column={k}
                      pressed={chosen?.attemptId === attempt.id && chosen.column === k}
                      onPress={(on) => onChoose(on ? { attemptId: attempt.id, column: k } : null)}
                      student={attempt.student}
                    />
                  ) : (
                    <span className="ledger-none">–</span>
                  )}
                </td>
              ))}
              <td className="ledger-total">{formatNumber(total * 100, 0)} %</td>
            </tr>
          ))}
        </tbody>
        <tfoot>
          <tr>
            <th scope="row">{t('classBook.class')}</th>
            {book.columns.map(({ meanScore }, k) => (
              <td key={book.questions[k]!.id}>
                {meanScore === null ? '–' : `${formatNumber(meanScore * 100, 0)} %`}
              </td>
            ))}
            <td />
          </tr>
        </tfoot>
      </table>
    </div>
  );
}

interface CellProps {
  lesson: Lesson;
  cell: ClassCell;
  book: ClassBook;
  column: number;
  student: string;
  pressed: boolean;
  onPress: (on: boolean) => void;
}

function LedgerCell({ lesson, cell, book, column, student, pressed, onPress }: CellProps) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const { question } = book.questions[column]!;
  const subject = subjectOf(lesson, question, cell.answer);
  const mark = markOf(cell.score);
  return (
    <button
      type="button"
      className="ledger-cell"
      aria-pressed={pressed}
      onClick={() => onPress(!pressed)}
    >
      <span className="ledger-mark" aria-hidden="true">
        {MARKS[mark]}
      </span>
      <span className="visually-hidden">
        {student}, {questionName(t, book, column)}:{' '}
      </span>
      {shortFor(t, numbers, question, subject, cell.answer.answer, cell.score)}
      {cell.differs && ' !'}
      <span className="visually-hidden">, {t(`marks.${mark}`)}</span>
    </button>
  );
}
