import { attemptsLoaded } from '../classBook/attemptsSlice';
import { libraryFailed, libraryLoaded } from '../lessons/librarySlice';
import type { LessonRecord, Loaded } from '../storage/documentStore';
import { modelsLoaded } from '../models/modelsSlice';
import { DEMO_ORDER } from './demoWorld';
import type { Services } from './services';
import { defaultSettings, readSettings, settingsLoaded } from './settingsSlice';
import type { AppStore } from './store';
import { reasonOf } from './thunk';

const SEEDED = 'demo-seeded';

/**
 * Reads settings and documents; puts the demo world in on the very first start. When storage refuses, the
 * demo world still opens, from memory, and the screen says that nothing can be kept.
 */
export async function startUp(
  store: AppStore,
  services: Services,
  prefersNight: boolean,
): Promise<void> {
  const fallback = defaultSettings(prefersNight);
  try {
    const stored = await services.documents.readSetting('settings');
    store.dispatch(settingsLoaded(readSettings(stored, fallback)));
    if ((await services.documents.readSetting(SEEDED)) !== true) {
      await putDemoWorld(services);
      await services.documents.saveSetting(SEEDED, true);
    }
    show(store, await services.documents.load());
  } catch (error) {
    const demo = await services.loadDemo();
    const { lessons, attempts } = demo;
    show(store, {
      lessons: lessons.map((lesson) => ({ lesson, origin: 'demo', revision: 0, changed: false })),
      attempts: attempts.map((attempt) => ({ attempt, source: 'demo' })),
      models: demo.models,
      unreadable: [],
    });
    store.dispatch(libraryFailed(reasonOf(error)));
  }
}

function show(store: AppStore, loaded: Loaded): void {
  // Demo lessons in their teaching order, then the user's own.
  const rank = (r: LessonRecord) =>
    r.origin === 'demo' ? DEMO_ORDER.indexOf(r.lesson.id) : DEMO_ORDER.length;
  const lessons = [...loaded.lessons].sort((a, b) => rank(a) - rank(b));
  store.dispatch(libraryLoaded({ ...loaded, lessons }));
  store.dispatch(attemptsLoaded(loaded.attempts));
  store.dispatch(modelsLoaded(loaded.models));
}

/** Writes the demo world over whatever stands under its own ids; other documents are not touched. */
export async function putDemoWorld(services: Services): Promise<void> {
  const { documents, tabs, loadDemo } = services;
  const demo = await loadDemo();
  const { lessons, attempts } = demo;
  for (const lesson of lessons) {
    const revision = (await documents.readLesson(lesson.id))?.revision ?? 0;
    const saved = await documents.saveLesson({ lesson, origin: 'demo', changed: false }, revision);
    if (saved.outcome === 'saved')
      tabs.post({ type: 'lesson-saved', id: lesson.id, revision: saved.record.revision });
  }
  for (const attempt of attempts) await documents.saveAttempt({ attempt, source: 'demo' });
  for (const model of demo.models) await documents.saveModel(model, null);
}

/** Reset demo, then show what storage holds now. */
export async function resetDemo(store: AppStore, services: Services): Promise<void> {
  await putDemoWorld(services);
  show(store, await services.documents.load());
}
