import { newLesson, newStep } from '../../core/lesson';
import { documentStore, type Exclusive } from './documentStore';
import { memoryStore, type KeyValueStore } from './keyValueStore';

const direct: Exclusive = (_name, task) => task();
const lesson = (title: string) => newLesson('l1', title, newStep('s1', 'Step'));
const record = (title: string) => ({
  lesson: lesson(title),
  origin: 'own' as const,
  changed: false,
});

test('two tabs: the second save on an old revision is refused and nothing is lost', async () => {
  const store = memoryStore();
  const [one, two] = [documentStore(store, direct), documentStore(store, direct)];
  expect(await one.saveLesson(record('first'), 0)).toMatchObject({
    outcome: 'saved',
    record: { revision: 1 },
  });
  expect(await two.saveLesson(record('second'), 1)).toMatchObject({
    outcome: 'saved',
    record: { revision: 2 },
  });
  const refused = await one.saveLesson(record('third'), 1);
  expect(refused).toMatchObject({ outcome: 'conflict', stored: { lesson: { title: 'second' } } });
  expect((await one.readLesson('l1'))?.lesson.title).toBe('second');
});

test('a new lesson never lands on one of the same id', async () => {
  const store = documentStore(memoryStore(), direct);
  await store.saveLesson(record('mine'), 0);
  expect((await store.saveLesson(record('other'), 0)).outcome).toBe('conflict');
});

test('what cannot be read is named and left where it is', async () => {
  const keep = { lesson: { format: 'fair-sprocket/lesson', version: 99 }, revision: 1 };
  const kv = memoryStore({
    'lesson:new': keep,
    'attempt:x': 'rubbish',
    'media:a': 1,
    'setting:b': 2,
  });
  const store = documentStore(kv, direct);
  await store.saveLesson(record('mine'), 0);
  const loaded = await store.load();
  expect(loaded.lessons.map((l) => l.lesson.title)).toEqual(['mine']);
  expect(loaded.unreadable.sort()).toEqual(['attempt:x', 'lesson:new']);
  expect(await kv.get('lesson:new')).toEqual(keep);
});

test('pictures and settings come back as they went in', async () => {
  const store = documentStore(memoryStore(), direct);
  await store.saveMedia('media/a.png', new Uint8Array([1, 2]));
  expect(await store.readMedia('media/a.png')).toEqual(new Uint8Array([1, 2]));
  expect(await store.readMedia('media/none.png')).toBeNull();
  await store.saveSetting('units', 'inch-pound');
  expect(await store.readSetting('units')).toBe('inch-pound');
});

test('a failing store fails the save and keeps the old content', async () => {
  const kv = memoryStore();
  const full: KeyValueStore = { ...kv, set: () => Promise.reject(new Error('QuotaExceededError')) };
  await documentStore(kv, direct).saveLesson(record('old'), 0);
  await expect(documentStore(full, direct).saveLesson(record('new'), 1)).rejects.toThrow('Quota');
  expect((await documentStore(kv, direct).readLesson('l1'))?.lesson.title).toBe('old');
});
