import { Button } from 'antd';
import { useTranslation } from 'react-i18next';
import type { Attempt } from '../../../core/lesson';
import { exportAttempt } from '../../files/exportFiles';

/** A committed answer that the browser could not store. */
export interface Unsaved {
  readonly attempt: Attempt;
  readonly reason: string;
}

/** The record could not be stored: it can be taken out as a file. */
export function UnsavedNotice({ attempt, reason }: Unsaved) {
  const { t } = useTranslation();
  return (
    <div className="unsaved" role="alert">
      <p>{t('storage.attemptNotSaved', { reason })}</p>
      <Button size="small" onClick={() => exportAttempt(attempt)}>
        {t('player.exportRecord')}
      </Button>
    </div>
  );
}
