import { waitingIn } from './waiting';

/** A store as a browser has it: what is kept are its own keys. */
function place() {
  const kept: Record<string, string> = {};
  const storage = Object.create({
    getItem: (key: string) => kept[key] ?? null,
    setItem: (key: string, text: string) =>
      void Object.assign(storage, { [key]: (kept[key] = text) }),
    removeItem: (key: string) => {
      delete kept[key];
      Reflect.deleteProperty(storage, key);
    },
  }) as Storage;
  return storage;
}

test('what has begun waits until it is done, or until something newer is', () => {
  const waiting = waitingIn(place);
  const storage = place();
  const shared = waitingIn(() => storage);
  shared.begun('a', 'one answer');
  shared.begun('a', 'two answers');
  shared.begun('b', 'another');
  shared.done('a', 'one answer');
  expect(shared.all().toSorted()).toEqual(['another', 'two answers']);
  shared.done('a', 'two answers');
  expect(shared.all()).toEqual(['another']);
  expect(waiting.all()).toEqual([]);
});

test('a browser that refuses a place takes nothing else away', () => {
  const refused = waitingIn(() => {
    throw new DOMException('refused');
  });
  refused.begun('a', 'text');
  expect(refused.all()).toEqual([]);
  refused.done('a', 'text');
});
