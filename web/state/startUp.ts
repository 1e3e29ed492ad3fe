import { stringify } from 'safe-stable-stringify';
import { attemptsLoaded } from './attemptsSlice';
import { keptForNow, libraryFailed, libraryLoaded, workLost } from './librarySlice';
import type { LessonRecord, Loaded } from '../storage/records';
import { modelsLoaded } from './modelsSlice';
import { DEMO_ORDER } from '../storage/demoOrder';
import type { DemoWorld } from '../storage/demoWorld';
import type { Services } from './services';
import { defaultSettings, readSettings, settingsLoaded } from './settingsSlice';
import type { AppStore } from './rootState';
import { reasonOf } from '../shared/reasonOf';

const SEEDED = 'demo-seeded';

/** A database that does not answer by then is told of: a slow disk may take a while. */
const PATIENCE_MS = 20_000;

export interface StartOptions {
  /** How long storage may take to answer at first. */
  readonly patienceMs?: number;
  /** Settings are known: the first screen can be drawn. */
  readonly onSettings?: () => void;
}

/**
 * Reads settings and documents; puts the demo world in on the very first start. When storage refuses or does not answer, the
 * demo world still opens, from memory, and the screen says that nothing can be kept; when it does answer after all, what it
 * holds is shown, and the word is taken back. A first start on which a mark tells of
 * earlier work is no first start: the work is gone, and the screen says so.
 */
export async function startUp(
  store: AppStore,
  services: Services,
  prefersNight: boolean,
  { patienceMs = PATIENCE_MS, onSettings = () => undefined }: StartOptions = {},
): Promise<void> {
  const { documents, marks } = services;
  const fallback = defaultSettings(prefersNight);
  const reading = documents.readSetting('settings');
  try {
    const stored = await answered(reading, patienceMs);
    store.dispatch(settingsLoaded(readSettings(stored, fallback)));
    onSettings();
    if ((await documents.readSetting(SEEDED)) !== true) {
      store.dispatch(workLost(marks.kept()));
      // It is shown at once, and written meanwhile.
      const demo = asLoaded(await services.loadDemo(), FIRST_REVISION);
      show(store, demo);
      const allNew = await documents.putFirst(demo);
      await documents.saveSetting(SEEDED, true);
      if (!allNew) show(store, await documents.load());
    } else show(store, await documents.load());
    if (await services.passing()) store.dispatch(keptForNow());
  } catch (error) {
    // Where not even that can be had the shelves are empty, and the screen says why.
    const demo = await services.loadDemo().catch((): DemoWorld => NOTHING);
    show(store, asLoaded(demo, 0));
    store.dispatch(libraryFailed(reasonOf(error)));
    if (error instanceof NoAnswer)
      void reading.then(
        () => startUp(store, services, prefersNight, { patienceMs }),
        () => undefined,
      );
  }
}

/** Every later save has a revision by the clock. */
const FIRST_REVISION = 1;

const NOTHING: DemoWorld = { lessons: [], attempts: [], models: [] };

const asLoaded = ({ lessons, attempts, models }: DemoWorld, revision: number): Loaded => ({
  lessons: lessons.map((lesson) => ({ lesson, origin: 'demo', revision, changed: false })),
  attempts: attempts.map((attempt) => ({ attempt, source: 'demo' })),
  models,
  unreadable: [],
});

class NoAnswer extends Error {}

function answered<T>(task: Promise<T>, ms: number): Promise<T> {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const late = new Promise<T>((_done, fail) => {
    timer = setTimeout(() => fail(new NoAnswer('no answer')), ms);
  });
  return Promise.race([task, late]).finally(() => clearTimeout(timer));
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

/** What of the demo world the user has changed: it is kept as copies before the demo world comes back. */
export interface ChangedDemo {
  readonly lessons: Loaded['lessons'];
  readonly models: Loaded['models'];
}

export async function changedDemo({ documents, loadDemo }: Services): Promise<ChangedDemo> {
  const demo = await loadDemo();
  const now = await documents.load();
  const own = new Map(demo.models.map((m) => [`${m.format} ${m.id}`, stringify(m)]));
  return {
    lessons: now.lessons.filter((r) => r.origin === 'demo' && r.changed),
    models: now.models.filter((m) => {
      const original = own.get(`${m.format} ${m.id}`);
      return original !== undefined && original !== stringify(m);
    }),
  };
}

/** Puts the demo world under its own ids; other documents are not touched, nor what this program can't read. */
export async function putDemoWorld(services: Services): Promise<void> {
  const { documents, tabs, loadDemo } = services;
  const { lessons, attempts, models } = await loadDemo();
  // Each stands by itself: they go in side by side.
  await Promise.all([
    ...lessons.map(async (lesson) => {
      const revision = (await documents.readLesson(lesson.id))?.revision ?? 0;
      const record = { lesson, origin: 'demo', changed: false } as const;
      const saved = await documents.saveLesson(record, revision);
      if (saved.outcome === 'saved')
        tabs.post({ type: 'lesson-saved', id: lesson.id, revision: saved.record.revision });
    }),
    ...attempts.map(async (attempt) => {
      const there = await documents.readAttempt(attempt.id);
      await documents.saveAttempt({ attempt, source: 'demo' }, there?.attempt ?? null);
    }),
    ...models.map(async (model) => {
      const there = await documents.readModel(model.format, model.id);
      const saved = await documents.saveModel(model, there);
      if (saved.outcome === 'saved')
        tabs.post({ type: 'model-saved', kind: model.format, id: model.id });
    }),
  ]);
}

/** Reset demo, then show what storage holds now. */
export async function resetDemo(store: AppStore, services: Services): Promise<void> {
  await putDemoWorld(services);
  show(store, await services.documents.load());
}
