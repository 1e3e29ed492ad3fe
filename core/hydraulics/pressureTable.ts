import type { Circuit } from './circuit';
import { spoolsIn } from './circuit';
import { commandedRange, type Gears } from './gears';
import type { OilRunning } from './laws';
import { partsOf, type HydraulicPlan } from './plan';

/**
 * What gauges read at every port that can be measured, in the conditions of a pressure test: standing at idle, forward and back; a
 * stall, forward and back; and rolling on the road in top gear, where only a road test gets to.
 */
export const PRESSURE_CONDITIONS = ['idle', 'idle-back', 'stall', 'stall-back', 'rolling'] as const;
export type PressureCondition = (typeof PRESSURE_CONDITIONS)[number];

export interface PressureRow {
  /** A passage by its id, and the element that it presses where it is one's. */
  readonly line: string;
  readonly element: string | null;
  /** Pa, in the order of the table's conditions. */
  readonly readings: readonly number[];
}

export interface PressureTable {
  /** Those that this unit has: one without reverse is not tried in it. */
  readonly conditions: readonly PressureCondition[];
  readonly rows: readonly PressureRow[];
}

export interface PressureSetting {
  readonly gears: Gears;
  readonly celsius: number;
  readonly idleRpm: number;
}

/** rev/min at which a usual engine is held by its converter at full throttle (memory), and of the output on the road. */
const STALL_RPM = 2200;
const ROAD_RPM = 2000;
const ROAD_THROTTLE = 0.3;

/** Ports in the order in which they are measured: the supply's, then every element's. */
const portsOf = (plan: HydraulicPlan): { line: string; element: string | null }[] => {
  const [pump] = partsOf(plan, 'pump');
  const [throttle] = partsOf(plan, 'throttle-valve');
  const [governor] = partsOf(plan, 'governor');
  const [lockUp] = partsOf(plan, 'lock-up-clutch');
  return [
    ...[pump?.to, throttle?.to, governor?.to, lockUp?.release].flatMap((line) =>
      line === undefined ? [] : [{ line, element: null }],
    ),
    ...partsOf(plan, 'piston').map(({ line, element }) => ({ line, element })),
  ];
};

export function pressureTable(circuit: Circuit, setting: PressureSetting): PressureTable {
  const { gears, celsius, idleRpm } = setting;
  const { reverse } = gears;
  const top = gears.forward.length;
  const tried: Readonly<Record<PressureCondition, (Omit<OilRunning, 'lever'> & Driven) | null>> = {
    idle: { lever: gears.mainLever, gear: 1, ...at(0, idleRpm, 0, celsius) },
    'idle-back': { lever: reverse, gear: 1, ...at(0, idleRpm, 0, celsius) },
    stall: { lever: gears.mainLever, gear: 1, ...at(1, STALL_RPM, 0, celsius) },
    'stall-back': { lever: reverse, gear: 1, ...at(1, STALL_RPM, 0, celsius) },
    rolling: {
      lever: gears.mainLever,
      gear: top,
      ...at(ROAD_THROTTLE, ROAD_RPM * (gears.forward.at(-1)?.ratio ?? 1), ROAD_RPM, celsius),
    },
  };
  const states = PRESSURE_CONDITIONS.flatMap((condition) => {
    const how = tried[condition];
    if (!how || how.lever === null || how.gear < 1) return [];
    const { lever, gear, ...rest } = how;
    const range = commandedRange(gears, lever, gear, circuit.condition)?.id;
    const running = { ...rest, lever };
    return [{ condition, state: circuit.at(running, spoolsIn(circuit.plan, gear), range) }];
  });
  return {
    conditions: states.map((s) => s.condition),
    rows: portsOf(circuit.plan).map(({ line, element }) => ({
      line,
      element,
      readings: states.map(({ state }) => state.pressures.get(line) ?? 0),
    })),
  };
}

interface Driven {
  readonly lever: string | null;
  readonly gear: number;
}

const at = (throttle: number, engineRpm: number, outputRpm: number, celsius: number) => ({
  throttle,
  engineRpm,
  outputRpm,
  celsius,
});

/** Share of the higher of two readings, and Pa, from which a gauge tells them apart. */
const TOLD_SHARE = 0.06;
const TOLD_LEAST = 25e3;

/** Whether a shop's gauge tells two readings apart. */
export const toldApart = (a: number, b: number): boolean =>
  Math.abs(a - b) > Math.max(TOLD_LEAST, TOLD_SHARE * Math.max(a, b));
