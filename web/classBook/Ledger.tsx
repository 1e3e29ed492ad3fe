import dayjs from 'dayjs';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { lessonHash } from '../../core/formats';
import {
  sameStudent,
  type ClassBook,
  type ClassCell,
  type Lesson,
  type SealVerdict,
} from '../../core/lesson';
import { shortFor } from '../lessons/families/words';
import { formatNumber, useNumbers } from '../shared/numbers';
import type { ChosenCell } from './CellDetail';
import { questionName } from './questionName';

type Mark = 'right' | 'partly' | 'wrong' | 'aside';
const MARKS: Readonly<Record<Mark, string>> = { right: '✓', partly: '◐', wrong: '✗', aside: '?' };

const markOf = ({ score }: ClassCell): Mark =>
  score === null ? 'aside' : score === 1 ? 'right' : score > 0 ? 'partly' : 'wrong';

interface Props {
  lesson: Lesson;
  book: ClassBook;
  sealOf: (attemptId: string) => SealVerdict;
  chosen: ChosenCell | null;
  onChoose: (cell: ChosenCell | null) => void;
  /** Of several records of one student this one counts. */
  onCount: (attemptId: string) => void;
}

/** Students down, questions across; each cell is what was said first, marked by colour and sign. */
export function Ledger({ lesson, book, sealOf, chosen, onChoose, onCount }: Props) {
  const { t } = useTranslation();
  const hash = useMemo(() => lessonHash(lesson), [lesson]);
  const keyOf = (id: string) => {
    const verdict = sealOf(id);
    return verdict.kind === 'none' ? null : verdict.key;
  };
  /** Other students whose records were sealed on the same device. */
  const sharing = (id: string): string[] => {
    const own = book.rows.find((r) => r.attempt.id === id)!.attempt;
    const key = keyOf(id);
    const others = book.rows
      .map((r) => r.attempt)
      .filter((a) => key !== null && keyOf(a.id) === key && !sameStudent(a.student, own.student))
      .map((a) => a.student);
    return [...new Set(others)];
  };
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
          {book.rows.map(({ attempt, cells, total, twins, counts }) => (
            <tr key={attempt.id} data-counts={counts}>
              <th scope="row">
                {attempt.student}
                {attempt.lesson.hash !== hash && (
                  <span className="ledger-version">{t('classBook.otherVersion')}</span>
                )}
                <SealNote verdict={sealOf(attempt.id)} sharing={sharing(attempt.id)} />
                {(attempt.setAside?.length ?? 0) > 0 && (
                  <span className="ledger-version">
                    {t('classBook.unread', { count: attempt.setAside!.length })}
                  </span>
                )}
                {twins.length > 0 && (
                  <label className="ledger-counts">
                    <input
                      type="radio"
                      name={`counts ${attempt.student.trim().toLowerCase()}`}
                      checked={counts}
                      onChange={() => onCount(attempt.id)}
                    />{' '}
                    {t('classBook.countsOf', {
                      count: twins.length + 1,
                      begun: dayjs(attempt.startedAt).format('D MMM, HH:mm'),
                    })}
                  </label>
                )}
              </th>
              {cells.map((cell, k) => (
                <td key={book.questions[k]!.id} data-score={cell ? markOf(cell) : undefined}>
                  {cell ? (
                    <LedgerCell
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

/** What the seal of a record shows; nothing is said of a record without one. */
function SealNote({ verdict, sharing }: { verdict: SealVerdict; sharing: readonly string[] }) {
  const { t } = useTranslation();
  return (
    <>
      {verdict.kind === 'whole' && (
        <span className="ledger-version">{t('classBook.seal.whole')}</span>
      )}
      {verdict.kind === 'edited' && (
        <span className="ledger-version ledger-edited">
          {verdict.from === null
            ? t('classBook.seal.broken')
            : t('classBook.seal.editedFrom', { n: verdict.from + 1 })}
        </span>
      )}
      {sharing.length > 0 && (
        <span className="ledger-version">
          {t('classBook.seal.sameDevice', { students: sharing.join(', ') })}
        </span>
      )}
    </>
  );
}

interface CellProps {
  cell: ClassCell;
  book: ClassBook;
  column: number;
  student: string;
  pressed: boolean;
  onPress: (on: boolean) => void;
}

function LedgerCell({ cell, book, column, student, pressed, onPress }: CellProps) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const { question, subject, answer, score } = cell;
  const mark = markOf(cell);
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
      {score === null
        ? t('classBook.setAsideShort')
        : shortFor(t, numbers, question, subject, answer.answer, score)}
      {cell.differs && ' !'}
      <span className="visually-hidden">, {t(`marks.${mark}`)}</span>
    </button>
  );
}
