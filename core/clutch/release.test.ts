import fc from 'fast-check';
import {
  adjustmentsOf,
  AS_BUILT,
  atPedal,
  bitePoint,
  clampLoad,
  clutchFindings,
  coverLoads,
  faultFits,
  forkPlayNow,
  holdingTorque,
  leverRatio,
  overCentreHelp,
  pedalToFork,
  releaseCurve,
  withClutchFault,
  worn,
  type Clutch,
  type ClutchFault,
  type ClutchState,
} from './index';
import { BOLLARD, GUNWALE, HAWSER, SEED } from './tests/demo';

const BOTH: readonly (readonly [string, Clutch])[] = [
  ['diaphragm and hydraulics', BOLLARD],
  ['levers and rods', HAWSER],
];
const floorOf = (clutch: Clutch, state: ClutchState) => {
  const curve = releaseCurve(clutch, state);
  return atPedal(curve, curve.floor);
};

// Common practice, no source: gap when released about 1.0 mm (light) and 1.5 mm (heavy); free play 5/32 in at the
// fork's end is about an inch at the pedal.
test('released gaps and free play are those of the trade', () => {
  expect(1000 * floorOf(BOLLARD, AS_BUILT).gap).toBeCloseTo(1.0, 0);
  expect(1000 * floorOf(HAWSER, AS_BUILT).gap).toBeCloseTo(1.5, 0);
  const inch = 0.0254;
  const rods = {
    ...HAWSER,
    linkage: { ...HAWSER.linkage, drive: { ...HAWSER.linkage.drive, ratio: 6.4 } },
  };
  const state = { ...AS_BUILT, forkRod: (5 / 32) * inch - HAWSER.linkage.forkPlay };
  expect(releaseCurve(rods, state).pedalPlay / inch).toBeCloseTo(1.0, 1);
});

// Common practice, no source: a diaphragm's clamp load rises over a hump as the facing wears and then falls; a coil
// spring cover only loses load.
test('the clamp load against wear', () => {
  const loads = (clutch: Clutch) =>
    [0, 0.6, 1.2, 1.8, 2.4].map((w) => clampLoad(clutch, { ...AS_BUILT, wear: w / 1000 }));
  const [fresh, , top, , end] = loads(BOLLARD) as [number, number, number, number, number];
  expect(top).toBeGreaterThan(1.05 * fresh);
  expect(end).toBeLessThan(0.75 * fresh);
  const coils = loads(HAWSER);
  for (let k = 1; k < coils.length; k++) expect(coils[k]!).toBeLessThan(coils[k - 1]!);
});

// First law: what the bearing does on the fingers, over the whole release, is in spring, straps and cushion. Rigid
// fingers, so that nothing hides in them.
test.each(BOTH)('the work of the bearing is in spring, straps and cushion: %s', (_name, clutch) => {
  const stiff: Clutch =
    clutch.cover.spring.kind === 'diaphragm'
      ? {
          ...clutch,
          cover: { ...clutch.cover, spring: { ...clutch.cover.spring, fingerStiffness: 1e15 } },
        }
      : clutch;
  const loads = coverLoads(stiff, AS_BUILT);
  const { points } = releaseCurve(stiff, AS_BUILT);
  let bearing = 0;
  let stored = 0;
  for (let k = 1; k < points.length; k++) {
    const [a, b] = [points[k - 1]!, points[k]!];
    const [ya, yb] = [a.lift, b.lift].map((l) => l + loads.clamped) as [number, number];
    bearing += ((a.bearingLoad + b.bearingLoad) / 2) * leverRatio(stiff.cover) * (yb - ya);
    const net = (y: number) => loads.spring(y) - loads.straps(y) - loads.clamp(y);
    stored += ((net(ya) + net(yb)) / 2) * (yb - ya);
  }
  expect(bearing).toBeGreaterThan(0.5);
  expect(Math.abs(bearing - stored) / bearing).toBeLessThan(1e-3);
});

// First law along the linkage: without return spring and over-centre spring, work of the foot = work of the bearing plus
// what stretches the cable or the lines.
test('the work of the foot is that of the bearing and of the stretch', () => {
  const linkage = { ...HAWSER.linkage, returnForce: 0 };
  delete linkage.overCentre;
  const clutch = { ...HAWSER, linkage };
  const { points } = releaseCurve(clutch, AS_BUILT);
  let foot = 0;
  let bearing = 0;
  for (let k = 1; k < points.length; k++) {
    const [a, b] = [points[k - 1]!, points[k]!];
    foot += ((a.pedalForce + b.pedalForce) / 2) * (b.pedal - a.pedal);
    bearing += ((a.bearingLoad + b.bearingLoad) / 2) * (b.bearing - a.bearing);
  }
  const drive = clutch.linkage.drive;
  if (drive.kind !== 'cable') throw new Error('expected rods');
  const force = points.at(-1)!.bearingLoad / linkage.forkRatio;
  const stretch = (force * force) / (2 * drive.stiffness);
  expect(Math.abs(foot - bearing - stretch) / foot).toBeLessThan(5e-3);
});

// Derivative of the spring's energy, by differences: the help at the pad is −dU/dx.
test('the over-centre spring holds the pedal up before its centre and helps after it', () => {
  const spring = HAWSER.linkage.overCentre!;
  const arm = HAWSER.linkage.pedalArm;
  const energy = (x: number) => {
    const { anchor: a, arm: b, rate, freeLength, centre } = spring;
    const angle = (x - centre) / arm;
    const length = Math.sqrt(a * a + b * b + 2 * a * b * Math.cos(angle));
    return (rate * Math.max(0, length - freeLength) ** 2) / 2;
  };
  for (const x of [0, 0.02, 0.045, 0.08, 0.15]) {
    const slope = (energy(x + 1e-6) - energy(x - 1e-6)) / 2e-6;
    expect(overCentreHelp(spring, arm, x)).toBeCloseTo(-slope, 3);
  }
  expect(overCentreHelp(spring, arm, 0)).toBeLessThan(0);
  expect(overCentreHelp(spring, arm, spring.centre)).toBeCloseTo(0, 12);
  expect(overCentreHelp(spring, arm, 0.15)).toBeGreaterThan(0);
});

// By hand: pedal ratio 5.4, bores 19.05 and 20.6 mm: 5.4·(20.6/19.05)² = 6.31.
test('hydraulic ratio by the bores', () => {
  expect(pedalToFork(BOLLARD.linkage)).toBeCloseTo(6.314, 2);
  expect(leverRatio(BOLLARD.cover)).toBeCloseTo(61.5 / 12.5, 9);
});

const anyState: fc.Arbitrary<ClutchState> = fc
  .record({
    wear: fc.double({ min: 0, max: 0.0029, noNaN: true }),
    air: fc.double({ min: 0, max: 8e-6, noNaN: true }),
    bent: fc.double({ min: 0, max: 0.006, noNaN: true }),
    uneven: fc.double({ min: 0, max: 0.004, noNaN: true }),
    runOut: fc.double({ min: 0, max: 0.004, noNaN: true }),
    cushion: fc.double({ min: 0, max: 1, noNaN: true }),
    forkRod: fc.double({ min: -0.01, max: 0.02, noNaN: true }),
    turnbuckle: fc.double({ min: -0.02, max: 0.03, noNaN: true }),
  })
  .map((change) => ({ ...AS_BUILT, ...change }));

test('whatever state it is in: finite, the plate only lifts, the clamp only falls', () => {
  fc.assert(
    fc.property(anyState, fc.constantFrom(BOLLARD, HAWSER), (state, clutch) => {
      const { points, clamp, freeClamp, pedalPlay } = releaseCurve(clutch, state);
      const finite = (p: object) => (Object.values(p) as number[]).every(Number.isFinite);
      expect(points.filter((p) => !finite(p))).toEqual([]);
      const goesBack = points.filter((p, k) => {
        const before = points[k - 1] ?? p;
        return p.lift < before.lift - 1e-12 || p.bearing < before.bearing - 1e-9;
      });
      expect(goesBack).toEqual([]);
      expect(clamp).toBeLessThanOrEqual(freeClamp + 1e-6);
      expect(pedalPlay).toBeGreaterThanOrEqual(0);
    }),
    { seed: SEED, numRuns: 60 },
  );
});

test('straight between its points, and held at both ends', () => {
  const curve = releaseCurve(BOLLARD, AS_BUILT);
  const [a, b] = [curve.points[40]!, curve.points[41]!];
  const middle = atPedal(curve, (a.pedal + b.pedal) / 2);
  expect(middle.clamp).toBeCloseTo((a.clamp + b.clamp) / 2, 9);
  expect(atPedal(curve, -1).clamp).toBe(curve.points[0]!.clamp);
  expect(atPedal(curve, 9).gap).toBe(curve.points.at(-1)!.gap);
  const bite = bitePoint(curve);
  expect(atPedal(curve, bite + 0.003).clamp).toBe(0);
  expect(atPedal(curve, bite - 0.003).clamp).toBeGreaterThan(0);
});

// Common practice, no source: as a disc wears the fingers come towards the bearing and eat the free play; without play
// the bearing rides and takes clamp load.
test('wear eats the free play, and a riding bearing takes load away', () => {
  const w = { ...AS_BUILT, wear: 0.0006 };
  expect(forkPlayNow(BOLLARD, w)).toBeLessThan(BOLLARD.linkage.forkPlay);
  const riding = releaseCurve(BOLLARD, { ...AS_BUILT, wear: 0.002 });
  expect(riding.pedalPlay).toBe(0);
  expect(riding.forkPlay).toBeLessThan(0);
  expect(riding.clamp).toBeLessThan(riding.freeClamp);
  // Adjusted as it wears, it keeps its play.
  expect(releaseCurve(BOLLARD, worn(BOLLARD, AS_BUILT, 0.002)).pedalPlay).toBeCloseTo(
    releaseCurve(BOLLARD, AS_BUILT).pedalPlay,
    6,
  );
});

// Common practice, no source (the trade's list of what each does).
test('what each fault does, computed', () => {
  const sound = releaseCurve(BOLLARD, AS_BUILT);
  const down = (fault: ClutchFault) => floorOf(BOLLARD, withClutchFault(BOLLARD, AS_BUILT, fault));
  const holds = (fault: ClutchFault) =>
    holdingTorque(BOLLARD, withClutchFault(BOLLARD, AS_BUILT, fault));
  const full = holdingTorque(BOLLARD, AS_BUILT);
  expect(holds('worn')).toBeLessThan(0.75 * full);
  expect(holds('oiled')).toBeLessThan(0.7 * full);
  for (const fault of ['air', 'leak', 'bent-fingers', 'warped-disc'] as const)
    expect([fault, down(fault).leastGap <= 0.0001]).toEqual([fault, true]);
  const noPlay = releaseCurve(BOLLARD, withClutchFault(BOLLARD, AS_BUILT, 'no-free-play'));
  expect(noPlay.clamp).toBeLessThan(0.85 * sound.clamp);
  const much = releaseCurve(BOLLARD, withClutchFault(BOLLARD, AS_BUILT, 'too-much-play'));
  expect(much.pedalPlay).toBeGreaterThan(2 * sound.pedalPlay);
  // Without its cushion the clamp comes in over less travel: it grabs.
  const steep = (state: ClutchState) => {
    const { points } = releaseCurve(BOLLARD, state);
    return Math.max(...points.slice(1).map((p, k) => Math.abs(p.clamp - points[k]!.clamp)));
  };
  const flat = withClutchFault(BOLLARD, AS_BUILT, 'lost-cushion');
  expect(steep(flat)).toBeGreaterThan(2 * steep(AS_BUILT));
  expect(faultFits(HAWSER, 'air')).toBe(false);
  expect(faultFits(BOLLARD, 'air')).toBe(true);
});

test('findings: what can’t be computed, and what is odd', () => {
  const codes = (clutch: Clutch, asked = 0) => clutchFindings(clutch, asked).map((f) => f.code);
  expect(codes(BOLLARD)).toEqual([]);
  expect(codes(HAWSER)).toEqual([]);
  const disc = (change: Partial<Clutch['disc']>) => ({
    ...BOLLARD,
    disc: { ...BOLLARD.disc, ...change },
  });
  expect(codes(disc({ innerRadius: 0.2 }))).toEqual(['inner-over-outer']);
  // A ring of no width has no face.
  const { outerRadius } = disc({}).disc;
  expect(codes(disc({ innerRadius: outerRadius }))).toEqual(['inner-over-outer']);
  expect(codes(disc({ wornThickness: 0.009 }))).toEqual(['worn-over-new']);
  const spring = BOLLARD.cover.spring;
  if (spring.kind !== 'diaphragm') throw new Error('expected a diaphragm');
  const cover = (change: object) => ({
    ...BOLLARD,
    cover: { ...BOLLARD.cover, spring: { ...spring, ...change } },
  });
  expect(codes(cover({ spring: { ...spring.spring, coneHeight: 0.0065 } }))).toEqual([
    'spring-inverts',
  ]);
  expect(codes(cover({ pivotRadius: 0.2 }))).toEqual(['radii-order']);
  expect(codes(cover({ installed: 0.0008 }))).toContain('before-hump');
  const linkage = (change: Partial<Clutch['linkage']>) => ({
    ...BOLLARD,
    linkage: { ...BOLLARD.linkage, ...change },
  });
  expect(codes(linkage({ pedalTravel: 0.05 }))).toContain('never-releases');
  expect(codes(linkage({ pedalTravel: 0.12 }))).toContain('small-gap');
  expect(codes(linkage({ forkPlay: 0.012 }))).toContain('play-out');
  expect(codes(BOLLARD, 400)).toContain('always-slips');
  expect(codes(disc({ friction: { ...BOLLARD.disc.friction, standing: 0.05 } }), 183)).toContain(
    'always-slips',
  );
  const over = { ...HAWSER.linkage.overCentre!, rate: 120_000 };
  expect(codes({ ...HAWSER, linkage: { ...HAWSER.linkage, overCentre: over } })).toContain(
    'stays-down',
  );
});

// Common practice, no source: a slave that follows the fingers leaves no free play, whatever the wear, and asks for no setting.
test('a release that adjusts itself has no free play by design', () => {
  for (const wear of [0, 0.0006, 0.0012])
    expect(forkPlayNow(GUNWALE, worn(GUNWALE, AS_BUILT, wear))).toBe(0);
  expect(adjustmentsOf(GUNWALE)).not.toContain('fork-rod');
  expect(faultFits(GUNWALE, 'no-free-play')).toBe(false);
  expect(clutchFindings(GUNWALE)).toEqual([]);
  const byHand = { ...AS_BUILT, wear: 0.0012 };
  expect(forkPlayNow(BOLLARD, byHand)).toBeLessThan(forkPlayNow(BOLLARD, AS_BUILT));
});

// By hand: a disc out of true by r stands r/2 nearer the plate at one place and at another nearer the flywheel, so that
// the narrowest place has lost all of r.
test('the narrowest place of the gap has lost the whole run-out', () => {
  for (const runOut of [0, 0.3e-3, 0.8e-3]) {
    const { gap, leastGap } = floorOf(BOLLARD, { ...AS_BUILT, runOut });
    expect(gap - leastGap).toBeCloseTo(runOut, 12);
  }
});
