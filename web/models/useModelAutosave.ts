import { useCallback } from 'react';
import { useTranslation } from 'react-i18next';
import type { Model } from '../../core/formats';
import { useAppDispatch } from '../state/hooks';
import { exportModel } from '../files/exportFiles';
import { writtenOrNot } from '../state/written';
import type { SaverState } from '../shared/draftSaver';
import { useSaver } from '../shared/useSaver';
import { saveModel } from '../state/modelsSlice';
import { useTakeCopy } from './useTakeCopy';

export type ModelSaveState = SaverState | 'unsound';

/**
 * Saves the model being edited, as long as it can be opened again. Where another tab has saved it since, what was changed
 * here goes on as one model of its own.
 * @param sound the draft satisfies the file format
 */
export function useModelAutosave(draft: Model, sound: boolean) {
  const { t } = useTranslation();
  const dispatch = useAppDispatch();
  const takeCopy = useTakeCopy();
  const save = useCallback(
    async (model: Model, base: Model) => {
      // A copy that was just taken has been kept already.
      const known = base.id === model.id ? base : null;
      const result = writtenOrNot(t, await dispatch(saveModel({ model, base: known })).unwrap());
      return result.outcome === 'saved' || (await takeCopy(model));
    },
    [dispatch, takeCopy, t],
  );
  const saver = useSaver({ draft, stored: draft, sound, save, takeAlong: exportModel });
  const state: ModelSaveState = !sound && saver.state !== 'saved' ? 'unsound' : saver.state;
  return { ...saver, state };
}
