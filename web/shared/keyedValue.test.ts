import { keyedValue } from './keyedValue';

const throttle = { min: 0, max: 100, step: 1 };
const rod = { min: -0.008, max: 0.012, step: 0.0001 };

// Keys and what they do: published, W3C ARIA Authoring Practices Guide, slider pattern.
test.each([
  ['ArrowRight', 61],
  ['ArrowUp', 61],
  ['ArrowLeft', 59],
  ['ArrowDown', 59],
  ['PageUp', 70],
  ['PageDown', 50],
  ['Home', 0],
  ['End', 100],
])('%s moves a slider at 60 to %d', (key, to) => {
  expect(keyedValue(key, 60, throttle)).toBe(to);
});

test('it stops at its ends, and other keys are none of its business', () => {
  expect(keyedValue('ArrowRight', 100, throttle)).toBe(100);
  expect(keyedValue('PageDown', 4, throttle)).toBe(0);
  expect(keyedValue('Tab', 60, throttle)).toBeNull();
});

test('steps of a tenth of a millimetre add no dust, there and back', () => {
  let at = 0;
  for (let k = 0; k < 37; k++) at = keyedValue('ArrowRight', at, rod)!;
  expect(at).toBe(0.0037);
  for (let k = 0; k < 37; k++) at = keyedValue('ArrowLeft', at, rod)!;
  expect(at).toBe(0);
});

test('from between two marks it goes on to a mark', () => {
  expect(keyedValue('ArrowRight', 60.4, throttle)).toBe(61);
});
