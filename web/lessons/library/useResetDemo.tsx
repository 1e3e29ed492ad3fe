import { App } from 'antd';
import { useTranslation } from 'react-i18next';
import { useStore } from 'react-redux';
import { useAppDispatch, useAppSelector, useServices } from '../../app/hooks';
import { resetDemo } from '../../app/startUp';
import type { AppStore } from '../../app/store';
import { reasonOf } from '../../app/thunk';
import { saveLesson, selectLibrary } from '../librarySlice';

/** Brings the demo world back. Demo lessons that were changed are kept as copies unless the user declines. */
export function useResetDemo(): () => Promise<void> {
  const { t } = useTranslation();
  const { modal, message } = App.useApp();
  const dispatch = useAppDispatch();
  const services = useServices();
  const store = useStore() as AppStore;
  const library = useAppSelector(selectLibrary);

  async function run(keep: boolean): Promise<void> {
    try {
      const changed = Object.values(library.byId).filter((r) => r.origin === 'demo' && r.changed);
      if (keep)
        for (const { lesson } of changed) {
          const copy = {
            ...lesson,
            id: services.newId(),
            title: t('library.myVersion', { title: lesson.title }),
          };
          await dispatch(
            saveLesson({ lesson: copy, origin: 'own', changed: false, baseRevision: 0 }),
          ).unwrap();
        }
      await resetDemo(store, services);
      void message.success(t('library.demoBack'));
    } catch (error) {
      void message.error(t('storage.saveFailed', { reason: reasonOf(error) }));
    }
  }

  return async () => {
    const changed = Object.values(library.byId).filter((r) => r.origin === 'demo' && r.changed);
    if (changed.length === 0) return run(false);
    const keep = await modal.confirm({
      title: t('library.resetTitle'),
      content: t('library.resetDetail', {
        titles: changed.map((r) => r.lesson.title).join(', '),
      }),
      okText: t('library.resetKeep'),
      cancelText: t('app.cancel'),
    });
    if (keep) await run(true);
  };
}
