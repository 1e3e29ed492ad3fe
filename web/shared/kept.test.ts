import { sameShape } from './kept';

test('what was kept is taken up only where it has the shape that is expected', () => {
  const like = { tab: 'speeds', at: 0, on: true, given: { sun: null }, list: [] as string[] };
  expect(
    sameShape(like, { tab: 'x', at: 2, on: false, given: { sun: 'drives' }, list: ['a'] }),
  ).toBe(true);
  for (const value of [
    null,
    'x',
    [],
    { ...like, at: '2' },
    { ...like, given: undefined },
    { ...like, list: { 0: 'a' } },
  ])
    expect([value, sameShape(like, value)]).toEqual([value, false]);
  expect(sameShape([{ a: 1 }], [{ a: 2 }, { a: 'x' }])).toBe(false);
  expect(sameShape(null, { anything: 1 })).toBe(true);
});
