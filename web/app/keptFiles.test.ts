import { fetchAll, keptFiles, KEPT_FILES, noteFetched, savesData, wereFetched } from './keptFiles';

const page = (text: string | null) => ({
  getElementById: (id: string) =>
    id === KEPT_FILES && text !== null ? ({ textContent: text } as HTMLElement) : null,
});

test('the list stands in the page; where there is none, nothing is fetched', () => {
  expect(keptFiles(page('["/a.js","/b.js"]'))).toEqual(['/a.js', '/b.js']);
  expect(keptFiles(page(null))).toEqual([]);
});

test('in order, one at a time; one that fails does not keep the rest from coming', async () => {
  const asked: string[] = [];
  let open = 0;
  const all = await fetchAll(['a', 'b', 'c'], async (file) => {
    asked.push(file);
    expect(++open).toBe(1);
    await Promise.resolve();
    open--;
    if (file === 'b') throw new TypeError('no server');
    return new Response('x');
  });
  expect(asked).toEqual(['a', 'b', 'c']);
  expect(all).toBe(false);
  expect(await fetchAll(['a'], () => Promise.resolve(new Response('x')))).toBe(true);
  const gone = () => Promise.resolve(new Response('', { status: 404 }));
  expect(await fetchAll(['a'], gone)).toBe(false);
});

test('fetched once a day, and again with every other build', () => {
  const kept = new Map<string, string>();
  const notes = {
    getItem: (name: string) => kept.get(name) ?? null,
    setItem: (name: string, text: string) => void kept.set(name, text),
  };
  const noon = Date.parse('2026-05-04T12:00:00Z');
  expect(wereFetched(['/a.js'], notes, noon)).toBe(false);
  noteFetched(['/a.js'], notes, noon);
  expect(wereFetched(['/a.js'], notes, noon + 3_600_000)).toBe(true);
  expect(wereFetched(['/b.js'], notes, noon)).toBe(false);
  expect(wereFetched(['/a.js'], notes, noon + 86_400_000)).toBe(false);
});

test('a browser that saves data is left alone; one that says nothing is not', () => {
  expect(savesData({ connection: { saveData: true } })).toBe(true);
  expect(savesData({ connection: { saveData: false } })).toBe(false);
  expect(savesData({ connection: {} })).toBe(false);
  expect(savesData({})).toBe(false);
});
