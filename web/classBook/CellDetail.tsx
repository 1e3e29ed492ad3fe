import { Button } from 'antd';
import { useTranslation } from 'react-i18next';
import type { ClassBook } from '../../core/lesson';
import { useAppSelector } from '../state/hooks';
import { answerFor, keyLabelFor, promptFor, rightFor, whyFor } from '../lessons/families/words';
import { useNumbers } from '../shared/numbers';
import { selectAttempts } from '../state/attemptsSlice';
import { useRemoveAttempt } from '../lessons/useRemoveAttempt';

export interface ChosenCell {
  readonly attemptId: string;
  readonly column: number;
}

/** Characters shown of an answer that can't be put into words. */
const MOST_RAW = 300;

interface Props {
  book: ClassBook;
  chosen: ChosenCell;
}

/** One student's answer to one question: what was asked, said, right, and why it went wrong. */
export function CellDetail({ book, chosen }: Props) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const remove = useRemoveAttempt();
  const record = useAppSelector(selectAttempts)[chosen.attemptId];
  const row = book.rows.find((r) => r.attempt.id === chosen.attemptId);
  const cell = row?.cells[chosen.column];
  if (!row || !cell) return null;
  const { question, subject, setAside } = cell;
  // What does not fit its question can't be put into words.
  const said =
    setAside === 'misfit' ? null : answerFor(t, numbers, question, subject, cell.answer.answer);
  const right = rightFor(t, numbers, question, subject);
  const reason =
    cell.score !== null && cell.score < 1 && subject && cell.why
      ? whyFor(t, numbers, cell.why, question, subject)
      : null;
  return (
    <section className="cell-detail" aria-live="polite">
      <h2 className="class-book-heading">{row.attempt.student}</h2>
      <dl>
        <dt className="label">{t('record.question')}</dt>
        <dd>{promptFor(t, numbers, question, subject)}</dd>
        <dt className="label">{t('reveal.yours')}</dt>
        <dd>
          {said ? (
            <>
              <strong>{said.main}</strong> {said.detail} (
              {t(`confidences.${cell.answer.confidence}`)})
            </>
          ) : (
            <code className="raw-answer">
              {JSON.stringify(cell.answer.answer).slice(0, MOST_RAW)}
            </code>
          )}
        </dd>
        {cell.answer.words && (
          <>
            <dt className="label">{t('classBook.ownWords')}</dt>
            <dd className="own-words">{cell.answer.words}</dd>
          </>
        )}
        {setAside && (
          <>
            <dt className="label">{t('record.score')}</dt>
            <dd>
              <strong>{t('classBook.setAsideShort')}</strong> {t(`classBook.setAside.${setAside}`)}
            </dd>
          </>
        )}
        {right && (
          <>
            <dt className="label">{t(keyLabelFor(question))}</dt>
            <dd>
              <strong>{right.main}</strong> {right.detail}
            </dd>
          </>
        )}
        {reason && (
          <>
            <dt className="label">{t('classBook.why')}</dt>
            <dd>
              <strong>{reason.title}</strong> {reason.facts.join(' ')}
            </dd>
          </>
        )}
        {cell.practice > 0 && (
          <>
            <dt className="label">{t('record.practice')}</dt>
            <dd>{t('classBook.practised', { count: cell.practice })}</dd>
          </>
        )}
        {cell.differs && (
          <>
            <dt className="label">{t('record.score')}</dt>
            <dd>{t('classBook.differs')}</dd>
          </>
        )}
      </dl>
      {record && (
        <Button style={{ marginTop: 12 }} onClick={() => remove(record)}>
          {t('classBook.removeRecord', { student: row.attempt.student })}
        </Button>
      )}
    </section>
  );
}
