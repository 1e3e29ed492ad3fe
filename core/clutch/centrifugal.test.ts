import {
  annulusForce,
  appliedForce,
  letsGoUpTo,
  packFaultsOf,
  packFindings,
  pistonForce,
  releasedForce,
  turningOilForce,
  withPackFault,
  type ClutchPack,
} from './index';
import { FENDER, WINDLASS } from './tests/demo';

const OMEGA = 500;

// Published: a fluid that turns as a whole stands under ½ρω²(r² − r₀²) (any fluid-mechanics text), summed over thin rings.
test('the closed form is the sum over thin rings', () => {
  const [outer, inner, surface] = [0.068, 0.043, 0.03];
  const rings = 20_000;
  let sum = 0;
  for (let k = 0; k < rings; k++) {
    const r = inner + ((outer - inner) * (k + 0.5)) / rings;
    const pressure = (830 * OMEGA * OMEGA * (r * r - surface * surface)) / 2;
    sum += (pressure * 2 * Math.PI * r * (outer - inner)) / rings;
  }
  expect(annulusForce(outer, inner, surface, OMEGA) / sum).toBeCloseTo(1, 6);
});

const turning = (rotation: Partial<ClutchPack['rotation']>): ClutchPack => ({
  ...FENDER,
  rotation: { feedRadius: 0.03, mostRpm: 4800, ...rotation },
});

test('it grows with the square of the speed, and a standing drum has none of it', () => {
  const bare = turning({});
  expect(turningOilForce(bare, 4000) / turningOilForce(bare, 2000)).toBeCloseTo(4, 9);
  expect(turningOilForce(WINDLASS, 4000)).toBe(0);
  expect(appliedForce(bare, bare.pressure, 0)).toBe(pistonForce(bare, bare.pressure));
  expect(appliedForce(bare, bare.pressure, 4000)).toBeGreaterThan(pistonForce(bare, bare.pressure));
  expect(appliedForce(bare, 0, 0)).toBe(0);
});

// Common practice, no source: without ball or balance a pack does not let go at speed; with either it does.
test('a ball or a balance chamber lets it go', () => {
  const bare = turning({});
  const upTo = letsGoUpTo(bare)!;
  expect(upTo).toBeLessThan(4800);
  expect(releasedForce(bare, upTo * 0.999)).toBe(0);
  expect(releasedForce(bare, upTo * 1.05)).toBeGreaterThan(0);
  expect(packFindings(bare).map((f) => f.code)).toEqual(['holds-on-at-speed']);
  expect(letsGoUpTo(FENDER)).toBeNull();
  expect(packFindings(FENDER)).toEqual([]);
  const balanced = turning({
    balance: { outerRadius: 0.066, innerRadius: 0.043, fillRadius: 0.034 },
  });
  expect(letsGoUpTo(balanced)! / upTo).toBeGreaterThan(1.4);
});

test('its faults are those of the parts it has', () => {
  expect(packFaultsOf(WINDLASS)).not.toContain('ball-shut');
  expect(packFaultsOf(FENDER)).toEqual(expect.arrayContaining(['ball-shut', 'ball-open']));
  expect(letsGoUpTo(withPackFault(FENDER, 'ball-shut'))).toBeLessThan(4800);
  const open = withPackFault(FENDER, 'ball-open');
  expect(pistonForce(open, open.pressure)).toBeLessThan(pistonForce(FENDER, FENDER.pressure));
  const dry = turning({ balance: { outerRadius: 0.066, innerRadius: 0.043, fillRadius: 0.034 } });
  expect(letsGoUpTo(withPackFault(dry, 'balance-empty'))).toBeLessThan(letsGoUpTo(dry)!);
});
