import { isValidElement, type ComponentType } from 'react';
import { Navigate, createBrowserRouter } from 'react-router';
import { MODEL_KINDS } from '../../core/formats';
import { shelfOf } from '../bench/modelPlaces';
import { ErrorScreen } from './ErrorScreen';
import { Home } from './Home';
import { NotFound } from '../shared/NotFound';
import { lazyPart, type LazyPart } from '../shared/lazyPart';
import { screens } from './screens';
import { Shell } from './Shell';

const lazyScreen = <P extends object>(load: () => Promise<ComponentType<P>>) =>
  lazyPart(load, { whole: true });

/** Every address of the application. Screens load when they are opened. */
export function createRouter() {
  const ratio = lazyScreen(screens.ratio);
  const converter = lazyScreen(screens.converter);
  const clutch = lazyScreen(screens.clutch);
  const shift = lazyScreen(screens.shift);
  const packs = lazyScreen(screens.packs);
  const faultDesk = lazyScreen(screens.faultDesk);
  const atlas = lazyScreen(screens.atlas);
  const apply = lazyScreen(screens.apply);
  const stripDown = lazyScreen(screens.stripDown);
  const builder = lazyScreen(screens.builder);
  const classBook = lazyScreen(screens.classBook);
  const records = lazyScreen(screens.records);
  const LessonLibrary = lazyScreen(screens.library);
  const firstLesson = lazyScreen(screens.firstLesson);
  const paper = lazyScreen(screens.paper);
  const run = lazyScreen(screens.run);
  const runNotes = lazyScreen(screens.runNotes);
  const roomOpening = lazyScreen(screens.roomOpening);
  const RoomHost = lazyScreen(screens.roomHost);
  const roomStudent = lazyScreen(screens.roomStudent);
  const PlayerScreen = lazyScreen(screens.player);
  const ModelLibrary = lazyScreen(screens.models);
  const ModelEditorScreen = lazyScreen(screens.modelEditor);
  return createBrowserRouter([
    {
      element: <Shell />,
      errorElement: <ErrorScreen />,
      hydrateFallbackElement: <div className="shell-loading" />,
      children: [
        { index: true, element: <Home /> },
        { path: 'teach', element: <Navigate to="/teach/lessons" replace /> },
        { path: 'learn', element: <Navigate to="/learn/lessons" replace /> },
        { path: 'teach/lessons', element: <LessonLibrary key="teach" door="teach" /> },
        {
          path: 'teach/lessons/:lessonId',
          Component: builder,
        },
        {
          path: 'teach/lessons/:lessonId/preview',
          element: <PlayerScreen key="preview" mode="preview" />,
        },
        { path: 'teach/ratio', Component: ratio },
        { path: 'teach/converter', Component: converter },
        { path: 'teach/faults', Component: faultDesk },
        { path: 'teach/faults/atlas', Component: atlas },
        { path: 'teach/clutch', Component: clutch },
        { path: 'teach/shift/:unitId?', Component: shift },
        { path: 'teach/clutch/packs', Component: packs },
        { path: 'teach/models', element: <ModelLibrary kind="fair-sprocket/unit" /> },
        ...MODEL_KINDS.flatMap((kind) => [
          { path: shelfOf(kind).slice(1), element: <ModelLibrary kind={kind} /> },
          {
            path: `${shelfOf(kind).slice(1)}/:modelId`,
            element: <ModelEditorScreen kind={kind} />,
          },
        ]),
        { path: 'teach/apply/:unitId?', Component: apply },
        { path: 'teach/strip-down/:unitId?', Component: stripDown },
        { path: 'teach/strip-down/jobs/:jobId', Component: stripDown },
        {
          path: 'teach/class-book',
          Component: classBook,
        },
        { path: 'teach/first-lesson', Component: firstLesson },
        { path: 'teach/lessons/:lessonId/paper', Component: paper },
        { path: 'teach/lessons/:lessonId/run', Component: run },
        { path: 'teach/lessons/:lessonId/run/notes', Component: runNotes },
        { path: 'teach/rooms/new/:lessonId', Component: roomOpening },
        { path: 'teach/rooms/:code', element: <RoomHost key="lead" /> },
        { path: 'teach/rooms/:code/board', element: <RoomHost key="board" board /> },
        { path: 'room/:code?', Component: roomStudent },
        { path: 'learn/lessons', element: <LessonLibrary key="learn" door="learn" /> },
        { path: 'learn/lessons/:lessonId', element: <PlayerScreen key="learn" mode="learn" /> },
        { path: 'learn/ratio', Component: ratio },
        { path: 'learn/converter', Component: converter },
        { path: 'learn/faults', Component: faultDesk },
        { path: 'learn/clutch', Component: clutch },
        { path: 'learn/shift/:unitId?', Component: shift },
        { path: 'learn/clutch/packs', Component: packs },
        { path: 'learn/apply/:unitId?', Component: apply },
        { path: 'learn/strip-down/:unitId?', Component: stripDown },
        { path: 'learn/strip-down/jobs/:jobId', Component: stripDown },
        {
          path: 'learn/records',
          Component: records,
        },
        { path: '*', element: <NotFound /> },
      ],
    },
  ]);
}

/** Has the screen of the address fetched at once, while what it is shown in is still on its way. */
export function fetchAhead({ state }: AppRouter): void {
  for (const { route } of state.matches)
    if ('element' in route && isValidElement(route.element))
      (route.element.type as Partial<LazyPart<object>>).ahead?.();
}

export type AppRouter = ReturnType<typeof createRouter>;
