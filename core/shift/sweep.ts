import { worn } from '../clutch';
import { engage } from './engagement';
import type { EngagementSetup, EngagementSummary } from './engagementSetup';
import type { Trace } from './trace';

/** A run again and again while one thing goes from one value to another. */
export type SweptOfEngagement = 'wear' | 'grade' | 'throttle' | 'let-up';
export const SWEPT_OF_ENGAGEMENT: readonly SweptOfEngagement[] = [
  'let-up',
  'throttle',
  'grade',
  'wear',
];

export interface EngagementSweep {
  readonly setup: EngagementSetup;
  readonly swept: SweptOfEngagement;
  readonly from: number;
  readonly to: number;
  readonly runs: number;
}

export interface EngagementPoint {
  readonly index: number;
  readonly value: number;
  readonly summary: EngagementSummary;
}

/** The setup with the swept value: wear (m), grade, how far the throttle is opened, or s to let the pedal up. */
export function sweptSetup(
  setup: EngagementSetup,
  swept: SweptOfEngagement,
  value: number,
): EngagementSetup {
  switch (swept) {
    case 'wear':
      return { ...setup, state: worn(setup.clutch, setup.state, value) };
    case 'grade':
      return { ...setup, grade: value };
    case 'throttle':
      return { ...setup, throttle: scaled(setup.throttle, value) };
    case 'let-up':
      return { ...setup, pedal: stretched(setup.pedal, value) };
  }
}

/** The runs with these places in the sweep, so that two workers can share it. */
export function* sweepEngagement(
  { setup, swept, from, to, runs }: EngagementSweep,
  part: { readonly index: number; readonly of: number } = { index: 0, of: 1 },
): Generator<EngagementPoint> {
  for (let index = part.index; index < runs; index += part.of) {
    const value = from + ((to - from) * index) / Math.max(1, runs - 1);
    yield { index, value, summary: engage(sweptSetup(setup, swept, value)).summary };
  }
}

/** The trace with its highest point at this value. */
function scaled(trace: Trace, most: number): Trace {
  const top = Math.max(...trace.map((p) => p.value));
  return trace.map((p) => ({ ...p, value: top > 0 ? (p.value * most) / top : most }));
}

/** The trace with its movement, from the first change to the last point, lasting so long. */
function stretched(trace: Trace, seconds: number): Trace {
  const first = trace[0];
  const moves = trace.findIndex((p, k) => k > 0 && p.value !== first?.value);
  if (!first || moves < 1) return trace;
  const start = trace[moves - 1]!.time;
  const span = trace.at(-1)!.time - start;
  return trace.map((p, k) =>
    k < moves ? p : { ...p, time: start + ((p.time - start) * seconds) / span },
  );
}
