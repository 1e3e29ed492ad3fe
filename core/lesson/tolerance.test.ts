import fc from 'fast-check';
import { within } from './questionParts';

// Decimal arithmetic is the judge: an answer at the very limit, as a person would write it, is inside.
test('an answer that lies exactly on a limit is inside, and one beyond it is not', () => {
  const cents = fc.integer({ min: 1, max: 100_000 });
  fc.assert(
    fc.property(
      cents,
      fc.integer({ min: 1, max: 50 }),
      fc.constantFrom(1, -1),
      (right, off, side) => {
        const absolute = { kind: 'absolute', value: off / 100 } as const;
        expect(within(absolute, right / 100, (right + side * off) / 100)).toBe(true);
        expect(within(absolute, right / 100, (right + side * (off + 1)) / 100)).toBe(false);
      },
    ),
    { seed: 5, numRuns: 400 },
  );
  fc.assert(
    fc.property(
      cents,
      fc.integer({ min: 1, max: 20 }),
      fc.constantFrom(1, -1),
      (whole, percent, side) => {
        const tolerance = { kind: 'percent', value: percent } as const;
        // Whole numbers of hundreds, so that the limit itself is a whole number.
        const right = 100 * whole;
        const limit = right + side * percent * whole;
        expect(within(tolerance, right, limit)).toBe(true);
        expect(within(tolerance, right / 1000, limit / 1000)).toBe(true);
        expect(within(tolerance, right, limit + side)).toBe(false);
      },
    ),
    { seed: 6, numRuns: 400 },
  );
});
