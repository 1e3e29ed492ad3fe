import { convertToDisplay } from '../../core/quantities';
import { formatAsTyped, formatLimit } from './numbers';

test('a number is told with the decimals it has', () => {
  expect([5, -5, 0.05, 12345.5, 1 / 3].map(formatAsTyped)).toEqual([
    '5',
    '−5',
    '0.05',
    '12\u202f345.5',
    '0.333333',
  ]);
});

test('a limit is rounded to the side on which it can be typed', () => {
  expect([0.1, 2, 100_000, -500].map((x) => formatLimit(x, Math.ceil))).toEqual([
    '0.1',
    '2',
    '100\u202f000',
    '−500',
  ]);
  // One inch is 25.4 mm by definition (published: ISO 80000-3).
  const inches = convertToDisplay(1, 'length', 'inch-pound');
  expect(formatLimit(inches, Math.ceil)).toBe('0.03938');
  expect(formatLimit(inches, Math.floor)).toBe('0.03937');
  // Below zero as well.
  expect(formatLimit(-1 / 3, Math.ceil)).toBe('−0.3333');
});
