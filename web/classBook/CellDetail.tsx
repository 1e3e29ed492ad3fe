import { Button } from 'antd';
import { useTranslation } from 'react-i18next';
import { answerKey, type ClassBook } from '../../core/lesson';
import { useAppSelector } from '../app/hooks';
import { answerText, keyText, promptOf } from '../lessons/questionWords';
import { reasonFor } from '../lessons/reasonWords';
import { useNumbers } from '../shared/numbers';
import { selectAttempts } from './attemptsSlice';
import { useRemoveAttempt } from './useRemoveAttempt';

export interface ChosenCell {
  readonly attemptId: string;
  readonly column: number;
}

/** One student's answer to one question: what was asked, said, right, and why it went wrong. */
export function CellDetail({ book, chosen }: { book: ClassBook; chosen: ChosenCell }) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const remove = useRemoveAttempt();
  const record = useAppSelector(selectAttempts)[chosen.attemptId];
  const row = book.rows.find((r) => r.attempt.id === chosen.attemptId);
  const cell = row?.cells[chosen.column];
  const asked = book.questions[chosen.column];
  if (!row || !cell || !asked) return null;
  const { question } = asked;
  const { setup } = cell.answer;
  const key = answerKey(question, setup);
  const said = answerText(t, numbers, question, cell.answer.answer);
  const right = key.ok ? keyText(t, numbers, question, key.key) : null;
  const reason = cell.score < 1 ? reasonFor(t, cell.misconception, setup) : null;
  return (
    <section className="cell-detail" aria-live="polite">
      <h2 className="class-book-heading">{row.attempt.student}</h2>
      <dl>
        <dt className="label">{t('record.question')}</dt>
        <dd>{promptOf(t, numbers, question, setup)}</dd>
        <dt className="label">{t('reveal.yours')}</dt>
        <dd>
          <strong>{said.main}</strong> {said.detail} ({t(`confidences.${cell.answer.confidence}`)})
        </dd>
        {right && (
          <>
            <dt className="label">{t('reveal.model')}</dt>
            <dd>
              <strong>{right.main}</strong> {right.detail}
            </dd>
          </>
        )}
        {reason && (
          <>
            <dt className="label">{t('classBook.why')}</dt>
            <dd>
              <strong>{reason.title}</strong> {reason.text}
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
