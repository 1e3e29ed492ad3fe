import { fittedScale, leastLetters } from './leastLetters';

test('a drawing is as large as its place lets it be, and its letters no smaller than can be read', () => {
  const drawing = { width: 800, height: 400 };
  expect(fittedScale({ width: 400, height: 400 }, drawing)).toBe(0.5);
  expect(fittedScale({ width: 1600, height: 200 }, drawing)).toBe(0.5);
  // Before it is measured it is taken as it is drawn.
  expect(fittedScale({ width: 0, height: 0 }, drawing)).toBe(1);
  const least = (place: { width: number; height: number }) =>
    Number.parseFloat((leastLetters(place, drawing) as Record<string, string>)['--least']!);
  // On the screen that is the same at any size.
  for (const width of [200, 400, 1600])
    expect(least({ width, height: width }) * (width / 800)).toBeCloseTo(9.5, 2);
});
