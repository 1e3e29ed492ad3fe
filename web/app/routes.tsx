import { createBrowserRouter } from 'react-router';
import { MODEL_KINDS, type ModelKind } from '../../core/formats';
import { shelfOf } from '../models/modelPlaces';
import { ErrorScreen } from './ErrorScreen';
import { Home } from './Home';
import { NotFound } from './NotFound';
import { screens } from './screens';
import { Shell } from './Shell';

/** Every address of the application. Screens load when they are opened. */
export function createRouter() {
  const ratio = async () => ({ Component: await screens.ratio() });
  const converter = async () => ({ Component: await screens.converter() });
  const clutch = async () => ({ Component: await screens.clutch() });
  const packs = async () => ({ Component: await screens.packs() });
  const faultDesk = async () => ({ Component: await screens.faultDesk() });
  const atlas = async () => ({ Component: await screens.atlas() });
  const apply = async () => ({ Component: await screens.apply() });
  const library = (door: 'teach' | 'learn') => async () => {
    const LessonLibrary = await screens.library();
    return { Component: () => <LessonLibrary door={door} /> };
  };
  const player = (mode: 'learn' | 'preview') => async () => {
    const PlayerScreen = await screens.player();
    return { Component: () => <PlayerScreen mode={mode} /> };
  };
  const models = (kind: ModelKind) => async () => {
    const ModelLibrary = await screens.models();
    return { Component: () => <ModelLibrary kind={kind} /> };
  };
  const modelEditor = (kind: ModelKind) => async () => {
    const ModelEditorScreen = await screens.modelEditor();
    return { Component: () => <ModelEditorScreen kind={kind} /> };
  };
  return createBrowserRouter([
    {
      element: <Shell />,
      errorElement: <ErrorScreen />,
      hydrateFallbackElement: <div className="shell-loading" />,
      children: [
        { index: true, element: <Home /> },
        { path: 'teach/lessons', lazy: library('teach') },
        {
          path: 'teach/lessons/:lessonId',
          lazy: async () => ({ Component: await screens.builder() }),
        },
        { path: 'teach/lessons/:lessonId/preview', lazy: player('preview') },
        { path: 'teach/ratio', lazy: ratio },
        { path: 'teach/converter', lazy: converter },
        { path: 'teach/faults', lazy: faultDesk },
        { path: 'teach/faults/atlas', lazy: atlas },
        { path: 'teach/clutch', lazy: clutch },
        { path: 'teach/clutch/packs', lazy: packs },
        { path: 'teach/models', lazy: models('fair-sprocket/unit') },
        ...MODEL_KINDS.flatMap((kind) => [
          { path: shelfOf(kind).slice(1), lazy: models(kind) },
          { path: `${shelfOf(kind).slice(1)}/:modelId`, lazy: modelEditor(kind) },
        ]),
        { path: 'teach/apply/:unitId?', lazy: apply },
        {
          path: 'teach/class-book',
          lazy: async () => ({ Component: await screens.classBook() }),
        },
        { path: 'learn/lessons', lazy: library('learn') },
        { path: 'learn/lessons/:lessonId', lazy: player('learn') },
        { path: 'learn/ratio', lazy: ratio },
        { path: 'learn/converter', lazy: converter },
        { path: 'learn/faults', lazy: faultDesk },
        { path: 'learn/clutch', lazy: clutch },
        { path: 'learn/clutch/packs', lazy: packs },
        { path: 'learn/apply/:unitId?', lazy: apply },
        {
          path: 'learn/records',
          lazy: async () => ({ Component: await screens.records() }),
        },
        { path: '*', element: <NotFound /> },
      ],
    },
  ]);
}

export type AppRouter = ReturnType<typeof createRouter>;
