import { overlaps } from './wayOut';

const tube = (inner: number, outer: number) => ({ at: 1, inner, outer });

// Geometry: two tubes on one axis pass each other where the one goes through the other, or just touches it.
test.each([
  ['one through the other', tube(10, 20), tube(30, 40), false],
  ['the other way round', tube(30, 40), tube(10, 20), false],
  ['they just touch', tube(10, 20), tube(20, 30), false],
  ['wall meets wall', tube(10, 20), tube(15, 30), true],
  ['one within the wall of the other', tube(10, 40), tube(20, 30), true],
  ['the same', tube(10, 20), tube(10, 20), true],
])('%s', (_name, a, b, barred) => {
  expect(overlaps(a, b)).toBe(barred);
  expect(overlaps(b, a)).toBe(barred);
});
