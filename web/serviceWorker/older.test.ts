import { keepOlder, OLDER } from './older';

const SHOP = 'http://shop.example';

/** Caches as a browser has them, in memory. */
function inMemory(stored: Record<string, Record<string, string>>) {
  const all = new Map(
    Object.entries(stored).map(([name, files]) => [name, new Map(Object.entries(files))]),
  );
  const cache = (name: string) => {
    const files = all.get(name) ?? new Map<string, string>();
    all.set(name, files);
    return {
      keys: () => Promise.resolve([...files.keys()].map((path) => ({ url: SHOP + path }))),
      match: ({ url }: { url: string }) => Promise.resolve(files.get(url.slice(SHOP.length))),
      put: ({ url }: { url: string }, body: string) =>
        Promise.resolve(void files.set(url.slice(SHOP.length), body)),
    };
  };
  const caches = {
    open: (name: string) => Promise.resolve(cache(name)),
    delete: (name: string) => Promise.resolve(all.delete(name)),
  } as unknown as CacheStorage;
  return { caches, filesOf: (name: string) => Object.fromEntries(all.get(name) ?? []) };
}
const NOW = 'kept';
const build = (...files: string[]) => files.map((url) => ({ url, revision: null }));

test('what the build before has and this one has not is put aside; pages of it are not', async () => {
  const { caches, filesOf } = inMemory({
    [NOW]: { '/index.html': 'page 1', '/assets/a-1.js': 'a1', '/assets/b-1.js': 'b1' },
  });
  await keepOlder(caches, NOW, build('index.html', 'assets/a-1.js', 'assets/b-2.js'));
  expect(filesOf(OLDER)).toEqual({ '/assets/b-1.js': 'b1' });
  // Nothing is taken from what runs now.
  expect(Object.keys(filesOf(NOW))).toHaveLength(3);
});

test('of two builds before the nearer stays; the same build once more lets none go', async () => {
  const { caches, filesOf } = inMemory({
    [NOW]: { '/assets/c-2.js': 'c2' },
    [OLDER]: { '/assets/c-1.js': 'c1' },
  });
  await keepOlder(caches, NOW, build('assets/c-2.js'));
  expect(filesOf(OLDER)).toEqual({ '/assets/c-1.js': 'c1' });
  await keepOlder(caches, NOW, build('assets/c-3.js'));
  expect(filesOf(OLDER)).toEqual({ '/assets/c-2.js': 'c2' });
});

test('a first visit has nothing to put aside', async () => {
  const { caches, filesOf } = inMemory({});
  await keepOlder(caches, NOW, build('index.html', 'assets/a-1.js'));
  expect(filesOf(OLDER)).toEqual({});
});
