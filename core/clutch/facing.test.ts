import fc from 'fast-check';
import { bandTorque, frictionAt, frictionTorque, meanRadius, type Friction } from './index';
import { SEED } from './tests/demo';

const FRICTION: Friction = {
  standing: 0.36,
  sliding: 0.34,
  slope: -0.001,
  fadeFrom: 230,
  fade: 0.3,
};

// Closed form, any text on machine design (Shigley's chapter on clutches): a ring so thin that both theories agree, and
// a full disc where uniform pressure gives ⅔·R and uniform wear ½·R.
test('both theories of wear in their limits', () => {
  expect(meanRadius(0.1, 0.0999, 'uniform-pressure')).toBeCloseTo(0.09995, 7);
  expect(meanRadius(0.1, 0.0999, 'uniform-wear')).toBeCloseTo(0.09995, 7);
  expect(meanRadius(0.12, 0, 'uniform-pressure')).toBeCloseTo(0.08, 12);
  expect(meanRadius(0.12, 0, 'uniform-wear')).toBeCloseTo(0.06, 12);
});

// Published: Shigley, clutch chapter: for the same force uniform pressure gives the larger torque.
test('uniform pressure never gives less than uniform wear', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.02, max: 0.4, noNaN: true }),
      fc.double({ min: 0.01, max: 0.999, noNaN: true }),
      (outer, share) => {
        const inner = outer * share;
        expect(meanRadius(outer, inner, 'uniform-pressure')).toBeGreaterThanOrEqual(
          meanRadius(outer, inner, 'uniform-wear') - 1e-15,
        );
      },
    ),
    { seed: SEED },
  );
});

// By hand: 2 faces · 0.35 · 4570 N · 0.0875 m = 279.9 N·m.
test('torque of two faces', () => {
  expect(frictionTorque(2, 0.35, 4570, 0.0875)).toBeCloseTo(279.9, 1);
  expect(frictionTorque(2, 0.35, -5, 0.0875)).toBe(0);
});

// Published: Eytelwein's rope formula, any text on machine design: T₁/T₂ = e^{μθ}. By hand: μ = 0.12, θ = 270° gives
// 1.760, so 1000 N on a drum of 80 mm hold 60.8 N·m with the drum and 34.5 N·m against it.
test('a band wraps itself tighter one way and lets go the other', () => {
  const wrap = (270 * Math.PI) / 180;
  expect(bandTorque(1000, 0.08, 0.12, wrap, 'self')).toBeCloseTo(60.84, 1);
  expect(bandTorque(1000, 0.08, 0.12, wrap, 'against')).toBeCloseTo(34.56, 1);
  const ratio = bandTorque(1, 1, 0.12, wrap, 'self') / bandTorque(1, 1, 0.12, wrap, 'against');
  expect(ratio).toBeCloseTo(Math.exp(0.12 * wrap), 12);
});

// Common practice, no source: organic facing fades when it is hot, and holds best at rest.
test('friction stands, slides, falls with slip and fades with heat, and never reaches nothing', () => {
  expect(frictionAt(FRICTION, 0, 20)).toBeCloseTo(0.36, 12);
  expect(frictionAt(FRICTION, 1, 20)).toBeLessThan(0.342);
  expect(frictionAt(FRICTION, 1, 330)).toBeCloseTo(frictionAt(FRICTION, 1, 20) * 0.7, 9);
  fc.assert(
    fc.property(
      fc.double({ min: -200, max: 200, noNaN: true }),
      fc.double({ min: -40, max: 1500, noNaN: true }),
      (slip, celsius) => {
        const mu = frictionAt(FRICTION, slip, celsius);
        expect(mu).toBeGreaterThan(0);
        expect(mu).toBeLessThanOrEqual(FRICTION.standing);
        expect(mu).toBe(frictionAt(FRICTION, -slip, celsius));
      },
    ),
    { seed: SEED },
  );
});
