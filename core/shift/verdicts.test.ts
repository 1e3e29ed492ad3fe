import {
  engagementVerdicts,
  HOT_FACING_C,
  JOLT,
  LONG_SLIP_S,
  type EngagementSummary,
} from './index';

const CLEAN: EngagementSummary = {
  slipTime: 1.2,
  heat: 15_000,
  peakC: 100,
  jerk: 20,
  judder: { swing: 0, hertz: 0 },
  stalled: false,
  rolledBack: 0,
  slipping: false,
  speed: 2,
  engineRpm: 900,
};
const of = (change: Partial<EngagementSummary>) => engagementVerdicts({ ...CLEAN, ...change });

test('a start without anything to say of it is clean, and only then', () => {
  expect(of({})).toEqual(['clean']);
  for (const change of [{ stalled: true }, { jerk: 2 * JOLT }, { rolledBack: 1 }])
    expect(of(change)).not.toContain('clean');
});

test('each verdict at its limit, the worst first', () => {
  expect(of({ stalled: true, slipping: true })).toEqual(['stalls']);
  expect(of({ slipTime: 0, speed: 0 })).toEqual(['never-bites']);
  expect(of({ slipping: true })).toEqual(['slips-on']);
  expect(of({ peakC: HOT_FACING_C })).toEqual(['clean']);
  expect(of({ peakC: HOT_FACING_C + 1 })).toEqual(['too-hot']);
  expect(of({ jerk: JOLT + 1 })).toEqual(['jolts']);
  expect(of({ slipTime: LONG_SLIP_S + 0.1 })).toEqual(['long-slip']);
  // A long slip that has not ended is told as such, not twice.
  expect(of({ slipTime: 9, slipping: true })).toEqual(['slips-on']);
  expect(of({ judder: { swing: 2, hertz: 11 }, rolledBack: 0.4 })).toEqual([
    'rolls-back',
    'judders',
  ]);
});
