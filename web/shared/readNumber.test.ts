import fc from 'fast-check';
import { readNumber } from './readNumber';

const value = (text: string) => {
  const read = readNumber(text);
  return read.kind === 'number' ? read.value : read.kind === 'either' ? read.values : null;
};

// Common practice, no source: a comma stands before decimals in much of the world, and between thousands in the rest.
test.each([
  ['2,24', 2.24],
  ['2.24', 2.24],
  ['0,005', 0.005],
  [',5', 0.5],
  ['1,2345', 1.2345],
  ['1234,5', 1234.5],
  ['1.234,5', 1234.5],
  ['1,234.5', 1234.5],
  ['1,234,567', 1_234_567],
  ['1.234.567,25', 1_234_567.25],
  ['1 234', 1234],
  ['\u22122,5', -2.5],
  ['1.234', 1.234],
  ['0,125', 0.125],
])('%s is clear', (text, wanted) => expect(value(text)).toBe(wanted));

test('one comma with three digits after it is asked about; nonsense is nothing', () => {
  expect(value('2,240')).toEqual([2.24, 2240]);
  expect(value('-12,345')).toEqual([-12.345, -12345]);
  for (const text of ['', 'abc', '1,23,4', '1.2.3', '1,2,3.4.5', '--2'])
    expect(value(text)).toBe(null);
});

test('what is shown reads back, with a point or with a comma', () => {
  fc.assert(
    fc.property(fc.double({ min: -1e6, max: 1e6, noNaN: true }), (x) => {
      const shown = (Math.round(x * 100) / 100).toFixed(2);
      expect(value(shown)).toBe(Number(shown));
      expect(value(shown.replace('.', ','))).toBe(Number(shown));
    }),
    { seed: 20261128, numRuns: 200 },
  );
});
