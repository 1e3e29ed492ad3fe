import { useTranslation } from 'react-i18next';
import { useTell } from '../shared/useTell';
import { useNavigate } from 'react-router';
import type { Model } from '../../core/formats';
import { useAppDispatch, useServices } from '../state/hooks';
import { useKeep } from '../state/useKeep';
import { modelDraftOpened } from './modelDraftSlice';
import { editorOf } from '../bench/modelPlaces';

/** Another tab saved this model: what was changed here goes on as a model of its own. */
export function useTakeCopy() {
  const { t } = useTranslation();
  const tell = useTell();
  const dispatch = useAppDispatch();
  const keep = useKeep();
  const services = useServices();
  const navigate = useNavigate();
  /** @returns false where the copy could not be kept */
  return async (mine: Model): Promise<boolean> => {
    const copy = {
      ...mine,
      id: services.newId(),
      name: t('library.myVersion', { title: mine.name }),
    };
    if (!(await keep.model(copy, null))) return false;
    // Once the editor that asked has noted that its draft is kept, it may be left.
    setTimeout(() => {
      dispatch(modelDraftOpened(copy));
      void navigate(editorOf(copy));
      tell.warning(t('unitEditor.conflict', { name: copy.name }));
    });
    return true;
  };
}
