import { App, Button } from 'antd';
import { useTranslation } from 'react-i18next';
import { useAppDispatch } from '../app/hooks';
import type { AttemptRecord } from '../storage/documentStore';
import { removeAttempt, saveAttempt } from './attemptsSlice';

/** Deletes a record, with ten seconds to think better of it. */
export function useRemoveAttempt(): (record: AttemptRecord) => void {
  const { t } = useTranslation();
  const { message } = App.useApp();
  const dispatch = useAppDispatch();
  return (record) => {
    const key = `removed-${record.attempt.id}`;
    void dispatch(removeAttempt(record.attempt.id));
    message.open({
      key,
      type: 'info',
      duration: 10,
      content: (
        <span>
          {t('records.removed')}{' '}
          <Button
            size="small"
            onClick={() => {
              void dispatch(saveAttempt(record));
              message.destroy(key);
            }}
          >
            {t('app.undo')}
          </Button>
        </span>
      ),
    });
  };
}
