import { Button } from 'antd';
import { useTranslation } from 'react-i18next';
import { useTell } from '../shared/useTell';
import { useNavigate } from 'react-router';
import { ActionCreators } from 'redux-undo';
import type { Model } from '../../core/formats';
import { useAppDispatch, useAppSelector, useServices } from '../state/hooks';
import { useKeep } from '../state/useKeep';
import { exportModel } from '../files/exportFiles';
import { VersionsButton } from '../files/VersionsButton';
import { modelEdited } from './modelDraftSlice';
import {
  CheckOutlined,
  CloudSyncOutlined,
  CopyOutlined,
  ExclamationCircleOutlined,
  RedoOutlined,
  UndoOutlined,
} from '../shared/icons';
import { LinkButton } from '../shared/LinkButton';
import { useShortcuts } from '../shared/useShortcuts';
import { benchOf, editorOf } from '../bench/modelPlaces';
import type { useModelAutosave } from './useModelAutosave';

interface Props {
  draft: Model;
  autosave: ReturnType<typeof useModelAutosave>;
}

/** Save state, undo and redo, duplicate, export, and the way to the bench. */
export function ModelBar({ draft, autosave }: Props) {
  const { t } = useTranslation();
  const tell = useTell();
  const dispatch = useAppDispatch();
  const keep = useKeep();
  const services = useServices();
  const navigate = useNavigate();
  const canUndo = useAppSelector((state) => state.modelDraft.past.length > 0);
  const canRedo = useAppSelector((state) => state.modelDraft.future.length > 0);
  const undo = () => canUndo && dispatch(ActionCreators.undo());
  const redo = () => canRedo && dispatch(ActionCreators.redo());
  useShortcuts({ 'mod+z': undo, 'mod+shift+z': redo, 'mod+y': redo });
  const { state, reason, saveNow } = autosave;
  const duplicate = async () => {
    const copy = {
      ...draft,
      id: services.newId(),
      name: t('library.copyOf', { title: draft.name }),
    };
    if (!(await keep.model(copy, null))) return;
    tell.success(t('unitEditor.duplicated', { name: copy.name }));
    await navigate(editorOf(copy));
  };
  return (
    <div className="unit-bar">
      <span className="builder-state" data-state={state} role="status">
        {state === 'failed' || state === 'stopped' || state === 'unsound' ? (
          <ExclamationCircleOutlined />
        ) : state === 'saved' ? (
          <CheckOutlined />
        ) : (
          <CloudSyncOutlined />
        )}
        {t(`unitEditor.states.${state}`, { reason })}
        {state === 'failed' && (
          <Button size="small" onClick={() => void saveNow()}>
            {t('builder.tryAgain')}
          </Button>
        )}
      </span>
      <Button icon={<UndoOutlined />} disabled={!canUndo} onClick={undo}>
        {t('app.undo')}
      </Button>
      <Button icon={<RedoOutlined />} disabled={!canRedo} onClick={redo}>
        {t('app.redo')}
      </Button>
      <Button icon={<CopyOutlined />} onClick={() => void duplicate()}>
        {t('unitEditor.duplicate')}
      </Button>
      <VersionsButton<Model>
        document={draft}
        factsOf={(model) => [model.name, model.notes].filter(Boolean).join(': ')}
        onBring={(model) => dispatch(modelEdited({ model, field: null }))}
      />
      <Button onClick={() => exportModel(draft)}>{t('library.export')}</Button>
      <LinkButton to={benchOf(draft)} type="primary">
        {t('unitLibrary.open')}
      </LinkButton>
    </div>
  );
}
