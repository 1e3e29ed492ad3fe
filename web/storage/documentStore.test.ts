import type { Engine } from '../../core/converter';
import { newLesson, newStep, type Attempt } from '../../core/lesson';
import { newUnit } from '../models/units/editor/unitEdits';
import { documentStore } from './documentStore';
import { memoryStore, type KeyValueStore } from './keyValueStore';
import { demoFile } from '../../core/tests/demoFile';

const direct = () => 0;
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

test('what could not be opened again is not written: the version before stays, and the next good one is saved', async () => {
  const kv = memoryStore();
  const store = documentStore(kv, direct);
  const first = await store.saveLesson(record('good'), 0);
  const tooLong = await store.saveLesson(record('x'.repeat(100_000)), 1);
  expect(tooLong).toMatchObject({ outcome: 'refused', problems: [{ path: 'title' }] });
  expect(first).toMatchObject({ record: { revision: 1 } });
  expect((await store.readLesson('l1'))?.lesson.title).toBe('good');
  expect((await store.saveLesson(record('better'), 1)).outcome).toBe('saved');
  const engine = demoFile<Engine>('engines/yard-diesel');
  expect((await store.saveModel({ ...engine, idleRpm: -5 }, null)).outcome).toBe('refused');
  expect((await store.saveModel(engine, null)).outcome).toBe('saved');
  expect((await store.load()).unreadable).toEqual([]);
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
  const full: KeyValueStore = {
    ...kv,
    change: () => Promise.reject(new Error('QuotaExceededError')),
  };
  await documentStore(kv, direct).saveLesson(record('old'), 0);
  await expect(documentStore(full, direct).saveLesson(record('new'), 1)).rejects.toThrow('Quota');
  expect((await documentStore(kv, direct).readLesson('l1'))?.lesson.title).toBe('old');
});

const unit = (name: string) => ({ ...newUnit('u1', (key) => key), name });

test('a unit saved on another tab’s version is not overwritten', async () => {
  const store = memoryStore();
  const [one, two] = [documentStore(store, direct), documentStore(store, direct)];
  expect(await one.saveModel(unit('first'), null)).toMatchObject({ outcome: 'saved' });
  expect(await two.saveModel(unit('second'), unit('first'))).toMatchObject({ outcome: 'saved' });
  expect(await one.saveModel(unit('third'), unit('first'))).toEqual({
    outcome: 'conflict',
    stored: unit('second'),
  });
  expect((await one.readModel('fair-sprocket/unit', 'u1'))?.name).toBe('second');
  expect((await one.load()).models.map((u) => u.name)).toEqual(['second']);
  expect(await one.removeModel(unit('first'))).toBe(false);
  expect(await one.removeModel(unit('second'))).toBe(true);
  expect(await one.readModel('fair-sprocket/unit', 'u1')).toBeNull();
  // A unit that is gone is no conflict: what is here is kept.
  expect(await two.saveModel(unit('fourth'), unit('second'))).toMatchObject({ outcome: 'saved' });
});

const engine = demoFile<Engine>('engines/pilot-petrol');

test('an engine and a unit of one id stand beside each other', async () => {
  const store = documentStore(memoryStore(), direct);
  await store.saveModel(unit('the unit'), null);
  await store.saveModel({ ...engine, id: 'u1' }, null);
  expect((await store.readModel('fair-sprocket/engine', 'u1'))?.name).toBe(engine.name);
  expect((await store.readModel('fair-sprocket/unit', 'u1'))?.name).toBe('the unit');
  await store.removeModel({ ...engine, id: 'u1' });
  expect((await store.load()).models.map((m) => m.format)).toEqual(['fair-sprocket/unit']);
});

const attempt = (answers: number): Attempt => ({
  format: 'fair-sprocket/attempt',
  version: 1,
  id: 'a1',
  student: 'Wend Halyard',
  lesson: { id: 'l1', title: 'L', hash: 'a'.repeat(64) },
  startedAt: '2030-01-01T08:00:00Z',
  answers: Array.from({ length: answers }, (_v, k) => ({
    question: `q${k}`,
    round: 0,
    answer: { kind: 'choice' as const, choice: 'direct' },
    confidence: 'guess' as const,
    at: '2030-01-01T08:00:00Z',
    score: 0,
  })),
});

test('a record that another tab has added to is not written over', async () => {
  const kv = memoryStore();
  const [one, two] = [documentStore(kv, direct), documentStore(kv, direct)];
  const save = (store: typeof one, answers: number, base: number | null) =>
    store.saveAttempt(
      { attempt: attempt(answers), source: 'mine' },
      base === null ? null : attempt(base),
    );
  expect((await save(one, 1, null)).outcome).toBe('saved');
  expect((await save(two, 2, 1)).outcome).toBe('saved');
  expect((await save(one, 1, 1)).outcome).toBe('conflict');
  expect((await save(one, 1, null)).outcome).toBe('conflict');
  expect((await one.readAttempt('a1'))?.attempt.answers).toHaveLength(2);
});

test('deleted and brought in again in one tab: a save on what was there before is a conflict', async () => {
  let clock = 1000;
  const kv = memoryStore();
  const [one, two] = [documentStore(kv, () => clock), documentStore(kv, () => clock)];
  const first = await one.saveLesson(record('first'), 0);
  if (first.outcome !== 'saved') throw new Error(first.outcome);
  clock += 5;
  expect(await two.removeLesson(first.record)).toBe(true);
  const again = await two.saveLesson(record('again'), 0);
  expect((await one.saveLesson(record('mine'), first.record.revision)).outcome).toBe('conflict');
  // Undoing a deletion never lands on what was saved since.
  expect((await one.saveLesson(record('first'), 0)).outcome).toBe('conflict');
  expect(again.outcome === 'saved' && (await one.readLesson('l1'))?.lesson.title).toBe('again');
});

test('what can’t be read is never written over, whatever is saved on it', async () => {
  const newer = { format: 'fair-sprocket/engine', version: 99, id: engine.id };
  const kv = memoryStore({ [`engine:${engine.id}`]: newer, 'attempt:a1': 'rubbish' });
  const store = documentStore(kv, direct);
  expect(await store.saveModel(engine, null)).toEqual({ outcome: 'unreadable' });
  expect(await store.saveModel(engine, engine)).toEqual({ outcome: 'unreadable' });
  expect((await store.saveAttempt({ attempt: attempt(0), source: 'mine' }, null)).outcome).toBe(
    'unreadable',
  );
  expect(await kv.get(`engine:${engine.id}`)).toEqual(newer);
});

test('pictures and versions that nothing needs are let go of; one that just came in is not', async () => {
  let clock = 1_000_000;
  const kv = memoryStore();
  const store = documentStore(kv, () => clock);
  const step = newStep('s', 'S');
  const picture = {
    id: 'p',
    kind: 'picture' as const,
    media: 'media/kept.png',
    alt: '',
    caption: '',
  };
  const shown = newLesson('l2', 'L', { ...step, blocks: [picture] });
  await store.saveMedia('media/kept.png', new Uint8Array([1]));
  await store.saveMedia('media/left.png', new Uint8Array([2]));
  await store.saveLesson({ lesson: shown, origin: 'own', changed: false }, 0);
  await store.keepVersion('a'.repeat(64), lesson('begun'));
  await store.keepVersion('b'.repeat(64), lesson('nobody began it'));
  await store.saveAttempt({ attempt: attempt(0), source: 'mine' }, null);
  expect(await store.tidy()).toBe(1);
  clock += 11 * 60_000;
  expect(await store.tidy()).toBe(1);
  expect(await store.readMedia('media/left.png')).toBeNull();
  expect(await store.readMedia('media/kept.png')).toEqual(new Uint8Array([1]));
  expect((await store.readVersion('a'.repeat(64)))?.title).toBe('begun');
  expect(await store.readVersion('b'.repeat(64))).toBeNull();
});
