import { Button } from 'antd';
import { useTranslation } from 'react-i18next';
import { useRouteError } from 'react-router';
import { useAppSelector } from '../state/hooks';
import { exportLessonText } from '../files/exportFiles';
import { reasonOf } from '../shared/reasonOf';

/** The last resort: what happened, that the work is safe, and a way to take it along. */
export function ErrorScreen() {
  const { t } = useTranslation();
  const error = useRouteError();
  const draft = useAppSelector((state) => state.draft.present);
  return (
    <main className="page" id="main">
      <h1>{t('errors.screenTitle')}</h1>
      <p className="quiet" style={{ margin: '12px 0' }}>
        {t('errors.screenSafe')}
      </p>
      <div className="row">
        <Button type="primary" onClick={() => location.assign('/')}>
          {t('errors.home')}
        </Button>
        {draft && (
          <Button onClick={() => exportLessonText(draft)}>{t('errors.exportDraft')}</Button>
        )}
      </div>
      <details style={{ marginTop: 20 }}>
        <summary>{t('errors.details')}</summary>
        <code>{reasonOf(error)}</code>
      </details>
    </main>
  );
}
