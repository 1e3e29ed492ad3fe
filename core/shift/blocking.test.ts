import {
  blockingSafety,
  blocksUntil,
  coneTorque,
  goesIn,
  pointsTorque,
  sideAsMeasured,
  USUAL_RING,
} from './index';

const deg = (d: number) => (d * Math.PI) / 180;

// Published: Naunheimer and others, Automotive Transmissions, ch. 9: cone angles of 6° to 7.5°, chamfers of 105° to 125°. The
// forces by hand, on a cone of 6.5° and points of 115°.
test('torques of cone and points by hand, and a sound ring blocks', () => {
  expect(coneTorque(USUAL_RING)).toBeCloseTo((0.035 * 0.11) / Math.sin(deg(6.5)), 12);
  // Without friction the points are a plain wedge: F·r/tan(β/2).
  expect(pointsTorque({ ...USUAL_RING, teethFriction: 0 })).toBeCloseTo(
    0.041 / Math.tan(deg(57.5)),
    12,
  );
  expect(blockingSafety(USUAL_RING)).toBeGreaterThan(1.2);
});

test('sharper points and a steeper cone block less; a worn cone goes through at last', () => {
  const with_ = (change: Partial<typeof USUAL_RING>) =>
    blockingSafety({ ...USUAL_RING, ...change });
  expect(with_({ pointAngle: deg(105) })).toBeLessThan(with_({ pointAngle: deg(125) }));
  expect(with_({ coneAngle: deg(9) })).toBeLessThan(with_({ coneAngle: deg(6) }));
  const share = blocksUntil(USUAL_RING);
  expect(share).toBeGreaterThan(0);
  expect(with_({ coneFriction: 0.11 * (1 - share) })).toBeCloseTo(1, 9);
  expect(with_({ coneFriction: 0.11 * (1 - share) * 0.99 })).toBeLessThan(1);
  expect(blocksUntil({ ...USUAL_RING, coneFriction: 0.01 })).toBe(0);
});

// Common practice, no source: below half a millimetre of gap a ring is replaced, since it grinds on a quick change.
test('the trade’s limit of half a millimetre is where the ring stops blocking', () => {
  const quick = (ringGap: number) =>
    goesIn(sideAsMeasured({ tips: 0, engagement: 1, ringGap }), false);
  expect([quick(0.55), quick(0.45)]).toEqual(['clean', 'grinds']);
});
