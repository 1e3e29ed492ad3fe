import { useMemo } from 'react';
import { useOilPlans } from '../state/useOilPlans';
import { runLaunch } from '../workers/converterWorker';
import { runOilMap } from '../workers/oilWorker';
import type { LaunchRequest } from '../workers/protocol';
import { useSettledRun } from '../workers/useSettledRun';
import type { DrivingProps } from './benchParts';
import { useGears } from './useGears';

const SECONDS = 15;
/** s: long enough for a heavy vehicle to be in a higher gear before the foot goes to the floor, and to be seen after. */
const KICKED_SECONDS = 30;

/** Oil as warm as it is driven, and every twentieth of the pedal. */
const MAPPED = { celsius: 80, throttles: Array.from({ length: 21 }, (_v, k) => k / 20) };

/** What a launch is of: with another, the one before does not stay. */
const DRIVEN = ['engine', 'converter', 'vehicle', 'gears', 'map'] as const;

/** The launch that the bench is set to, run in a worker: by the vehicle's own schedule, or by an oil plan's valves. */
export function useLaunch({ engine, converter, vehicle, bench, fault }: DrivingProps) {
  const { gears, unit } = useGears(bench.unitId);
  const { throttle, grade, kickAt, lockUp } = bench;
  const plans = useOilPlans(unit);
  const plan = plans.find((p) => p.id === bench.planId) ?? null;
  const mapRequest = useMemo(
    () =>
      plan && {
        plan,
        faults: [],
        setting: { ...MAPPED, ratios: gears, idleRpm: engine.idleRpm },
        unit: unit ?? null,
      },
    [plan, gears, engine, unit],
  );
  const { result: map } = useSettledRun(mapRequest, runOilMap, (a, b) => a.plan === b.plan);
  const request = useMemo<LaunchRequest | null>(
    () =>
      vehicle && gears.length > 0
        ? {
            engine,
            converter,
            fault,
            vehicle,
            gears,
            throttle: [
              { at: 0, throttle },
              ...(kickAt === null ? [] : [{ at: kickAt, throttle: 1 }]),
            ],
            grade,
            lockUp,
            seconds: kickAt === null ? SECONDS : KICKED_SECONDS,
            ...(map ? { map } : {}),
          }
        : null,
    [engine, converter, fault, vehicle, gears, throttle, kickAt, grade, lockUp, map],
  );
  const { result, failure } = useSettledRun(request, runLaunch, (a, b) =>
    DRIVEN.every((part) => a[part] === b[part]),
  );
  return { gears, plans, plan, map, request, result, failure };
}
