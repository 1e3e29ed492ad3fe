import { ironAfter, ironCooled, type Iron } from './index';

const IRON: Iron = { heatCapacity: 2800, cooling: 0 };
const COLD = { skinC: 20, massC: 20 };

// By hand: 5178 J into 2800 J/K, once even, is 1.849 K.
test('skin and mass together store no more than their heat capacity', () => {
  let now = COLD;
  for (let k = 0; k < 500; k++) now = ironAfter(IRON, now, 5178 / 500, 20, 1e-3);
  expect(now.skinC).toBeGreaterThan(now.massC);
  const even = ironCooled(IRON, now, 20, 300);
  expect(even.skinC - 20).toBeCloseTo(5178 / 2800, 3);
  expect(even.massC).toBeCloseTo(even.skinC, 6);
});

// Closed form: a lump that loses heat to the air falls as e^(−t·cooling/C).
test('a long wait cools as the exponential says, to the air and not below it', () => {
  const iron = { heatCapacity: 2800, cooling: 6 };
  const after = ironCooled(iron, { skinC: 220, massC: 220 }, 20, 600);
  expect((after.massC - 20) / (200 * Math.exp((-6 * 600) / 2800))).toBeCloseTo(1, 1);
  const long = ironCooled(iron, { skinC: 220, massC: 220 }, 35, 20_000);
  expect(long.massC).toBeCloseTo(35, 3);
  expect(ironCooled(iron, COLD, 20, 0)).toEqual(COLD);
});

test('half the step, about half the error', () => {
  const iron = { heatCapacity: 2800, cooling: 40 };
  const at = (step: number) => {
    let now = { skinC: 300, massC: 100 };
    for (let k = 0; k < Math.round(2 / step); k++) now = ironAfter(iron, now, 0, 20, step);
    return now.skinC;
  };
  const exact = at(1e-4);
  expect(Math.abs(at(0.1) - exact) / Math.abs(at(0.05) - exact)).toBeCloseTo(2, 0);
});
