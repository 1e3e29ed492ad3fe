import { defaultSets } from './tests/sets';
import { solveSet } from '../geartrain';
import { arcArrow, circlePath, closedPath, endView, leverOf } from './index';

test('every drawn part lies inside the extent', () => {
  for (const set of defaultSets) {
    const view = endView(set);
    const reach = (points: readonly { x: number; y: number }[]) =>
      Math.max(...points.map((p) => Math.hypot(p.x, p.y)));
    expect(reach(view.sun.outline)).toBeLessThan(view.extent);
    expect(reach(view.ring.hole)).toBeLessThan(view.ring.rim);
    for (const pinion of view.pinions) {
      const seat = view.layout.stations[pinion.station]![pinion.seat]!;
      expect(seat.radius + reach(pinion.outline)).toBeLessThanOrEqual(view.extent);
      expect(pinion.pin).toBeLessThan(pinion.bore);
      // The carrier's band reaches under every pin.
      expect(seat.radius).toBeGreaterThan(view.carrier.inner);
      expect(seat.radius).toBeLessThan(view.carrier.outer);
    }
  }
});

// Published: Benford & Leising, SAE paper 810102: the three speeds lie on one straight line.
test('the lever is straight for every set and arrangement', () => {
  for (const set of defaultSets)
    for (const roles of [
      { drives: 'sun', driven: 'carrier', reaction: 'held' },
      { drives: 'carrier', driven: 'ring', reaction: 'held' },
      { drives: 'ring', driven: 'sun', reaction: 'held' },
    ] as const) {
      const [a, b, c] = leverOf(set, solveSet(set, roles).speeds);
      const share = (b!.place - a!.place) / (c!.place - a!.place);
      expect(b!.speed).toBeCloseTo(a!.speed! + share * (c!.speed! - a!.speed!), 10);
    }
});

test('lever arms are in the ratio Nr : Ns; a double-pinion carrier lies outside', () => {
  const [single, double] = [defaultSets[0]!, defaultSets.at(-1)!];
  const points = leverOf(
    single,
    solveSet(single, { drives: 'sun', driven: 'carrier', reaction: 'held' }).speeds,
  );
  expect(points.map((p) => p.port)).toEqual(['sun', 'carrier', 'ring']);
  const [s, c, r] = points.map((p) => p.place) as [number, number, number];
  expect((c - s) / (r - c)).toBeCloseTo(single.teeth.ring / single.teeth.sun, 12);
  const outer = leverOf(
    double,
    solveSet(double, { drives: 'sun', driven: 'carrier', reaction: 'held' }).speeds,
  );
  expect(outer.map((p) => p.port)).toEqual(['sun', 'ring', 'carrier']);
});

test('paths and arrows', () => {
  expect(
    closedPath([
      { x: 0, y: 0 },
      { x: 1.23456, y: 2 },
    ]),
  ).toBe('M0 0L1.235 2Z');
  expect(circlePath(2)).toContain('A2 2');
  const arrow = arcArrow(10, 0, 1, true, 1);
  expect(Math.atan2(arrow.head[1].y, arrow.head[1].x)).toBeCloseTo(0.5, 12);
  expect(arcArrow(10, 0, 1, false, 1).head[1].y).toBeCloseTo(-10 * Math.sin(0.5), 12);
});
