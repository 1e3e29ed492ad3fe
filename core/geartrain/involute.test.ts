import polygonClipping, { type Polygon } from 'polygon-clipping';
import {
  BACKLASH,
  baseRadius,
  externalTooth,
  flankAngle,
  gearOutline,
  internalTooth,
  layOutSet,
  pitchRadius,
  pitchThickness,
  poseSet,
  solveSet,
  type PlanetarySet,
  type Point,
} from './index';
import { toNumber } from '../numerics';

const ring = (points: readonly Point[], turn = 0, centre: Point = { x: 0, y: 0 }): Polygon => [
  points.map(({ x, y }) => [
    centre.x + x * Math.cos(turn) - y * Math.sin(turn),
    centre.y + x * Math.sin(turn) + y * Math.cos(turn),
  ]),
];

const area = (shapes: readonly Polygon[]) =>
  shapes.flat().reduce(
    (sum, loop) =>
      sum +
      loop.reduce((s, [x, y], k) => {
        const [u, v] = loop[(k + 1) % loop.length]!;
        return s + (x * v - u * y) / 2;
      }, 0),
    0,
  );

// Published: ISO 21771 / any gear text: base circle r·cos α, thickness at the pitch circle π·m/2.
test('base circle and tooth thickness at the pitch circle', () => {
  expect(baseRadius(20)).toBeCloseTo(10 * Math.cos(Math.PI / 9), 12);
  for (const teeth of [17, 20, 30, 70]) {
    const half = flankAngle(teeth, pitchRadius(teeth), Math.PI / 2);
    expect(2 * half * pitchRadius(teeth)).toBeCloseTo(Math.PI / 2, 12);
  }
});

// Closed form: a point of an involute lies on the tangent unrolled from the base circle.
test('flank points lie on the unrolled string of the base circle', () => {
  const teeth = 24;
  const rb = baseRadius(teeth);
  const { side, formRadius } = externalTooth(teeth);
  const flank = side.filter((p) => p.radius >= formRadius);
  const rollStart = flank[0]!;
  for (const p of flank) {
    const roll = (r: number) => Math.sqrt(r * r - rb * rb) / rb;
    const polarAngle = (r: number) => roll(r) - Math.atan(roll(r));
    expect(rollStart.half - p.half).toBeCloseTo(
      polarAngle(p.radius) - polarAngle(rollStart.radius),
      10,
    );
  }
});

// Published: ISO 53 rack with its round corner undercuts below 17 teeth at 20°.
test('undercut begins below 17 teeth', () => {
  const join = (teeth: number) => externalTooth(teeth, 0);
  for (const teeth of [17, 18, 25]) {
    const { formRadius } = join(teeth);
    const { side } = join(teeth);
    const k = side.findIndex((p) => p.radius >= formRadius);
    // Smooth where the fillet meets the involute: the tooth never narrows towards its root.
    expect(side[k - 1]!.half).toBeGreaterThan(side[k]!.half);
  }
  const waist = (teeth: number) =>
    Math.min(
      ...join(teeth)
        .side.slice(0, 7)
        .map((p) => p.half * p.radius),
    );
  const atForm = (teeth: number) => {
    const { side, formRadius } = join(teeth);
    return side.find((p) => p.radius >= formRadius)!.half * formRadius;
  };
  expect(waist(10)).toBeLessThan(atForm(10));
  expect(join(12).formRadius).toBeGreaterThan(baseRadius(12));
});

test('root and tip stand at 1.25 and 1 module', () => {
  const { rootRadius, tipRadius } = externalTooth(30);
  expect([rootRadius, tipRadius]).toEqual([13.75, 16]);
  const internal = internalTooth(70, 20);
  expect(internal.rootRadius).toBe(36.25);
  expect(internal.tipRadius).toBeGreaterThanOrEqual(34);
  expect(internal.tipRadius).toBeLessThan(34.4);
});

const SETS: [string, PlanetarySet][] = [
  [
    '30/20/70, four',
    { kind: 'single-pinion', teeth: { sun: 30, pinion: 20, ring: 70 }, pinions: 4 },
  ],
  [
    '20/30/80, four',
    { kind: 'single-pinion', teeth: { sun: 20, pinion: 30, ring: 80 }, pinions: 4 },
  ],
  [
    '36/18/72, three',
    { kind: 'single-pinion', teeth: { sun: 36, pinion: 18, ring: 72 }, pinions: 3 },
  ],
  [
    '13/22/57, five',
    { kind: 'single-pinion', teeth: { sun: 13, pinion: 22, ring: 57 }, pinions: 5 },
  ],
  [
    '45/15/75, five',
    { kind: 'single-pinion', teeth: { sun: 45, pinion: 15, ring: 75 }, pinions: 5 },
  ],
  [
    'double 30/18/18/78',
    { kind: 'double-pinion', teeth: { sun: 30, inner: 18, outer: 18, ring: 78 }, pinions: 3 },
  ],
  [
    'double 33/17/20/81',
    { kind: 'double-pinion', teeth: { sun: 33, inner: 17, outer: 20, ring: 81 }, pinions: 4 },
  ],
];

/** Every pair of gears in mesh at one pose, as [solid, solid]; the ring's solid is cut out of a disc. */
function meshes(
  set: PlanetarySet,
  sunTurn: number,
  carrierTurn: number,
  ringExtra = 0,
  pinionExtra = 0,
) {
  const layout = layOutSet(set);
  const pose = poseSet(layout, sunTurn, carrierTurn);
  const sun = ring(gearOutline(layout.sunTeeth, externalTooth(layout.sunTeeth)), pose.sun);
  const last = layout.stations[0]!.at(-1)!;
  const hole = gearOutline(layout.ringTeeth, internalTooth(layout.ringTeeth, last.teeth));
  const pairs: [Polygon, Polygon, 'meet' | 'inside'][] = [];
  layout.stations.forEach((seats, s) => {
    const solids = seats.map((seat, k) => {
      const { centre, turn } = pose.stations[s]![k]!;
      return ring(gearOutline(seat.teeth, externalTooth(seat.teeth)), turn + pinionExtra, centre);
    });
    pairs.push([sun, solids[0]!, 'meet']);
    if (solids[1]) pairs.push([solids[0]!, solids[1], 'meet']);
    pairs.push([ring(hole, pose.ring + ringExtra), solids.at(-1)!, 'inside']);
  });
  return pairs;
}

/** Area in which two solids overlap; for the ring, area of the pinion that sticks out of the hole. */
const overlap = ([a, b, how]: [Polygon, Polygon, 'meet' | 'inside']) =>
  Math.abs(
    area(how === 'meet' ? polygonClipping.intersection(a, b) : polygonClipping.difference(b, a)),
  );

// Outside check: a general-purpose polygon-clipping library finds no overlap of solid areas.
test.each(SETS)('teeth never overlap at any angle: %s', (_name, set) => {
  for (let k = 0; k < 3; k++) {
    const worst = Math.max(...meshes(set, k * 0.37, k * 0.113).map(overlap));
    expect(worst).toBeLessThan(2e-4);
  }
});

// No gap beyond backlash: turning one gear of a mesh by the backlash either way makes flanks touch.
test.each(SETS)('flanks are within the backlash of touching: %s', (_name, set) => {
  const layout = layOutSet(set);
  const play = BACKLASH / 2 / Math.cos(Math.PI / 9) + 0.004;
  for (const way of [1, -1]) {
    const ringTurn = (way * play) / pitchRadius(layout.ringTeeth);
    const turned = meshes(set, 0.37, 0.113, ringTurn);
    for (const mesh of turned.filter((m) => m[2] === 'inside'))
      expect(overlap(mesh)).toBeGreaterThan(1e-6);
    const pinionTurn = (way * play) / pitchRadius(layout.stations[0]![0]!.teeth);
    const first = meshes(set, 0.37, 0.113, 0, pinionTurn);
    for (const mesh of first.filter((m) => m[2] === 'meet'))
      expect(overlap(mesh)).toBeGreaterThan(1e-6);
  }
});

test('the pose obeys the kinematics of the set', () => {
  for (const [, set] of SETS) {
    const layout = layOutSet(set);
    const solution = solveSet(set, { drives: 'sun', driven: 'carrier', reaction: 'held' });
    const carrier = toNumber(solution.speeds.carrier!);
    const before = poseSet(layout, 0, 0);
    const after = poseSet(layout, 0.5, 0.5 * carrier);
    expect(after.ring - before.ring).toBeCloseTo(0, 10);
    const turned = after.stations[0]![0]!.turn - before.stations[0]![0]!.turn;
    const pinion = toNumber(solution.pinions[0]!.speed!) + carrier;
    expect(turned).toBeCloseTo(0.5 * pinion, 10);
    expect(pitchThickness(0)).toBeCloseTo(Math.PI / 2, 12);
  }
});
