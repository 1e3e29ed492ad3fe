import {
  coilReading,
  COUPLING_AS_BUILT,
  couplingStack,
  couplingTorque,
  flangeDrag,
  looseStart,
  tightCircle,
  USUAL_COUPLING,
  type CouplingState,
} from './index';

const now = (change: Partial<CouplingState> = {}) => ({ ...COUPLING_AS_BUILT, ...change });
const torque = (current: number, change: Partial<CouplingState> = {}) =>
  couplingTorque(USUAL_COUPLING, now(change), current);

// Common practice, no source: 10 to 20 N·m at the flange of a sound coupling; a jammed ball ramp drags and hops on a tight
// circle; a stack of about 36 mm is new, below 35 mm worn.
test('what the trade reads of a coupling', () => {
  const drag = flangeDrag(USUAL_COUPLING, now());
  expect(drag).toBeGreaterThanOrEqual(10);
  expect(drag).toBeLessThanOrEqual(20);
  expect(tightCircle(USUAL_COUPLING, now())).toBe('rolls');
  expect(flangeDrag(USUAL_COUPLING, now({ jammed: 0.35 }))).toBeGreaterThan(60);
  expect(tightCircle(USUAL_COUPLING, now({ jammed: 0.35 }))).toBe('hops');
  expect(tightCircle(USUAL_COUPLING, now({ wrongOil: true }))).toBe('shudders');
  const trade = { ...USUAL_COUPLING, stackNew: 0.0362, stackWorn: 0.035 };
  expect(couplingStack(trade, now())).toBeCloseTo(0.036, 3);
  expect(couplingStack(trade, now({ wear: 1.5e-3 }))).toBeLessThan(trade.stackWorn);
});

// By hand, from the formulas: T_pilot = 28 N·m, F = 28/(0.032·tan 0.3) − 180 N, 16 faces at μ 0.11 and 46 mm.
test('the ramp multiplies what the coil gives', () => {
  const force = 28 / (0.032 * Math.tan(0.3)) - 180;
  expect(torque(1)).toBeCloseTo(12 + 28 + 16 * 0.11 * force * 0.046, 9);
  for (let k = 1; k <= 10; k++) expect(torque(k / 10)).toBeGreaterThan(torque((k - 1) / 10));
});

test('coil, pilot and worn pack: no pull on loose ground', () => {
  expect(looseStart(USUAL_COUPLING, now())).toBe('pulls');
  expect(looseStart(USUAL_COUPLING, now({ coilOpen: true }))).toBe('does-not-pull');
  expect(looseStart(USUAL_COUPLING, now({ pilotWorn: 0.6 }))).toBe('pulls-weakly');
  expect(looseStart(USUAL_COUPLING, now({ wear: 3.5e-3 }))).toBe('does-not-pull');
  expect(coilReading(USUAL_COUPLING, now({ coilOpen: true }))).toBe(Infinity);
  // The heavier the jam, the more it drags; the current adds nothing to what is stuck harder.
  expect(torque(0, { jammed: 0.7 })).toBeGreaterThan(torque(0, { jammed: 0.35 }));
  expect(torque(0.2, { jammed: 0.9 })).toBeCloseTo(torque(0, { jammed: 0.9 }) + 0.2 * 28, 9);
});
