import { useTranslation } from 'react-i18next';
import { useTell } from '../shared/useTell';
import type { Model } from '../../core/formats';
import { removeAttempt, saveAttempt } from './attemptsSlice';
import { removeLesson, saveLesson, type SaveRequest } from './librarySlice';
import { removeModel, saveModel } from './modelsSlice';
import { InWords, reasonOf } from '../shared/reasonOf';
import type { AttemptRecord, LessonRecord, SaveOutcome } from '../storage/records';
import { useAppDispatch } from './hooks';
import { writtenOrNot } from './written';

/**
 * Keeps and deletes documents. Where that can't be done the user is told why, and what follows is not done: every function
 * answers whether it was.
 */
export function useKeep() {
  const { t } = useTranslation();
  const tell = useTell();
  const dispatch = useAppDispatch();

  async function told(done: Promise<boolean>): Promise<boolean> {
    try {
      if (await done) return true;
      tell.error(t('storage.changedElsewhere'));
    } catch (error) {
      tell.error(
        error instanceof InWords
          ? error.message
          : t('storage.saveFailed', { reason: reasonOf(error) }),
      );
    }
    return false;
  }
  const kept = <T>(saving: Promise<SaveOutcome<T>>) =>
    told(saving.then((result) => writtenOrNot(t, result).outcome === 'saved'));
  const gone = (removing: Promise<{ readonly removed: boolean }>) =>
    told(removing.then(({ removed }) => removed));

  return {
    /** @param base what the change was made on; `null` for a new model */
    model: (model: Model, base: Model | null) =>
      kept(dispatch(saveModel({ model, base })).unwrap()),
    lesson: (request: SaveRequest) => kept(dispatch(saveLesson(request)).unwrap()),
    attempt: (record: AttemptRecord, base: AttemptRecord | null) =>
      kept(dispatch(saveAttempt({ record, base: base?.attempt ?? null })).unwrap()),
    without: {
      model: (model: Model) => gone(dispatch(removeModel(model)).unwrap()),
      lesson: (record: LessonRecord) => gone(dispatch(removeLesson(record)).unwrap()),
      attempt: ({ attempt }: AttemptRecord) => gone(dispatch(removeAttempt(attempt)).unwrap()),
    },
  };
}
