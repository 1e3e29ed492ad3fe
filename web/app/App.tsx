import { ConfigProvider } from 'antd';
import { useEffect } from 'react';
import { RouterProvider } from 'react-router';
import { UnitSystemContext } from '../shared/numbers';
import { useMedia } from '../shared/useMedia';
import { SingleKeysContext } from '../shared/useShortcuts';
import { useAppDispatch, useAppSelector, useServices } from '../state/hooks';
import { refreshLesson } from '../state/librarySlice';
import { refreshModel } from '../state/modelsSlice';
import { refreshAttempt } from '../state/attemptsSlice';
import type { AppRouter } from './routes';
import { FINGER, themeFor } from './theme';

/** Theme, units and keys around the routes; keeps settings and other tabs' saves in step. */
export function App({ router }: { router: AppRouter }) {
  const settings = useAppSelector((state) => state.settings);
  const services = useServices();
  const dispatch = useAppDispatch();
  const still = useMedia('(prefers-reduced-motion: reduce)');
  const finger = useMedia(FINGER);

  useEffect(() => {
    document.documentElement.dataset['theme'] = settings.paper;
  }, [settings.paper]);
  useEffect(() => {
    document.documentElement.dataset['finger'] = String(finger);
  }, [finger]);
  useEffect(() => {
    // Settings are a convenience: a storage that refuses them is told of where documents are saved.
    services.documents.saveSetting('settings', settings).catch(() => undefined);
  }, [services, settings]);
  useEffect(
    () =>
      services.tabs.listen((message) => {
        if (message.type === 'model-saved') void dispatch(refreshModel(message));
        else if (message.type === 'attempt-saved') void dispatch(refreshAttempt(message.id));
        else void dispatch(refreshLesson(message.id));
      }),
    [services, dispatch],
  );

  return (
    <ConfigProvider theme={themeFor(settings.paper, { motion: !still, finger })}>
      <UnitSystemContext value={settings.units}>
        <SingleKeysContext value={settings.singleKeys}>
          <RouterProvider router={router} />
        </SingleKeysContext>
      </UnitSystemContext>
    </ConfigProvider>
  );
}
