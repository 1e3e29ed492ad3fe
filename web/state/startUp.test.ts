import { newLesson, newStep } from '../../core/lesson';
import { record } from '../../core/lesson/tests/records';
import { saveAttempt, removeAttempt } from './attemptsSlice';
import { refreshLesson, removeLesson, saveLesson, selectStorageTrouble } from './librarySlice';
import { newUnit } from '../models/units/editor/unitEdits';
import { memoryStore, type KeyValueStore } from '../storage/keyValueStore';
import { memoryMarks, type Marks } from '../storage/marks';
import { readSettings, defaultSettings, settingsChanged } from './settingsSlice';
import { changedDemo, resetDemo, startUp } from './startUp';
import { createStore } from '../app/store';
import { memoryServices } from './tests/memoryServices';

const demoLesson = newLesson('hold-one-drive-one', 'Demo', newStep('s', 'Step'));
const attempt = (id: string) => record(demoLesson, [], { id });

const DEMO = { lessons: [demoLesson], attempts: [attempt('demo-1')], models: [] };

function setUp(keyValue: KeyValueStore = memoryStore(), marks: Marks = memoryMarks()) {
  const made = memoryServices({ demo: DEMO, keyValue, marks });
  return { ...made, store: createStore(made.services) };
}
const save = (title: string, baseRevision: number) =>
  saveLesson({ lesson: { ...demoLesson, title }, origin: 'demo', changed: true, baseRevision });

test('the first start brings the demo world; the second leaves things as they are', async () => {
  const { services, store, keyValue } = setUp();
  await startUp(store, services, true);
  expect(store.getState().settings.paper).toBe('night');
  expect(store.getState().library).toMatchObject({ status: 'ready', ids: ['hold-one-drive-one'] });
  expect(Object.keys(store.getState().attempts.byId)).toEqual(['demo-1']);
  await store.dispatch(save('Mine now', 1)).unwrap();
  const again = setUp(keyValue);
  await startUp(again.store, again.services, false);
  expect(again.store.getState().library.byId['hold-one-drive-one']?.lesson.title).toBe('Mine now');
});

test('a first start that was cut off goes on; what was changed meanwhile is not written over', async () => {
  const { services, store, keyValue } = setUp();
  // The demo world was shown and written, a lesson changed, and then the page went before it was noted.
  await startUp(store, services, false);
  await store.dispatch(save('Mine now', 1)).unwrap();
  await keyValue.remove('setting:demo-seeded');
  const again = setUp(keyValue);
  await startUp(again.store, again.services, false);
  expect(again.store.getState().library.byId['hold-one-drive-one']?.lesson.title).toBe('Mine now');
});

test('reset demo writes over its own ids only', async () => {
  const { services, store } = setUp();
  await startUp(store, services, false);
  await store.dispatch(save('Changed', 1)).unwrap();
  const own = { ...demoLesson, id: 'own', title: 'Own' };
  await store
    .dispatch(saveLesson({ lesson: own, origin: 'own', changed: false, baseRevision: 0 }))
    .unwrap();
  await resetDemo(store, services);
  const { byId } = store.getState().library;
  expect(byId['hold-one-drive-one']).toMatchObject({
    changed: false,
    revision: 3,
    lesson: { title: 'Demo' },
  });
  expect(byId['own']?.lesson.title).toBe('Own');
});

test('storage that refuses: the demo world opens from memory and the state says so', async () => {
  const refuse = () => Promise.reject(new Error('SecurityError'));
  const { services, store } = setUp({
    get: refuse,
    set: refuse,
    remove: refuse,
    keys: refuse,
    change: refuse,
  });
  await startUp(store, services, false);
  expect(store.getState().library).toMatchObject({ status: 'failed', ids: ['hold-one-drive-one'] });
  expect(store.getState().library.failure).toContain('SecurityError');
});

test('a database that does not answer is told of, and the demo world opens from memory', async () => {
  const never = () => new Promise<never>(() => undefined);
  const { services, store } = setUp({ ...memoryStore(), get: never });
  await startUp(store, services, false, { patienceMs: 5 });
  expect(store.getState().library).toMatchObject({ status: 'failed', ids: ['hold-one-drive-one'] });
  expect(store.getState().library.failure).toContain('no answer');
});

test('a database that answers late is shown after all, and the word is taken back', async () => {
  const slow = memoryStore();
  let answer: () => void = () => undefined;
  const late = new Promise<void>((done) => (answer = done));
  const { services, store } = setUp({ ...slow, get: (key) => late.then(() => slow.get(key)) });
  await startUp(store, services, false, { patienceMs: 5 });
  expect(store.getState().library.status).toBe('failed');
  answer();
  for (let k = 0; k < 200 && store.getState().library.status !== 'ready'; k++)
    await new Promise((done) => setTimeout(done, 5));
  expect(store.getState().library).toMatchObject({ status: 'ready', failure: '' });
});

test('an empty database where work was kept before is no first start', async () => {
  const marks = memoryMarks();
  const first = setUp(memoryStore(), marks);
  await startUp(first.store, first.services, false);
  expect(first.store.getState().library.lost).toBeNull();
  expect(selectStorageTrouble(first.store.getState())).toBe(false);
  await first.store.dispatch(save('Mine', 1)).unwrap();
  // The browser has cleared the database, but not what stands beside it.
  const later = setUp(memoryStore(), marks);
  await startUp(later.store, later.services, false);
  expect(later.store.getState().library.lost).toBe('2030-01-01T08:00:00Z');
  expect(selectStorageTrouble(later.store.getState())).toBe(true);
});

test('records of the demo world that are put back are nobody’s work; a student’s own record is', async () => {
  const { services, store } = setUp();
  await startUp(store, services, false);
  const put = (id: string, source: 'demo' | 'mine') =>
    store.dispatch(saveAttempt({ record: { attempt: attempt(id), source }, base: null })).unwrap();
  await put('demo-2', 'demo');
  expect(services.marks.kept()).toBeNull();
  await put('own', 'mine');
  expect(services.marks.kept()).toBe(services.now());
});

test('what was changed of the demo world is known, models too, and what can’t be read is left alone', async () => {
  const kv = memoryStore();
  const { services, store } = setUp(kv);
  const demo = await services.loadDemo();
  const unit = newUnit('skiff', (key) => key);
  const withUnit = { ...services, loadDemo: () => Promise.resolve({ ...demo, models: [unit] }) };
  await startUp(store, withUnit, false);
  expect(await changedDemo(withUnit)).toEqual({ lessons: [], models: [] });
  const mine = { ...unit, name: 'Mine' };
  await services.documents.saveModel(mine, unit);
  await store.dispatch(save('Changed', 1)).unwrap();
  const changed = await changedDemo(withUnit);
  expect(changed.models).toEqual([mine]);
  expect(changed.lessons.map((r) => r.lesson.title)).toEqual(['Changed']);
  const newer = { format: 'fair-sprocket/unit', version: 99 };
  await kv.set('unit:skiff', newer);
  await resetDemo(store, withUnit);
  expect(await kv.get('unit:skiff')).toEqual(newer);
});

test('a save tells other tabs; a conflict shows what is stored; a refresh takes it in', async () => {
  const { services, store, posted, keyValue } = setUp();
  await startUp(store, services, false);
  posted.length = 0;
  await store.dispatch(save('First', 1)).unwrap();
  expect(posted).toEqual([{ type: 'lesson-saved', id: 'hold-one-drive-one', revision: 2 }]);
  const conflict = await store.dispatch(save('Late', 1)).unwrap();
  expect(conflict).toMatchObject({ outcome: 'conflict', stored: { revision: 2 } });
  const other = setUp(keyValue);
  await other.store.dispatch(save('Other tab', 2)).unwrap();
  await store.dispatch(refreshLesson('hold-one-drive-one'));
  expect(store.getState().library.byId['hold-one-drive-one']?.lesson.title).toBe('Other tab');
});

test('a failed save rejects with the browser’s words and changes nothing shown', async () => {
  const keyValue = memoryStore();
  const { services, store } = setUp(keyValue);
  await startUp(store, services, false);
  keyValue.change = () => Promise.reject(new DOMException('no space left', 'QuotaExceededError'));
  const result = await store.dispatch(save('Lost?', 1));
  expect(result.payload).toBe('QuotaExceededError: no space left');
  expect(store.getState().library.byId['hold-one-drive-one']?.lesson.title).toBe('Demo');
});

test('lessons and records are removed and come back', async () => {
  const { services, store } = setUp();
  await startUp(store, services, false);
  const stored = store.getState().library.byId['hold-one-drive-one']!;
  await store.dispatch(removeLesson(stored)).unwrap();
  expect(store.getState().library.ids).toEqual([]);
  await store.dispatch(save('Back', 0)).unwrap();
  expect(store.getState().library.ids).toEqual(['hold-one-drive-one']);
  await store.dispatch(removeAttempt(attempt('demo-1'))).unwrap();
  expect(store.getState().attempts.byId).toEqual({});
  await store
    .dispatch(saveAttempt({ record: { attempt: attempt('a'), source: 'imported' }, base: null }))
    .unwrap();
  expect((await services.documents.load()).attempts.map((r) => r.attempt.id)).toEqual(['a']);
});

test('settings that were tampered with fall back, the rest is kept', () => {
  const fallback = defaultSettings(false);
  expect(
    readSettings({ paper: 'plaid', units: 'inch-pound', singleKeys: 'yes', student: 4 }, fallback),
  ).toEqual({
    ...fallback,
    units: 'inch-pound',
  });
  expect(readSettings(null, fallback)).toBe(fallback);
  const { store } = setUp();
  store.dispatch(settingsChanged({ student: 'Wend' }));
  expect(store.getState().settings.student).toBe('Wend');
});
