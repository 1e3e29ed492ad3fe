import { streamlineCharacteristic, type Converter, type StreamlineModel } from '../converter';
import { cascade } from './index';
import { demoFile } from '../tests/demoFile';

const { model } = demoFile<Converter>('converters/jetty-eleven');
const stated = model as StreamlineModel;
const at = (speedRatio: number) => cascade(stated, streamlineCharacteristic(stated).at(speedRatio));

// The velocity triangle: absolute = rim + relative (any text on turbomachines).
test('each triangle closes, and the axial velocity is one all round', () => {
  for (const sr of [0, 0.4, 0.8, 0.95]) {
    const { triangles } = at(sr);
    for (const { rim, relative, absolute } of triangles) {
      expect(absolute.x).toBeCloseTo(rim + relative.x, 12);
      expect(absolute.y).toBe(relative.y);
    }
    expect(new Set(triangles.map((t) => t.relative.y)).size).toBe(1);
  }
});

test('the stream is one smooth line through all three rows', () => {
  const { stream, rows, height } = at(0.3);
  expect(stream).toHaveLength(7);
  stream.slice(1).forEach((part, k) => {
    const before = stream[k]!;
    expect(part.from).toEqual(before.to);
    const leave = (before.to.x - before.b.x) / (before.to.y - before.b.y);
    const enter = (part.a.x - part.from.x) / (part.a.y - part.from.y);
    expect(enter).toBeCloseTo(leave, 9);
  });
  expect(stream[0]!.from.y).toBe(rows[0]!.top - 40);
  expect(stream.at(-1)!.to.y).toBe(height);
});

// Common practice, no source: at stall the turbine throws the fluid back against the stator, which turns it round.
test('at stall the turbine sends the fluid backward and the stator sends it forward', () => {
  const [pump, turbine, stator] = at(0).triangles;
  expect(pump!.absolute.x).toBeGreaterThan(0);
  expect(turbine!.absolute.x).toBeLessThan(0);
  expect(stator!.absolute.x).toBeGreaterThan(0);
  expect(at(0).rows[1]!.speed).toBe(0);
});

test('nothing circulates when both turn alike', () => {
  expect(at(1).stream).toEqual([]);
});
