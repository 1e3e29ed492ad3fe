import { useTranslation } from 'react-i18next';
import { useKeep } from '../state/useKeep';
import { useUndoNotice } from '../shared/useUndoNotice';
import type { AttemptRecord } from '../storage/records';

/** Deletes a record, with a way back. */
export function useRemoveAttempt(): (record: AttemptRecord) => void {
  const { t } = useTranslation();
  const keep = useKeep();
  const undoNotice = useUndoNotice();
  return (record) =>
    void keep.without.attempt(record).then((removed) => {
      if (removed)
        undoNotice(
          `removed-${record.attempt.id}`,
          t('records.removed'),
          () => void keep.attempt(record, null),
        );
    });
}
