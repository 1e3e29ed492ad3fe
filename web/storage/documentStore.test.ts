import { readFileSync } from 'node:fs';
import type { Engine } from '../../core/converter';
import { newLesson, newStep } from '../../core/lesson';
import { newUnit } from '../units/editor/unitEdits';
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

const unit = (name: string) => ({ ...newUnit('u1', (key) => key), name });

test('a unit saved on another tab’s version is not overwritten', async () => {
  const store = memoryStore();
  const [one, two] = [documentStore(store, direct), documentStore(store, direct)];
  expect(await one.saveModel(unit('first'), null)).toEqual({ outcome: 'saved' });
  expect(await two.saveModel(unit('second'), unit('first'))).toEqual({ outcome: 'saved' });
  expect(await one.saveModel(unit('third'), unit('first'))).toEqual({
    outcome: 'conflict',
    stored: unit('second'),
  });
  expect((await one.readModel('fair-sprocket/unit', 'u1'))?.name).toBe('second');
  expect((await one.load()).models.map((u) => u.name)).toEqual(['second']);
  await one.removeModel('fair-sprocket/unit', 'u1');
  expect(await one.readModel('fair-sprocket/unit', 'u1')).toBeNull();
  // A unit that is gone is no conflict: what is here is kept.
  expect(await two.saveModel(unit('fourth'), unit('second'))).toEqual({ outcome: 'saved' });
});

const engine = JSON.parse(readFileSync('demo/engines/pilot-petrol.json', 'utf8')) as Engine;

test('an engine and a unit of one id stand beside each other', async () => {
  const store = documentStore(memoryStore(), direct);
  await store.saveModel(unit('the unit'), null);
  await store.saveModel({ ...engine, id: 'u1' }, null);
  expect((await store.readModel('fair-sprocket/engine', 'u1'))?.name).toBe(engine.name);
  expect((await store.readModel('fair-sprocket/unit', 'u1'))?.name).toBe('the unit');
  await store.removeModel('fair-sprocket/engine', 'u1');
  expect((await store.load()).models.map((m) => m.format)).toEqual(['fair-sprocket/unit']);
});
