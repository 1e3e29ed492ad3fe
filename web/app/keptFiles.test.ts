import { fetchAll, keptFiles, KEPT_FILES } from './keptFiles';

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
  await fetchAll(['a', 'b', 'c'], async (file) => {
    asked.push(file);
    expect(++open).toBe(1);
    await Promise.resolve();
    open--;
    if (file === 'b') throw new TypeError('no server');
    return new Response('x');
  });
  expect(asked).toEqual(['a', 'b', 'c']);
});
