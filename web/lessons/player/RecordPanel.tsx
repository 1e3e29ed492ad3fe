import { DownloadOutlined } from '../../shared/icons';
import { Button } from 'antd';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { attemptScore, questionsOf, subjectFor, type Lesson } from '../../../core/lesson';
import { useAppDispatch, useAppSelector, useServices } from '../../state/hooks';
import { useClassBook } from '../useClassBook';
import { exportAttempt } from '../../files/exportFiles';
import { formatNumber, useNumbers } from '../../shared/numbers';
import { answerFor, promptFor } from '../families/words';
import { inOneLine } from '../worded';
import { attemptFinished, selectPlayer } from './playerSlice';
import { UnsavedNotice } from './UnsavedNotice';
import { useKeepAttempt } from './useKeepAttempt';
import './RecordPanel.css';

/** The end of a lesson: the student's record, to finish and to take along. */
export function RecordPanel({ lesson }: { lesson: Lesson }) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const dispatch = useAppDispatch();
  const services = useServices();
  const { attempt, mode } = useAppSelector(selectPlayer);
  const { keep, unsaved } = useKeepAttempt();
  const attempts = useMemo(() => (attempt ? [attempt] : []), [attempt]);
  const { book } = useClassBook(lesson, attempts);
  if (!attempt) return null;
  const questions = questionsOf(lesson);
  const row = book?.rows[0];
  const score = attemptScore(attempt, questions.length);
  const open = questions.filter(({ id }) => !attempt.answers.some((a) => a.question === id)).length;
  const takeAlong = async () => {
    const finishedAt = attempt.finishedAt ?? services.now();
    dispatch(attemptFinished(finishedAt));
    exportAttempt(await keep({ ...attempt, finishedAt }));
  };
  return (
    <section className="player-reading record" aria-label={t('player.yourRecord')} tabIndex={0}>
      <h1>{t('record.title', { student: attempt.student })}</h1>
      {score !== null && (
        <p className="record-score">
          <span className="figure">{formatNumber(score * 100, 0)}</span> {t('record.percent')}
        </p>
      )}
      <table className="plain">
        <thead>
          <tr>
            <th scope="col">{t('record.question')}</th>
            <th scope="col">{t('record.firstTry')}</th>
            <th scope="col" className="num">
              {t('record.score')}
            </th>
            <th scope="col" className="num">
              {t('record.practice')}
            </th>
          </tr>
        </thead>
        <tbody>
          {questions.map(({ id, question }, k) => {
            const cell = row?.cells[k];
            // As this student got it; what was not answered, as it stands.
            const posed = cell ?? { question, subject: subjectFor(lesson, question) };
            const worded =
              cell &&
              cell.setAside !== 'misfit' &&
              answerFor(t, numbers, posed.question, posed.subject, cell.answer.answer);
            return (
              <tr key={id}>
                <td>{promptFor(t, numbers, posed.question, posed.subject)}</td>
                <td>{worded ? inOneLine(worded) : t('record.notAnswered')}</td>
                <td className="num">
                  {cell
                    ? cell.score === null
                      ? t('classBook.setAsideShort')
                      : `${formatNumber(cell.score * 100, 0)} %`
                    : '–'}
                </td>
                <td className="num">{cell?.practice ?? 0}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {unsaved && <UnsavedNotice {...unsaved} />}
      {mode === 'preview' ? (
        <p className="quiet">{t('player.previewNote')}</p>
      ) : (
        <div className="row">
          {open > 0 && <p className="record-open">{t('record.open', { count: open })}</p>}
          <Button
            type="primary"
            size="large"
            icon={<DownloadOutlined />}
            onClick={() => void takeAlong()}
          >
            {t('player.exportRecord')}
          </Button>
          <span className="quiet">
            {t(attempt.finishedAt && !unsaved ? 'record.finished' : 'record.finishing')}
          </span>
        </div>
      )}
    </section>
  );
}
