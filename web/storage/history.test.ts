import { newLesson, newStep } from '../../core/lesson';
import { newUnit } from '../models/units/editor/unitEdits';
import { documentStore } from './documentStore';
import { APART_MS, MOST_VERSIONS } from './history';
import { memoryStore, type KeyValueStore } from './keyValueStore';

const lesson = (title: string) => newLesson('l1', title, newStep('s1', 'Step'));
const record = (title: string) => ({
  lesson: lesson(title),
  origin: 'own' as const,
  changed: false,
});

/** Saves titles one after the other, so many milliseconds apart. */
async function saved(kv: KeyValueStore, titles: readonly string[], apart: number) {
  let clock = 1_000_000;
  const store = documentStore(kv, () => (clock += apart));
  let revision = 0;
  for (const title of titles) {
    const result = await store.saveLesson(record(title), revision);
    if (result.outcome !== 'saved') throw new Error(`expected ${title} to be saved`);
    ({ revision } = result.record);
  }
  return store;
}
const titles = async (store: ReturnType<typeof documentStore>) =>
  (await store.history('fair-sprocket/lesson', 'l1')).map((v) => v.document.title);

test('what was before a change is put aside, newest first, no more than twenty', async () => {
  const store = await saved(memoryStore(), ['one', 'two', 'three'], APART_MS);
  expect(await titles(store)).toEqual(['two', 'one']);
  const many = Array.from({ length: MOST_VERSIONS + 5 }, (_, k) => `v${k}`);
  const full = await saved(memoryStore(), many, APART_MS);
  expect(await titles(full)).toHaveLength(MOST_VERSIONS);
  expect((await titles(full))[0]).toBe(`v${MOST_VERSIONS + 3}`);
});

test('typing puts no version aside for each save; what is brought back puts the present aside first', async () => {
  const store = await saved(memoryStore(), ['one', 'two', 'three', 'four'], 1000);
  expect(await titles(store)).toEqual(['one']);
  await store.setAside(lesson('four'));
  expect(await titles(store)).toEqual(['four', 'one']);
});

test('a save stands though there is no room for what was before', async () => {
  const kv = memoryStore();
  const full: KeyValueStore = {
    ...kv,
    change: (key, decide) =>
      key.startsWith('history:') ? Promise.reject(new Error('disk full')) : kv.change(key, decide),
  };
  const store = await saved(full, ['one', 'two'], APART_MS);
  expect((await store.readLesson('l1'))?.lesson.title).toBe('two');
  expect(await titles(store)).toEqual([]);
});

test('what can’t be read is left out; a document that is gone takes its versions along, its pictures stay until then', async () => {
  const kv = memoryStore({ 'history:lesson:l1': [{ at: 1, document: { rubbish: 1 } }, 'x', null] });
  const store = await saved(kv, ['one', 'two'], APART_MS);
  expect(await titles(store)).toEqual(['one']);
  const there = (await store.readLesson('l1'))!;
  await store.removeLesson(there);
  await store.tidy();
  expect(await kv.get('history:lesson:l1')).toBeNull();
});

test('models have versions as lessons have', async () => {
  let clock = 1_000_000;
  const store = documentStore(memoryStore(), () => (clock += APART_MS));
  const unit = { ...newUnit('u1', (key) => key), name: 'first' };
  await store.saveModel(unit, null);
  await store.saveModel({ ...unit, name: 'second' }, unit);
  const past = await store.history('fair-sprocket/unit', 'u1');
  expect(past.map((v) => v.document.name)).toEqual(['first']);
});
