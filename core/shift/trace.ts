/** What a foot does over time: straight between points, the ends hold. */
export interface TracePoint {
  /** s. */
  readonly time: number;
  readonly value: number;
}
export type Trace = readonly TracePoint[];

export const steady = (value: number): Trace => [{ time: 0, value }];

/** @param time rising from call to call costs least */
export function traceAt(trace: Trace, time: number): number {
  const first = trace[0];
  if (!first) return 0;
  if (time <= first.time) return first.value;
  for (let k = 1; k < trace.length; k++) {
    const [a, b] = [trace[k - 1]!, trace[k]!];
    if (time > b.time) continue;
    return a.value + ((b.value - a.value) * (time - a.time)) / (b.time - a.time || 1);
  }
  return trace.at(-1)!.value;
}

/** Times at which a person takes hold of what the feet do, s, and how long a drawn start is run. */
export const FEET_AT: readonly number[] = [0, 0.4, 0.8, 1.2, 1.6, 2, 2.5, 3, 4];
export const START_SECONDS = 5;

/** The trace through these shares at `FEET_AT`. */
export const feetTrace = (values: readonly number[]): Trace =>
  FEET_AT.map((time, k) => ({ time, value: values[k] ?? 0 }));

/** The wheel brakes held until then, and let go within a fifth of a second. */
export const brakeTrace = (until: number): Trace =>
  until <= 0
    ? steady(0)
    : [
        { time: until, value: 1 },
        { time: until + 0.2, value: 0 },
      ];
