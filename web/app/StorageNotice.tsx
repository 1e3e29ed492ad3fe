import { Alert } from 'antd';
import { useTranslation } from 'react-i18next';
import { useAppSelector } from './hooks';

/** Says when this browser keeps nothing, or keeps something that this program can't read. */
export function StorageNotice() {
  const { t } = useTranslation();
  const { status, failure, unreadable } = useAppSelector((state) => state.library);
  if (status === 'failed')
    return (
      <Alert
        type="error"
        showIcon
        banner
        title={t('storage.refused')}
        description={t('storage.refusedDetail', { reason: failure })}
      />
    );
  if (unreadable > 0)
    return (
      <Alert
        type="warning"
        showIcon
        banner
        closable
        title={t('storage.unreadable', { count: unreadable })}
      />
    );
  return null;
}
