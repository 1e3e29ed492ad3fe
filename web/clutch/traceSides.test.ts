import type { EngagementResult, EngagementSample } from '../../core/shift';
import { testNumbers, testWords } from '../tests/words';
import { TRACED } from './traced';
import { engagementFigures, pointsOf, sideOf } from './traceSides';

/** Ever harder off the line: a = 3·t, so that the jerk is 3 m/s³ throughout. */
const samples = Array.from({ length: 21 }, (_v, k): EngagementSample => {
  const time = k / 100;
  return {
    time,
    pedal: 1 - k / 20,
    throttle: 0.25,
    engineRpm: 1500 - 10 * k,
    discRpm: 40 * k,
    speed: 1.5 * time ** 2,
    clutchNm: 100,
    holdsNm: 150,
    acceleration: 3 * time,
    heatW: 0,
    heat: 2000 * k,
    facingC: 40 + k,
  };
});
const run = { samples } as unknown as EngagementResult;

test('jerk is how fast the acceleration changes, and there is none at the first moment', async () => {
  const t = await testWords();
  const { curves } = sideOf('felt', run, t, testNumbers(t, 'si'));
  const [first, ...rest] = curves[1]!.points.map((p) => p.y);
  expect(first).toBe(0);
  for (const jerk of rest) expect(jerk).toBeCloseTo(3, 9);
});

test('each side is in the units that are chosen, its table too', async () => {
  const t = await testWords();
  const inch = testNumbers(t, 'inch-pound');
  // 100 N·m are 73.756 lbf·ft (NIST SP 811, B.8; published), 1 m/s 2.2369 mi/h (the same).
  expect(sideOf('torque', run, t, inch).curves[0]!.points[5]!.y).toBeCloseTo(73.756, 2);
  const speed = sideOf('speeds', run, t, inch).curves[2]!;
  expect(speed).toMatchObject({ right: true });
  expect(speed.points[20]!.y).toBeCloseTo(1.5 * 0.04 * 2.2369, 4);
  const { titles, rows } = engagementFigures(run, t, inch);
  expect(rows).toHaveLength(3);
  for (const row of rows) expect(row).toHaveLength(titles.length);
  expect(rows[2]!.slice(0, 4)).toEqual(['0.20', '0', '25', '1\u202f300']);
  const of = (title: string) => rows[2]![titles.indexOf(title)];
  expect(of('carries, lbf·ft')).toBe('74');
  expect(of('could hold, lbf·ft')).toBe('111');
  expect(of('Jerk, m/s³')).toBe('3');
});

test('what is drawn of an earlier run is the first curve of its side', async () => {
  const t = await testWords();
  const si = testNumbers(t, 'si');
  for (const traced of TRACED) {
    const { main, curves } = sideOf(traced, run, t, si);
    expect(pointsOf(run, main, t, si)).toEqual(curves[0]!.points);
  }
});
