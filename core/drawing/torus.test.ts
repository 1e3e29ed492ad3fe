import { streamlineCharacteristic, type Converter, type StreamlineModel } from '../converter';
import { torus } from './index';
import { demoFile } from '../tests/demoFile';

const model = demoFile<Converter>('converters/jetty-eleven').model as StreamlineModel;
const at = (speedRatio: number) => torus(model, streamlineCharacteristic(model).at(speedRatio));

test('the circuit touches the wheels’ radii, and the three wheels close it', () => {
  const { centre, circuit, wheels, at: place } = at(0);
  expect(centre + circuit).toBeCloseTo(1, 12);
  expect(place(wheels[0]!.to, 1).y).toBeCloseTo(1, 12);
  expect(place(wheels[1]!.to, 1).y).toBeCloseTo(0.066 / 0.11, 6);
  expect(place(wheels[2]!.to, 1).y).toBeCloseTo(0.06 / 0.11, 6);
  expect(wheels[2]!.to - wheels[0]!.from).toBeCloseTo(2 * Math.PI, 12);
});

// Facts of the trade (common practice, no source): at stall the flow is vortex, near coupling it is rotary.
test('vortex flow at stall gives way to rotary flow', () => {
  const angles = [0, 0.3, 0.6, 0.9].map((sr) => at(sr).vortex!);
  angles.slice(1).forEach((angle, k) => expect(angle).toBeLessThan(angles[k]!));
  expect(angles[0]).toBeGreaterThan(1.5);
  expect(angles.at(-1)).toBeLessThan(1);
});

test('the path is one line, out through the pump and in through the turbine', () => {
  const { path } = at(0.2);
  const radius = (p: { x: number; y: number }) => Math.hypot(p.x, p.y);
  path.slice(1).forEach((piece, k) => {
    expect(piece.points[0]!.x).toBeCloseTo(path[k]!.points.at(-1)!.x, 9);
    expect(piece.points[0]!.y).toBeCloseTo(path[k]!.points.at(-1)!.y, 9);
  });
  expect(radius(path[0]!.points.at(-1)!)).toBeCloseTo(1, 9);
  expect(radius(path[1]!.points.at(-1)!)).toBeLessThan(0.7);
});

test('where nothing circulates there is no path', () => {
  expect(torus(model, null).path).toEqual([]);
  expect(at(1).path).toEqual([]);
  expect(at(1).vortex).toBeNull();
});
