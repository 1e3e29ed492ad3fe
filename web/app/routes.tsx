import { Navigate, createBrowserRouter } from 'react-router';
import { MODEL_KINDS } from '../../core/formats';
import { shelfOf } from '../bench/modelPlaces';
import { ErrorScreen } from './ErrorScreen';
import { Home } from './Home';
import { NotFound } from '../shared/NotFound';
import { lazyPart } from '../shared/lazyPart';
import { screens } from './screens';
import { Shell } from './Shell';

/** Every address of the application. Screens load when they are opened. */
export function createRouter() {
  const ratio = lazyPart(screens.ratio);
  const converter = lazyPart(screens.converter);
  const clutch = lazyPart(screens.clutch);
  const shift = lazyPart(screens.shift);
  const packs = lazyPart(screens.packs);
  const faultDesk = lazyPart(screens.faultDesk);
  const atlas = lazyPart(screens.atlas);
  const apply = lazyPart(screens.apply);
  const stripDown = lazyPart(screens.stripDown);
  const builder = lazyPart(screens.builder);
  const classBook = lazyPart(screens.classBook);
  const records = lazyPart(screens.records);
  const LessonLibrary = lazyPart(screens.library);
  const firstLesson = lazyPart(screens.firstLesson);
  const paper = lazyPart(screens.paper);
  const run = lazyPart(screens.run);
  const runNotes = lazyPart(screens.runNotes);
  const roomOpening = lazyPart(screens.roomOpening);
  const RoomHost = lazyPart(screens.roomHost);
  const roomStudent = lazyPart(screens.roomStudent);
  const PlayerScreen = lazyPart(screens.player);
  const ModelLibrary = lazyPart(screens.models);
  const ModelEditorScreen = lazyPart(screens.modelEditor);
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

export type AppRouter = ReturnType<typeof createRouter>;
