import { useTranslation } from 'react-i18next';
import { useAppDispatch } from '../app/hooks';
import { useUndoNotice } from '../shared/useUndoNotice';
import type { AttemptRecord } from '../storage/documentStore';
import { removeAttempt, saveAttempt } from './attemptsSlice';

/** Deletes a record, with a way back. */
export function useRemoveAttempt(): (record: AttemptRecord) => void {
  const { t } = useTranslation();
  const dispatch = useAppDispatch();
  const undoNotice = useUndoNotice();
  return (record) => {
    const { id } = record.attempt;
    void dispatch(removeAttempt(id));
    undoNotice(`removed-${id}`, t('records.removed'), () => void dispatch(saveAttempt(record)));
  };
}
