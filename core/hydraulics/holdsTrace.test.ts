import { traceAt } from '../shift';
import type { FilledElement } from './filling';
import { FILL_STEP } from './filling';
import { holdsTrace } from './shiftInTime';

const held = (of: (seconds: number) => number, seconds = 1) => ({
  holds: Float64Array.from({ length: Math.round(seconds / FILL_STEP) + 1 }, (_v, k) =>
    of(k * FILL_STEP),
  ),
});
const traceOf = (given: ReturnType<typeof held>) => holdsTrace(given as unknown as FilledElement);

test('a straight line is two points, and one that bends once is few', () => {
  expect(traceOf(held((t) => 300 * t))).toHaveLength(2);
  expect(traceOf(held(() => 120))).toHaveLength(2);
  const bent = traceOf(held((t) => (t < 0.5 ? 0 : 400 * (t - 0.5))));
  expect(bent.length).toBeLessThan(6);
  expect(traceAt(bent, 1)).toBeCloseTo(200, 0);
});

// What a piece may be off is twice a five-hundredth of the most: its ends are close, and so is all between.
test.each([
  ['a rise that levels out', (t: number) => 500 * (1 - Math.exp(-8 * t))],
  ['a wave', (t: number) => 250 + 200 * Math.sin(9 * t)],
  ['off and on again', (t: number) => (t < 0.2 ? 400 - 2000 * t : Math.max(0, 900 * (t - 0.5)))],
])('%s is told by fewer points, none of it far off', (_name, of) => {
  const given = held(of);
  const trace = traceOf(given);
  const most = Math.max(...given.holds);
  expect(trace.length).toBeLessThan(given.holds.length / 5);
  given.holds.forEach((holds, k) => {
    const off = Math.abs(traceAt(trace, k * FILL_STEP) - holds);
    expect(off).toBeLessThan(0.012 * most);
  });
});
