import {
  CheckOutlined,
  CloudSyncOutlined,
  ExclamationCircleOutlined,
  EyeOutlined,
  RedoOutlined,
  UndoOutlined,
} from '../../shared/icons';
import { Button } from 'antd';
import { useTranslation } from 'react-i18next';
import { useTell } from '../../shared/useTell';
import { ActionCreators } from 'redux-undo';
import type { Lesson } from '../../../core/lesson';
import { useAppDispatch, useAppSelector, useServices } from '../../state/hooks';
import { reasonOf } from '../../shared/reasonOf';
import { exportLesson, exportLessonText } from '../../files/exportFiles';
import { LinkButton } from '../../shared/LinkButton';
import { useShortcuts } from '../../shared/useShortcuts';
import { VersionsButton } from '../../files/VersionsButton';
import { draftReplaced } from './draftSlice';
import type { Autosave } from './useAutosave';

interface Props {
  draft: Lesson;
  /** The step that is being built: a trial begins there. */
  stepId: string;
  autosave: Autosave;
}

/** Save state, undo and redo, preview and export. */
export function BuilderBar({ draft, stepId, autosave }: Props) {
  const { t } = useTranslation();
  const tell = useTell();
  const dispatch = useAppDispatch();
  const services = useServices();
  const canUndo = useAppSelector((state) => state.draft.past.length > 0);
  const canRedo = useAppSelector((state) => state.draft.future.length > 0);
  const undo = () => canUndo && dispatch(ActionCreators.undo());
  const redo = () => canRedo && dispatch(ActionCreators.redo());
  useShortcuts({ 'mod+z': undo, 'mod+shift+z': redo, 'mod+y': redo });
  const { state } = autosave;
  const failed = state === 'failed' || state === 'stopped';
  return (
    <div className="builder-bar">
      <span className="builder-state" data-state={state} role="status">
        {failed ? (
          <ExclamationCircleOutlined />
        ) : state === 'saved' ? (
          <CheckOutlined />
        ) : (
          <CloudSyncOutlined />
        )}
        {t(`builder.states.${state}`, { reason: autosave.reason })}
        {state === 'failed' && (
          <>
            <Button size="small" onClick={() => void autosave.saveNow()}>
              {t('builder.tryAgain')}
            </Button>
            <Button size="small" onClick={() => exportLessonText(draft)}>
              {t('errors.exportDraft')}
            </Button>
          </>
        )}
      </span>
      <Button
        icon={<UndoOutlined />}
        disabled={!canUndo}
        onClick={undo}
        aria-keyshortcuts="Control+Z"
      >
        {t('app.undo')}
      </Button>
      <Button
        icon={<RedoOutlined />}
        disabled={!canRedo}
        onClick={redo}
        aria-keyshortcuts="Control+Shift+Z"
      >
        {t('app.redo')}
      </Button>
      <VersionsButton
        document={draft}
        factsOf={(lesson) => `${lesson.title}: ${lesson.steps.map((s) => s.title).join(', ')}`}
        onBring={(lesson) => dispatch(draftReplaced(lesson))}
      />
      <Button
        onClick={() =>
          void exportLesson(draft, services.documents).catch((error: unknown) =>
            tell.error(t('import.failed', { reason: reasonOf(error) })),
          )
        }
      >
        {t('library.export')}
      </Button>
      <LinkButton
        to={`/teach/lessons/${draft.id}/preview?step=${encodeURIComponent(stepId)}`}
        type="primary"
        icon={<EyeOutlined />}
      >
        {t('builder.preview')}
      </LinkButton>
    </div>
  );
}
