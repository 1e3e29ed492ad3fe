import 'virtual:components.css';
import '@fontsource-variable/archivo/wdth.css';
import '@fontsource-variable/source-serif-4/wght-italic.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import './app/theme.css';
import './app/touch.css';
import { App } from './app/App';
import { ServicesContext } from './state/hooks';
import { startWords } from './app/i18n';
import { createRouter, fetchAhead } from './app/routes';
import { browserServices } from './app/browserServices';
import { startUp } from './state/startUp';
import { keepFilesWhenIdle } from './app/keptFiles';
import { createStore } from './app/store';
import { beginVisit } from './shared/kept';
import { documentsBesidePage } from './storage/documentsInWorker';
import { askToKeep } from './storage/persistence';

const SETTINGS_MS = 800;

async function main(): Promise<void> {
  const router = createRouter();
  fetchAhead(router);
  const services = browserServices(documentsBesidePage);
  beginVisit();
  const store = createStore(services, true);
  const prefersNight = matchMedia('(prefers-color-scheme: dark)').matches;
  // The first screen waits for the settings, not for the documents; a store that does not answer holds it up no longer.
  const settled = new Promise<void>((onSettings) => {
    setTimeout(onSettings, SETTINGS_MS);
    void startUp(store, services, prefersNight, { onSettings });
  });
  await Promise.all([startWords(), settled]);
  const root = document.getElementById('root');
  if (!root) throw new Error('main: expected an element with id "root"');
  createRoot(root).render(
    <StrictMode>
      <Provider store={store}>
        <ServicesContext value={services}>
          <App router={router} />
        </ServicesContext>
      </Provider>
    </StrictMode>,
  );
  keepFilesWhenIdle();
  void askToKeep();
  // Pictures and versions that nothing needs any more; where that fails, the next start does it.
  services.documents.tidy().catch(() => undefined);
}

void main();
