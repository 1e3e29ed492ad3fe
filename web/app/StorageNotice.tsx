import { Alert, Button } from 'antd';
import dayjs from 'dayjs';
import { useTranslation } from 'react-i18next';
import { workLost } from '../state/librarySlice';
import { useAppDispatch, useAppSelector, useServices } from '../state/hooks';

/** Says when this browser keeps nothing, has lost what it kept, or keeps something that this program can't read. */
export function StorageNotice() {
  const { t } = useTranslation();
  const { status, failure, unreadable, lost, passing } = useAppSelector((state) => state.library);
  const dispatch = useAppDispatch();
  const { marks } = useServices();
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
  if (lost !== null)
    return (
      <Alert
        type="error"
        showIcon
        banner
        title={t('storage.lost', { when: dayjs(lost).format('D MMM YYYY, HH:mm') })}
        description={
          <span className="row">
            {t('storage.lostDetail')}
            <Button
              size="small"
              onClick={() => {
                marks.keep(null);
                dispatch(workLost(null));
              }}
            >
              {t('storage.lostSeen')}
            </Button>
          </span>
        }
      />
    );
  if (passing)
    return <Alert type="warning" showIcon banner closable title={t('storage.passing')} />;
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
