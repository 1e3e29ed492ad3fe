import { App } from 'antd';
import { useTranslation } from 'react-i18next';
import { useNavigate } from 'react-router';
import type { Model } from '../../core/formats';
import { useAppDispatch, useServices } from '../app/hooks';
import { modelDraftOpened } from './modelDraftSlice';
import { editorOf } from './modelPlaces';
import { saveModel } from './modelsSlice';

/** Another tab saved this model: what was changed here goes on as a model of its own. */
export function useTakeCopy() {
  const { t } = useTranslation();
  const { message } = App.useApp();
  const dispatch = useAppDispatch();
  const services = useServices();
  const navigate = useNavigate();
  return (mine: Model) => {
    const copy = {
      ...mine,
      id: services.newId(),
      name: t('library.myVersion', { title: mine.name }),
    };
    void dispatch(saveModel({ model: copy })).then(() => {
      dispatch(modelDraftOpened(copy));
      void navigate(editorOf(copy));
      message.warning(t('unitEditor.conflict', { name: copy.name }), 8);
    });
  };
}
