import { Button } from 'antd';
import dayjs from 'dayjs';
import { useTranslation } from 'react-i18next';
import { useAppSelector } from '../../state/hooks';
import { selectAttempts } from '../../state/attemptsSlice';
import { useRemoveAttempt } from '../useRemoveAttempt';
import { exportAttempt } from '../../files/exportFiles';
import { LinkButton } from '../../shared/LinkButton';

/** Every record made in this browser, to take along. */
export function RecordsScreen() {
  const { t } = useTranslation();
  const remove = useRemoveAttempt();
  const attempts = useAppSelector(selectAttempts);
  const mine = Object.values(attempts)
    .filter((r) => r.source === 'mine')
    .sort((a, b) => b.attempt.startedAt.localeCompare(a.attempt.startedAt));

  return (
    <main className="page" id="main">
      <div className="page-head">
        <div>
          <h1>{t('records.title')}</h1>
          <p>{t('records.lead')}</p>
        </div>
      </div>
      {mine.length === 0 ? (
        <div className="library-empty">
          <p>{t('records.empty')}</p>
          <p style={{ marginTop: 14 }}>
            <LinkButton to="/learn/lessons" type="primary">
              {t('records.toLessons')}
            </LinkButton>
          </p>
        </div>
      ) : (
        <table className="plain">
          <thead>
            <tr>
              <th scope="col">{t('records.student')}</th>
              <th scope="col">{t('records.lesson')}</th>
              <th scope="col">{t('records.when')}</th>
              <th scope="col" className="num">
                {t('records.answers')}
              </th>
              <th scope="col">{t('records.actions')}</th>
            </tr>
          </thead>
          <tbody>
            {mine.map((record) => {
              const { attempt } = record;
              return (
                <tr key={attempt.id}>
                  <td>{attempt.student}</td>
                  <td>{attempt.lesson.title}</td>
                  <td>{dayjs(attempt.startedAt).format('D MMM YYYY, HH:mm')}</td>
                  <td className="num">{attempt.answers.length}</td>
                  <td>
                    <div className="row">
                      <LinkButton to={`/learn/lessons/${attempt.lesson.id}`} size="small">
                        {t('records.open')}
                      </LinkButton>
                      <Button size="small" onClick={() => exportAttempt(attempt)}>
                        {t('player.exportRecord')}
                      </Button>
                      <Button size="small" onClick={() => remove(record)}>
                        {t('library.delete')}
                      </Button>
                    </div>
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      )}
    </main>
  );
}
