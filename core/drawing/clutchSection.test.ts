import { AS_BUILT, atPedal, leverRatio, releaseCurve, withClutchFault, worn } from '../clutch';
import { BOLLARD, GUNWALE, HAWSER } from '../clutch/tests/demo';
import { thickened } from './clutchShapes';
import { clutchSection, STRETCH, type ClutchLayout, type ClutchPartName } from './index';

const drawn = (clutch = BOLLARD, share = 0, state = AS_BUILT, layout: ClutchLayout = 'wide') => {
  const curve = releaseCurve(clutch, state);
  return clutchSection(clutch, state, curve, atPedal(curve, share * curve.floor), layout);
};
const part = (section: ReturnType<typeof drawn>, name: ClutchPartName) =>
  section.shapes.filter((s) => s.part === name);
const left = (section: ReturnType<typeof drawn>, name: ClutchPartName) =>
  Math.min(...part(section, name).flatMap((s) => s.points.map((p) => p.x)));

test.each(['wide', 'tall'] as const)(
  'everything lies on the sheet, whatever the pedal: %s',
  (layout) => {
    for (const clutch of [BOLLARD, GUNWALE, HAWSER])
      for (const wear of [0, 0.0012, 0.0024])
        for (let share = 0; share <= 1; share += 0.1) {
          const section = drawn(clutch, share, worn(clutch, AS_BUILT, wear), layout);
          const within = ({ x, y }: { x: number; y: number }) =>
            x >= -1 && x <= section.width + 1 && y >= -1 && y <= section.height + 1;
          expect(section.shapes.filter((s) => !s.points.every(within))).toEqual([]);
        }
  },
);

test('the gap on the drawing is the gap of the model, on its scale', () => {
  const curve = releaseCurve(BOLLARD, AS_BUILT);
  const scale = (1000 * 136) / (1000 * BOLLARD.disc.outerRadius) / 1000;
  for (const share of [0, 0.4, 0.6, 0.8, 1]) {
    const point = atPedal(curve, share * curve.floor);
    const gaps = drawn(BOLLARD, share).gaps.reduce((sum, g) => sum + g.width, 0);
    expect(gaps).toBeCloseTo(Math.max(0, point.gap) * 1000 * scale * STRETCH, 6);
  }
});

test('the plate lifts away from the flywheel, the bearing goes towards it', () => {
  for (const clutch of [BOLLARD, GUNWALE, HAWSER]) {
    expect(left(drawn(clutch, 1), 'plate')).toBeGreaterThan(left(drawn(clutch, 0), 'plate'));
    expect(left(drawn(clutch, 1), 'bearing')).toBeLessThan(left(drawn(clutch, 0), 'bearing'));
  }
});

test('a worn disc is thinner, and its rivets come out', () => {
  const [fresh, end] = [drawn(), drawn(BOLLARD, 0, worn(BOLLARD, AS_BUILT, 0.0027))];
  expect(left(end, 'plate')).toBeLessThan(left(fresh, 'plate'));
  expect(fresh.rivets.every((r) => r.below > 0)).toBe(true);
  expect(end.rivets.every((r) => r.below <= 0)).toBe(true);
});

test('arrows tell the loads', () => {
  const released = drawn(BOLLARD, 1);
  expect(released.clampArrow.by).toBeCloseTo(0, 9);
  expect(released.bearingArrow.by).toBeLessThan(-10);
  expect(drawn().clampArrow.by).toBeLessThan(-30);
  expect(drawn().bearingArrow.by).toBeCloseTo(0, 6);
});

test('coil springs are drawn for a lever cover, and fingers lean as their ratio says', () => {
  expect(drawn(HAWSER).coils.length).toBe(drawn(BOLLARD).coils.length + 1);
  const { seat, pivot, tip } = drawn(BOLLARD).fingers;
  const lean = (tip.x - pivot.x) / (pivot.x - seat.x);
  expect(lean).toBeCloseTo(leverRatio(BOLLARD.cover), 0);
});

test('a bearing without play touches the fingers with the pedal up', () => {
  const rides = withClutchFault(BOLLARD, AS_BUILT, 'no-free-play');
  const section = drawn(BOLLARD, 0, rides);
  const { tip } = section.fingers;
  expect(Math.abs(left(section, 'bearing') - tip.x)).toBeLessThan(0.5);
  const free = drawn();
  expect(left(free, 'bearing') - free.fingers.tip.x).toBeGreaterThan(3);
});

// By hand: a straight bar of 2 along x has corners one to either side; its outline keeps the line's ends.
test('a line with a thickness', () => {
  const line = [
    { x: 0, y: 0 },
    { x: 10, y: 0 },
  ];
  expect(thickened(line, [2, 4])).toEqual([
    { x: 0, y: 1 },
    { x: 10, y: 2 },
    { x: 10, y: -2 },
    { x: 0, y: -1 },
  ]);
});

// Facts of the trade: as the plate lifts its straps bend, the cushion spreads, the fingers turn about their rings.
test('what moves is drawn moved: straps, cushion, fingers, bearing', () => {
  const [up, down] = [drawn(BOLLARD, 0), drawn(BOLLARD, 1)];
  const spread = (section: ReturnType<typeof drawn>, name: ClutchPartName) => {
    const xs = part(section, name).flatMap((s) => s.points.map((p) => p.x));
    return Math.max(...xs) - Math.min(...xs);
  };
  expect(spread(down, 'strap')).toBeGreaterThan(spread(up, 'strap'));
  expect(spread(down, 'cushion')).toBeGreaterThan(spread(up, 'cushion'));
  expect(down.fingers.tip.x).toBeLessThan(up.fingers.tip.x);
  expect(down.fingers.pivot).toEqual(up.fingers.pivot);
  expect(left(down, 'ball')).toBeLessThan(left(up, 'ball'));
  expect(part(drawn(HAWSER), 'pivot-ring')).toHaveLength(1);
});

// Nothing on a sheet lies over anything else: a pipe that the fork swings through could not be built either.
test('the fork keeps clear of the line, however far the pedal goes', () => {
  for (const clutch of [BOLLARD, GUNWALE])
    for (const share of [0, 0.3, 0.6, 1]) {
      const { anchors, line, cylinders } = drawn(clutch, share);
      const upright = line.filter((p, k) => k > 0 && p.x === line[k - 1]!.x).map((p) => p.x);
      expect(upright.length).toBeGreaterThan(0);
      for (const x of upright)
        expect([share, Math.abs(anchors.fork.x - x) > 6]).toEqual([share, true]);
      expect(Math.max(...upright)).toBeLessThan(cylinders[1]!.x);
    }
});
