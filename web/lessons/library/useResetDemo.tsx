import { App } from 'antd';
import { useTranslation } from 'react-i18next';
import { useTell } from '../../shared/useTell';
import { useStore } from 'react-redux';
import { useServices } from '../../state/hooks';
import { changedDemo, resetDemo, type ChangedDemo } from '../../state/startUp';
import type { AppStore } from '../../state/rootState';
import { reasonOf } from '../../shared/reasonOf';
import { useKeep } from '../../state/useKeep';

/** Brings the demo world back. What of it was changed is kept as copies. */
export function useResetDemo(): () => Promise<void> {
  const { t } = useTranslation();
  const { modal } = App.useApp();
  const tell = useTell();
  const keep = useKeep();
  const services = useServices();
  const store = useStore() as AppStore;

  async function run({ lessons, models }: ChangedDemo): Promise<void> {
    try {
      for (const { lesson } of lessons) {
        const copy = {
          ...lesson,
          id: services.newId(),
          title: t('library.myVersion', { title: lesson.title }),
        };
        const request = { lesson: copy, origin: 'own', changed: false, baseRevision: 0 } as const;
        if (!(await keep.lesson(request))) return;
      }
      for (const model of models) {
        const name = t('library.myVersion', { title: model.name });
        if (!(await keep.model({ ...model, id: services.newId(), name }, null))) return;
      }
      await resetDemo(store, services);
      tell.success(t('library.demoBack'));
    } catch (error) {
      tell.error(t('storage.saveFailed', { reason: reasonOf(error) }));
    }
  }

  return async () => {
    const changed = await changedDemo(services);
    const titles = [
      ...changed.lessons.map((r) => r.lesson.title),
      ...changed.models.map((m) => m.name),
    ];
    if (titles.length === 0) return run(changed);
    const go = await modal.confirm({
      title: t('library.resetTitle'),
      content: t('library.resetDetail', { titles: titles.join(', ') }),
      okText: t('library.resetKeep'),
      cancelText: t('app.cancel'),
    });
    if (go) await run(changed);
  };
}
