import { App } from 'antd';
import { useTranslation } from 'react-i18next';
import type { Model } from '../../core/formats';
import { removeAttempt, saveAttempt } from './attemptsSlice';
import { removeLesson, saveLesson, type SaveRequest } from './librarySlice';
import { removeModel, saveModel } from './modelsSlice';
import type { AttemptRecord, LessonRecord } from '../storage/records';
import { useAppDispatch } from './hooks';

/**
 * Keeps and deletes documents. Where that can't be done the user is told why, and what follows is not done: every function
 * answers whether it was.
 */
export function useKeep() {
  const { t } = useTranslation();
  const { message } = App.useApp();
  const dispatch = useAppDispatch();

  async function told(saving: Promise<{ readonly outcome: string }>): Promise<boolean> {
    try {
      const { outcome } = await saving;
      if (outcome === 'saved') return true;
      message.error(t(outcome === 'conflict' ? 'storage.changedElsewhere' : 'storage.newerThere'));
    } catch (reason) {
      message.error(t('storage.saveFailed', { reason: String(reason) }));
    }
    return false;
  }
  const gone = (removing: Promise<{ readonly removed: boolean }>) =>
    told(removing.then(({ removed }) => ({ outcome: removed ? 'saved' : 'conflict' })));

  return {
    /** @param base what the change was made on; `null` for a new model */
    model: (model: Model, base: Model | null) =>
      told(dispatch(saveModel({ model, base })).unwrap()),
    lesson: (request: SaveRequest) => told(dispatch(saveLesson(request)).unwrap()),
    attempt: (record: AttemptRecord, base: AttemptRecord | null) =>
      told(dispatch(saveAttempt({ record, base: base?.attempt ?? null })).unwrap()),
    without: {
      model: (model: Model) => gone(dispatch(removeModel(model)).unwrap()),
      lesson: (record: LessonRecord) => gone(dispatch(removeLesson(record)).unwrap()),
      attempt: ({ attempt }: AttemptRecord) => gone(dispatch(removeAttempt(attempt)).unwrap()),
    },
  };
}
