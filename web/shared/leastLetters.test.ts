import { fittedScale, leastLetters } from './leastLetters';

test('a drawing is as large as its place lets it be, and its letters no smaller than can be read', () => {
  const drawing = { width: 800, height: 400 };
  expect(fittedScale({ width: 400, height: 400 }, drawing)).toBe(0.5);
  expect(fittedScale({ width: 1600, height: 200 }, drawing)).toBe(0.5);
  // Before it is measured it is taken as it is drawn.
  expect(fittedScale({ width: 0, height: 0 }, drawing)).toBe(1);
  // On the screen that is the same at any size.
  for (const width of [200, 400, 1600])
    expect(leastLetters({ width, height: width }, drawing)).toEqual({
      '--least': `calc(var(--least-letter, 9.5px) / ${(width / 800).toFixed(3)})`,
    });
});
