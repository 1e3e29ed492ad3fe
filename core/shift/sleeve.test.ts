import { goesIn, jumpsOutAbove, SLEEVE_AS_BUILT } from './index';

// Common practice, no source: rounded tips grind and will not engage; a worn synchronizer grinds on the move and goes in
// after a double de-clutch; a clutch that drags makes every gear grind; worn flanks jump out under load.
test('what goes in, and how', () => {
  expect(goesIn(SLEEVE_AS_BUILT, false)).toBe('clean');
  const synchro = { ...SLEEVE_AS_BUILT, synchro: 0.95 };
  expect(goesIn(synchro, false)).toBe('grinds');
  expect(goesIn(synchro, true)).toBe('clean');
  const rounded = { ...SLEEVE_AS_BUILT, rounded: 0.8 };
  expect(goesIn(rounded, false)).toBe('grinds');
  expect(goesIn(rounded, true)).toBe('grinds');
  expect(goesIn({ ...rounded, rounded: 0.9 }, false)).toBe('refuses');
  expect(goesIn(SLEEVE_AS_BUILT, false, 40)).toBe('grinds');
});

test('the more worn, the less it takes to jump out', () => {
  expect(jumpsOutAbove(SLEEVE_AS_BUILT)).toBe(Infinity);
  const [less, more] = [1e-3, 1.5e-3].map((wear) => jumpsOutAbove({ ...SLEEVE_AS_BUILT, wear }));
  expect(more).toBeLessThan(less!);
  // Closed form: F·r/(tan β − μ) with β = −0.035 + 105·0.0015 rad.
  expect(more).toBeCloseTo((150 * 0.035) / (Math.tan(0.1225) - 0.03), 6);
});
