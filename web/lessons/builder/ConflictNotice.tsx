import { Alert, Button } from 'antd';
import { useTranslation } from 'react-i18next';
import { useNavigate } from 'react-router';
import type { Lesson } from '../../../core/lesson';
import { useAppDispatch, useServices } from '../../state/hooks';
import { useKeep } from '../../state/useKeep';
import { draftOpened } from './draftSlice';
import type { Autosave } from './useAutosave';

/** Two tabs changed one lesson: nothing is overwritten until the instructor has chosen. */
export function ConflictNotice({ draft, autosave }: { draft: Lesson; autosave: Autosave }) {
  const { t } = useTranslation();
  const dispatch = useAppDispatch();
  const keep = useKeep();
  const navigate = useNavigate();
  const services = useServices();
  const { other, rebase } = autosave;
  if (!other) return null;

  const takeOther = () => {
    rebase(other.revision, other.lesson);
    dispatch(draftOpened(other.lesson));
  };
  const keepBoth = async () => {
    const copy = {
      ...draft,
      id: services.newId(),
      title: t('library.myVersion', { title: draft.title }),
    };
    if (!(await keep.lesson({ lesson: copy, origin: 'own', changed: false, baseRevision: 0 })))
      return;
    takeOther();
    await navigate(`/teach/lessons/${copy.id}`);
  };
  return (
    <Alert
      type="warning"
      banner
      showIcon
      title={t('conflict.title')}
      description={
        <div className="row">
          <span>{t('conflict.detail')}</span>
          <Button onClick={() => void keepBoth()} type="primary">
            {t('conflict.both')}
          </Button>
          <Button onClick={takeOther}>{t('conflict.other')}</Button>
          <Button onClick={() => rebase(other.revision, null)}>{t('conflict.mine')}</Button>
        </div>
      }
    />
  );
}
