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
