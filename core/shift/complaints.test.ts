import { demoUnit } from '../tests/demoFile';
import {
  complaintsOf,
  couldBeWorn,
  forwardSides,
  FULL_LOAD_NM,
  jumpsOutAbove,
  otherSide,
  sideAsMeasured,
  WORN_LIMITS,
  WORN_PARTS,
} from './index';

const winch = demoUnit('winch-manual');
const ferry = demoUnit('ferry-dual');

test('forward gears by the side that they drive through; reverse is none of them', () => {
  expect(forwardSides(winch).map((s) => s.side)).toEqual(['S1', 'S2', 'S3', 'S4', 'S5']);
  expect(forwardSides(ferry).map((s) => s.side)).toEqual(['S1', 'S2', 'S3', 'S4', 'S5', 'S6']);
  // Behind a countershaft the side on the output carries the whole ratio.
  expect(forwardSides(winch).map((s) => s.share)).toEqual(
    [...forwardSides(winch).map((s) => s.share)].sort((a, b) => b - a),
  );
});

// Common practice, no source: one gear that grinds points at the box, all of them at the clutch; rounded tips refuse however
// it is changed, a worn ring lets it in after a double de-clutch; short engagement jumps out; the side beside it is fine.
test.each([
  ['tips', 0.72, { quick: 'refuses', matched: 'refuses', jumps: false }],
  ['ring', 0.04, { quick: 'grinds', matched: 'clean', jumps: false }],
  ['engagement', 0.4, { quick: 'clean', matched: 'clean', jumps: true }],
] as const)('%s worn at one side is told of one gear', (part, value, expected) => {
  for (const side of ['S2', 'S3']) {
    const told = complaintsOf(winch, { part, side, value });
    expect(told.find((g) => g.side === side)).toMatchObject(expected);
    expect(told.filter((g) => g.side !== side)).toEqual(
      complaintsOf(winch, { part, side, value: WORN_LIMITS[part][0] }).filter(
        (g) => g.side !== side,
      ),
    );
    expect(couldBeWorn(winch, told)).toEqual([{ part, side }]);
    expect(told.find((g) => g.side === otherSide(winch, side))).toMatchObject({ jumps: false });
  }
});

test('a clutch that drags is told of every gear, and nothing else could be it', () => {
  const told = complaintsOf(winch, { part: 'clutch', side: null, value: 20 });
  expect(told.every((g) => g.quick === 'grinds')).toBe(true);
  expect(couldBeWorn(winch, told)).toEqual([{ part: 'clutch', side: null }]);
});

test('it jumps out where the torque of that gear is above what keeps it in', () => {
  const value = 0.5;
  const keeps = jumpsOutAbove(sideAsMeasured({ tips: 0, ringGap: 1, engagement: value }));
  for (const { side, share } of forwardSides(winch)) {
    const own = complaintsOf(winch, { part: 'engagement', side, value });
    expect(own.find((g) => g.side === side)!.jumps).toBe(share * FULL_LOAD_NM > keeps);
  }
});

test('sound, nobody complains; the further worn, never the less', () => {
  const rank = { clean: 0, grinds: 1, refuses: 2 };
  for (const part of WORN_PARTS) {
    const [sound, gone] = WORN_LIMITS[part];
    let last = 0;
    for (let k = 0; k <= 10; k++) {
      const value = sound + (k / 10) * (gone - sound);
      const side = part === 'clutch' ? null : 'S3';
      const sum = complaintsOf(winch, { part, side, value }).reduce(
        (s, g) => s + rank[g.quick] + rank[g.matched] + Number(g.jumps),
        0,
      );
      if (k === 0) expect(sum).toBe(0);
      expect(sum).toBeGreaterThanOrEqual(last);
      last = sum;
    }
    expect(last).toBeGreaterThan(0);
  }
});
