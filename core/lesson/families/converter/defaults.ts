import type { ConverterQuestion, ConverterRig } from './kinds';

/** A question about a converter, with targets near the middle of what this pair can do. */
export function newConverterQuestion(
  kind: ConverterQuestion['kind'],
  { converter, engine, vehicle, unit }: ConverterRig,
): ConverterQuestion {
  const base = { prompt: '', converter: converter.id, engine: engine.id };
  const tolerance = { kind: 'percent' as const, value: 5 };
  switch (kind) {
    case 'operate': {
      const start = { throttle: 0.3, turbineRpm: 0, lockUp: false };
      return { ...base, kind, measure: 'torque-ratio', target: 1.5, tolerance, start };
    }
    case 'read-match':
      return { ...base, kind, ask: 'stall-speed', throttle: 1, turbineRpm: 0, tolerance };
    case 'sketch-curve':
      return { ...base, kind, curve: 'torque-ratio', tolerance: 0.12 };
    case 'predict-change':
      return {
        ...base,
        kind,
        of: 'stall-speed',
        change: { kind: 'engine', share: 0.7 },
        tolerance,
        vehicle: '',
        unit: '',
      };
    case 'launch-order':
      return {
        ...base,
        kind,
        vehicle: vehicle?.id ?? '',
        unit: unit?.id ?? '',
        throttle: 0.8,
        grade: 0,
      };
  }
}
