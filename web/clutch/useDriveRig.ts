import { useMemo } from 'react';
import type { Clutch, ClutchState } from '../../core/clutch';
import type { Engine } from '../../core/converter';
import type { Unit } from '../../core/geartrain';
import { brakeTrace, feetTrace, START_SECONDS } from '../../core/shift';
import type { Vehicle } from '../../core/vehicle';
import type { EngagementRequest } from '../workers/protocol';
import type { ClutchBenchState } from './clutchSlice';

export interface DriveRig {
  readonly clutch: Clutch;
  readonly state: ClutchState;
  readonly engine: Engine;
  readonly unit: Unit;
  readonly vehicle: Vehicle;
}

/** The range that is in: the one chosen, else the lowest that drives forward. */
export function rangeOf(unit: Unit, rangeId: string | null) {
  return (
    unit.ranges.find((r) => r.id === rangeId) ??
    unit.ranges.find((r) => r.gear === '1') ??
    unit.ranges[0]
  );
}

/** The same machine in the same gear: a run of one is not shown as another's. */
export const sameMachine = (a: EngagementRequest, b: EngagementRequest): boolean =>
  (['clutch', 'engine', 'vehicle', 'unit'] as const).every((part) => a[part].id === b[part].id) &&
  a.apply === b.apply;

/** What the feet do, on this rig; `null` when a part of it is missing. */
export function useEngagementRequest(
  rig: DriveRig | null,
  bench: ClutchBenchState,
): EngagementRequest | null {
  const { rangeId, grade, pedalTrace, throttleTrace, brakeUntil } = bench;
  return useMemo(() => {
    const range = rig && rangeOf(rig.unit, rangeId);
    if (!rig || !range) return null;
    return {
      ...rig,
      apply: range.apply,
      grade,
      pedal: feetTrace(pedalTrace),
      throttle: feetTrace(throttleTrace),
      brake: brakeTrace(brakeUntil),
      seconds: START_SECONDS,
    };
  }, [rig, rangeId, grade, pedalTrace, throttleTrace, brakeUntil]);
}
