import { randomFromSeed } from '../numerics';
import { chamberOf } from './chamber';
import { OIL_SOUND, type OilCondition } from './condition';
import { partsOf } from './plan';
import { ACCUMULATOR, onePiston, PISTON } from './tests/onePiston';

const KPA = 1e3;
const CC = 1e-6;

/** cm³ in the room at these kPa, oil that gives itself left out: two hundredths of the fill a MPa. */
const held = (at: number, back = 0, condition: OilCondition = OIL_SOUND): number => {
  const chamber = chamberOf(onePiston(ACCUMULATOR), 'C1', condition, back * KPA)!;
  return chamber.volumeAt(at * KPA) / CC - 0.0004 * at;
};

// By hand: F/A for each spring. Piston 50 to 100 kPa over 20 cm³, cushion plate to 250 kPa over 5, accumulator 400 to 600 over 10.
test.each([
  [50, 0],
  [75, 10],
  [100, 20],
  [175, 22.5],
  [250, 25],
  [400, 25],
  [500, 30],
  [600, 35],
  [900, 35],
])('at %d kPa it holds %d cm³', (at, volume) => {
  expect(held(at)).toBeCloseTo(volume, 9);
});

// By hand: 200 kPa on 5 cm² behind it are 100 N more, so 100 kPa more on its 10 cm².
test('throttle pressure behind an accumulator moves its stroke up and leaves its length', () => {
  expect(held(500, 200)).toBeCloseTo(25, 9);
  expect(held(600, 200)).toBeCloseTo(30, 9);
  expect(held(700, 200)).toBeCloseTo(35, 9);
});

test('a stuck accumulator takes nothing', () => {
  const stuck = { ...OIL_SOUND, stuck: new Map([['accumulator', 0]]) };
  expect(held(900, 0, stuck)).toBeCloseTo(25, 9);
});

test('pressure and volume are each other’s way back, and more oil never presses less', () => {
  const chamber = chamberOf(onePiston(ACCUMULATOR), 'C1', OIL_SOUND, 130 * KPA)!;
  const random = randomFromSeed('rooms');
  let before = { volume: 0, pressure: 0 };
  const volumes = Array.from({ length: 400 }, () => 40 * CC * random.next()).toSorted(
    (a, b) => a - b,
  );
  for (const volume of volumes) {
    const pressure = chamber.pressureOf(volume);
    expect(chamber.volumeAt(pressure) / CC).toBeCloseTo(volume / CC, 6);
    expect(pressure).toBeGreaterThanOrEqual(before.pressure);
    before = { volume, pressure };
  }
});

// Published: any text on friction clutches, torque = (p·A − F_spring)·faces·friction·radius.
test('it holds what presses beyond its springs', () => {
  const { holds } = chamberOf(onePiston(), 'C1', OIL_SOUND, 0)!;
  expect(holds(300 * KPA)).toBeCloseTo(0.05 * (3000 - 1000), 9);
  expect(holds(100 * KPA)).toBe(0);
  expect(holds(20 * KPA)).toBe(0);
});

test('an element without a piston, or with a passage that nothing feeds, has no room', () => {
  expect(chamberOf(onePiston(), 'C2', OIL_SOUND, 0)).toBeNull();
  const plan = onePiston();
  const unfed = { ...plan, parts: plan.parts.filter((p) => p.kind !== 'feed') };
  expect(chamberOf(unfed, 'C1', OIL_SOUND, 0)).toBeNull();
  expect(partsOf(plan, 'piston')).toEqual([PISTON]);
});
