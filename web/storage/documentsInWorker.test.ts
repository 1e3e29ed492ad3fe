import { expose } from 'comlink';
import { newLesson, newStep } from '../../core/lesson';
import { documentsInWorker } from './documentsInWorker';
import { documentStore } from './documentStore';
import { memoryStore, type KeyValueStore } from './keyValueStore';

const aLesson = newLesson('l1', 'Quay', newStep('s1', 'Step'));

/** A worker that can't be fetched says so in an event, and nothing else. */
class Unfetched extends EventTarget {
  ended = false;
  postMessage(): void {}
  terminate(): void {
    this.ended = true;
  }
  fail(message: string): void {
    this.dispatchEvent(Object.assign(new Event('error'), { message }));
  }
}

/** The other end of a channel, which keeps documents in a store as the worker does. */
function working(store: KeyValueStore): { worker: Worker; close: () => void } {
  const { port1, port2 } = new MessageChannel();
  const kept = {
    ...documentStore(store, () => 1),
    loadDemoWorld: () => Promise.reject(new Error('no demo')),
  };
  expose(kept, port2);
  const worker = Object.assign(port1, { terminate: () => port1.close() }) as unknown as Worker;
  return { worker, close: () => port1.close() };
}

test('documents are kept and checked on the other side; what is refused there is told here', async () => {
  const store = memoryStore();
  const { worker, close } = working(store);
  const documents = documentsInWorker(store, () => worker);
  const record = { lesson: aLesson, origin: 'own', changed: false } as const;
  expect(await documents.saveLesson(record, 0)).toMatchObject({ outcome: 'saved' });
  expect((await documents.readLesson(aLesson.id))?.lesson).toEqual(aLesson);
  await store.set('lesson:odd', { lesson: { title: 3 } });
  expect((await documents.load()).unreadable).toEqual(['lesson:odd']);
  await expect(documents.loadDemoWorld()).rejects.toThrow('no demo');
  // Settings never go across.
  await documents.saveSetting('paper', 'night');
  expect(await store.get('setting:paper')).toBe('night');
  close();
});

test('a worker that could not be fetched is told to all who wait, and started anew by the next', async () => {
  const store = memoryStore();
  const first = new Unfetched();
  const { worker, close } = working(store);
  const starts = [first as unknown as Worker, worker];
  const documents = documentsInWorker(store, () => starts.shift()!);
  const asked = [documents.load(), documents.readLesson('any')];
  first.fail('not there');
  for (const answer of asked) await expect(answer).rejects.toThrow('not there');
  expect(first.ended).toBe(true);
  expect(await documents.readLesson('any')).toBeNull();
  expect(starts).toEqual([]);
  close();
});
