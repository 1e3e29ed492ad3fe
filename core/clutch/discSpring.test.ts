import fc from 'fast-check';
import { discSpringLoad, humpAndDip, snapsThrough, springConstant, type DiscSpring } from './index';
import { SEED } from './tests/demo';

const spring = (
  outer: number,
  inner: number,
  thickness: number,
  coneHeight: number,
): DiscSpring => ({
  outerDiameter: outer / 1000,
  innerDiameter: inner / 1000,
  thickness: thickness / 1000,
  coneHeight: coneHeight / 1000,
});

// Published: DIN 2093, disc springs of 50 × 25.4 mm in series A, B and C; load at 75 % of their height by the formula of
// EN 16984 (formerly DIN 2092) with E = 206 GPa, ν = 0.3 (memory for the table's numbers).
test.each([
  ['A', spring(50, 25.4, 3, 1.1), 12_000],
  ['B', spring(50, 25.4, 2, 1.4), 4760],
  ['C', spring(50, 25.4, 1.25, 1.6), 1550],
] as const)('the spring of series %s bears what the standard says', (_series, s, load) => {
  const now = discSpringLoad(s, 0.75 * s.coneHeight);
  expect(Math.abs(now - load) / load).toBeLessThan(0.01);
});

// Published: EN 16984 tabulates K₁ for δ = De/Di; at δ = 2 it is 0.69 (memory).
test('the constant of the standard', () => {
  expect(springConstant(2)).toBeCloseTo(0.69, 2);
  expect(springConstant(1.2)).toBeLessThan(springConstant(2));
});

// Closed form: flat (s = h₀) both bending terms vanish, F = 4E/(1−ν²)·t³·h₀/(K₁·De²).
test('pressed flat the load follows from thickness and height alone', () => {
  const s = spring(50, 25.4, 2, 1.4);
  const { outerDiameter, innerDiameter, thickness, coneHeight } = s;
  const k1 = springConstant(outerDiameter / innerDiameter);
  const flat = ((4 * 206e9) / 0.91) * ((thickness ** 3 * coneHeight) / (k1 * outerDiameter ** 2));
  expect(discSpringLoad(s, coneHeight)).toBeCloseTo(flat, 6);
});

const anySpring = fc
  .record({
    outer: fc.double({ min: 0.03, max: 0.4, noNaN: true }),
    delta: fc.double({ min: 1.15, max: 3, noNaN: true }),
    slim: fc.double({ min: 15, max: 100, noNaN: true }),
    cone: fc.double({ min: 0.2, max: 2.7, noNaN: true }),
  })
  .map(({ outer, delta, slim, cone }) => ({
    outerDiameter: outer,
    innerDiameter: outer / delta,
    thickness: outer / slim,
    coneHeight: (cone * outer) / slim,
  }));

// Derived here: the formula is antisymmetric about flat, F(h₀ + x) + F(h₀ − x) = 2·F(h₀).
test('the load is as far above flat on one side as below it on the other', () => {
  fc.assert(
    fc.property(anySpring, fc.double({ min: 0, max: 1, noNaN: true }), (s, x) => {
      const h = s.coneHeight;
      const flat = discSpringLoad(s, h);
      const sum = discSpringLoad(s, h * (1 + x)) + discSpringLoad(s, h * (1 - x));
      expect(sum).toBeCloseTo(2 * flat, -Math.floor(Math.log10(Math.abs(flat) + 1)) + 9);
    }),
    { seed: SEED },
  );
});

// Slow twin: the extremes by looking along the curve.
test('hump and dip lie where the curve has them, and only where h₀/t is above √2', () => {
  fc.assert(
    fc.property(anySpring, (s) => {
      const places = humpAndDip(s);
      const grid = Array.from({ length: 4001 }, (_v, k) => (2 * s.coneHeight * k) / 4000);
      const loads = grid.map((x) => discSpringLoad(s, x));
      const falls = loads.some((f, k) => k > 0 && f < loads[k - 1]! - 1e-9);
      if (!places) {
        expect(falls).toBe(false);
        return;
      }
      const step = s.coneHeight / 1000;
      const at = (x: number) => discSpringLoad(s, x);
      expect(at(places.hump)).toBeGreaterThanOrEqual(at(places.hump - step));
      expect(at(places.hump)).toBeGreaterThanOrEqual(at(places.hump + step));
      expect(at(places.dip)).toBeLessThanOrEqual(at(places.dip - step));
      expect(at(places.dip)).toBeLessThanOrEqual(at(places.dip + step));
    }),
    { seed: SEED, numRuns: 40 },
  );
});

// Published: h₀/t above 2√2 the load passes through zero (Almen and László 1936; any text on springs).
test('it snaps through just where the load reaches below zero', () => {
  fc.assert(
    fc.property(anySpring, (base) => {
      const s = { ...base, coneHeight: base.coneHeight * 1.4 };
      const grid = Array.from({ length: 2001 }, (_v, k) => (2.2 * s.coneHeight * k) / 2000);
      const least = Math.min(...grid.slice(1).map((x) => discSpringLoad(s, x)));
      const near = Math.abs(s.coneHeight / s.thickness - 2 * Math.SQRT2) < 0.02;
      if (!near) expect(snapsThrough(s)).toBe(least < 0);
    }),
    { seed: SEED, numRuns: 60 },
  );
});
