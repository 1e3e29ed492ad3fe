import {
  adjusted,
  adjustmentsOf,
  AS_BUILT,
  bearingRuns,
  linkageVerdicts,
  NOISE_TESTS,
  orderWorks,
  readLinkage,
  separatingTests,
  worn,
  type Adjustment,
  type BearingId,
} from './index';
import { misadjusted } from '../lesson';
import { BOLLARD, HAWSER } from './tests/demo';

const orders = <T>(items: readonly T[]): T[][] =>
  items.length < 2
    ? [[...items]]
    : items.flatMap((item, k) => orders(items.toSpliced(k, 1)).map((rest) => [item, ...rest]));

// Common practice, no source: over-centre spring before fork rod, and a check at the end.
test('of all orders only the trade’s leaves everything in its window', () => {
  const start = misadjusted(HAWSER, AS_BUILT);
  expect(linkageVerdicts(HAWSER, start)).not.toEqual([]);
  const works = orders(adjustmentsOf(HAWSER)).filter((o) => orderWorks(HAWSER, start, o));
  expect(works).toEqual([['over-centre', 'fork-rod', 'check-gap']]);
});

test('hydraulics are bled, and rods are not', () => {
  expect(adjustmentsOf(BOLLARD)).toEqual(['bleed', 'fork-rod', 'check-gap']);
  expect(adjustmentsOf(HAWSER)).not.toContain('bleed');
  const start = misadjusted(BOLLARD, AS_BUILT);
  expect(linkageVerdicts(BOLLARD, start)).toContain('air');
  const never: Adjustment[] = ['fork-rod', 'check-gap'];
  expect(orderWorks(BOLLARD, start, never)).toBe(false);
  expect(orderWorks(BOLLARD, start, ['bleed', 'fork-rod', 'check-gap'])).toBe(true);
});

// Common practice, no source: never gain free play at the spring's turnbuckle.
test('play gained at the turnbuckle looks right and leaves the spring late', () => {
  const lost = { ...AS_BUILT, forkRod: -0.0025 };
  expect(linkageVerdicts(HAWSER, lost)).toEqual(['play-short']);
  const trick = { ...lost, turnbuckle: 0.016 };
  expect(linkageVerdicts(HAWSER, trick)).toEqual(['centre-late']);
  expect(readLinkage(HAWSER, trick).force).toBeGreaterThan(readLinkage(HAWSER, lost).force * 0.99);
});

// Common practice, no source: a spring that comes over before its window helps before there is anything to help.
test('the turnbuckle wound the other way brings the spring over early', () => {
  const slack = { ...AS_BUILT, turnbuckle: -0.016 };
  const [early] = HAWSER.limits.centre!;
  expect(readLinkage(HAWSER, slack).centre).toBeLessThan(early);
  expect(linkageVerdicts(HAWSER, slack)).toContain('centre-early');
  expect(linkageVerdicts(HAWSER, slack)).not.toContain('centre-late');
});

test('each step sets the middle of its own window, whatever the wear', () => {
  for (const wear of [0, 0.001, 0.002]) {
    const start = misadjusted(HAWSER, worn(HAWSER, AS_BUILT, wear));
    const done = adjusted(HAWSER, adjusted(HAWSER, start, 'over-centre'), 'fork-rod');
    const { pedalPlay, centre } = readLinkage(HAWSER, done);
    const [least, most] = HAWSER.limits.pedalPlay;
    expect(pedalPlay).toBeCloseTo((least + most) / 2, 5);
    expect(centre).toBeCloseTo(0.045, 9);
  }
});

const IDLE = 750;
const turning = (id: string): BearingId[] => {
  const test = NOISE_TESTS.find((n) => n.id === id)!;
  return bearingRuns(BOLLARD, AS_BUILT, test, IDLE)
    .filter((r) => r.turns)
    .map((r) => r.bearing);
};

// Common practice, no source; both schools of the trade. By gear: pedal down in neutral, the release bearing; only with
// a gear in, the pilot. By travel: at first touch the release bearing; at full travel (in gear) the pilot.
test('bearings turn when both schools say so', () => {
  expect(turning('up-neutral')).toEqual(['input']);
  expect(turning('touch-neutral')).toEqual(['release', 'input']);
  expect(turning('down-neutral')).toEqual(['release', 'input']);
  // The input shaft has run down: only what stands with the gear still stands.
  expect(turning('down-waited')).toEqual(['release', 'pilot']);
  expect(turning('down-in-gear')).toEqual(['release', 'pilot']);
});

test('a test separates two bearings just where one of them turns', () => {
  const pairs: readonly (readonly [BearingId, BearingId])[] = [
    ['release', 'pilot'],
    ['release', 'input'],
    ['pilot', 'input'],
  ];
  for (const [a, b] of pairs) {
    const by = NOISE_TESTS.filter(({ id }) => turning(id).includes(a) !== turning(id).includes(b));
    expect(separatingTests(BOLLARD, AS_BUILT, a, b, IDLE)).toEqual(by.map((n) => n.id));
    expect(separatingTests(BOLLARD, AS_BUILT, b, a, IDLE)).toEqual(by.map((n) => n.id));
  }
});

test('only a rough bearing is heard, and only while it turns', () => {
  const state = { ...AS_BUILT, roughBearings: ['pilot' as const] };
  for (const test of NOISE_TESTS) {
    const heard = bearingRuns(BOLLARD, state, test, IDLE).filter((r) => r.heard);
    expect(heard.map((r) => r.bearing)).toEqual(
      ['down-waited', 'down-in-gear'].includes(test.id) ? ['pilot'] : [],
    );
  }
  // No free play: the release bearing rides, and is heard with the pedal up.
  const rides = { ...AS_BUILT, forkRod: -0.008, roughBearings: ['release' as const] };
  const up = bearingRuns(BOLLARD, rides, NOISE_TESTS[0]!, IDLE);
  expect(up.find((r) => r.bearing === 'release')!.heard).toBe(true);
});
