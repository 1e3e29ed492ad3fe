import './font.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { createMemoryRouter, Navigate } from 'react-router';
import '../app/theme.css';
import '../app/touch.css';
import { App } from '../app/App';
import { browserServices } from '../app/browserServices';
import { moreWords, startWords } from '../app/i18n';
import { createStore } from '../app/store';
import { PlayerScreen } from '../lessons/player/PlayerScreen';
import { beginVisit } from '../shared/kept';
import { attemptsLoaded } from '../state/attemptsSlice';
import { ServicesContext } from '../state/hooks';
import { keptForNow, libraryLoaded } from '../state/librarySlice';
import { defaultSettings, readSettings, settingsLoaded } from '../state/settingsSlice';
import { documentStore } from '../storage/documentStore';
import { CARRIED, carriedIn, fromBase64, type CarriedLesson } from '../files/onePage';
import { NothingCarried, SingleFrame } from './SingleFrame';

/** A lesson in one page: player and lesson together, with no server, opened from a stick or a mail. */
export async function showPage(): Promise<void> {
  const services = browserServices((kept) => ({
    ...documentStore(kept, Date.now),
    loadDemoWorld: () => Promise.reject(new Error('no demo world')),
  }));
  beginVisit();
  const store = createStore(services, true);
  const carried = carriedIn(document.getElementById(CARRIED)?.textContent ?? '');
  const prefersNight = matchMedia('(prefers-color-scheme: dark)').matches;
  const fallback = defaultSettings(prefersNight);
  store.dispatch(settingsLoaded(fallback));
  await Promise.all([startWords(), moreWords()]);
  try {
    store.dispatch(
      settingsLoaded(readSettings(await services.documents.readSetting('settings'), fallback)),
    );
    store.dispatch(attemptsLoaded((await services.documents.load()).attempts));
    await keepPictures((path, bytes) => services.documents.saveMedia(path, bytes), carried);
    if (await services.passing()) store.dispatch(keptForNow());
  } catch {
    // Nothing can be kept here: the record is given as a file, and the start says so.
    store.dispatch(keptForNow());
  }
  if (carried)
    store.dispatch(
      libraryLoaded({
        lessons: [{ lesson: carried.lesson, origin: 'imported', revision: 1, changed: false }],
        attempts: [],
        models: [],
        unreadable: [],
      }),
    );
  const home = `/learn/lessons/${carried?.lesson.id ?? ''}`;
  const router = createMemoryRouter(
    [
      {
        element: <SingleFrame title={carried?.lesson.title ?? ''} />,
        children: [
          {
            path: 'learn/lessons/:lessonId',
            element: carried ? <PlayerScreen mode="learn" /> : <NothingCarried />,
          },
          { path: '*', element: carried ? <Navigate to={home} replace /> : <NothingCarried /> },
        ],
      },
    ],
    { initialEntries: [home] },
  );
  const root = document.getElementById('root');
  if (!root) throw new Error('showPage: expected an element with id "root"');
  createRoot(root).render(
    <StrictMode>
      <Provider store={store}>
        <ServicesContext value={services}>
          <App router={router} />
        </ServicesContext>
      </Provider>
    </StrictMode>,
  );
}

const keepPictures = async (
  save: (path: string, bytes: Uint8Array) => Promise<void>,
  carried: CarriedLesson | null,
): Promise<void> => {
  for (const [path, text] of Object.entries(carried?.media ?? {}))
    await save(path, fromBase64(text));
};
