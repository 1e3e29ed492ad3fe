import type { Circuit, OilState } from './circuit';
import { opensAbove, type OilRunning } from './laws';
import type { Vehicle } from '../vehicle';
import { partsOf, type HydraulicPlan, type Spool } from './plan';
import {
  drivingLever,
  flipSpeed,
  MAP_THROTTLES,
  outputAt,
  pointAt,
  shiftMap,
  type MapSetting,
  type ShiftLine,
  type ShiftPoint,
} from './shiftMap';

/** When the converter's clutch comes on and goes off again, rev/min of the output over the throttle. */
export interface LockUpLine {
  /** The lowest gear in which it can, 1 for the first. */
  readonly gear: number;
  readonly points: readonly ShiftPoint[];
}

/** N·m that a plan's lock-up clutch can hold now; 0 while it is off, `null` where the plan has none. */
export function lockedHolds(
  plan: Pick<HydraulicPlan, 'parts'>,
  { pressures }: OilState,
): number | null {
  const clutch = partsOf(plan, 'lock-up-clutch')[0];
  if (!clutch) return null;
  const on = (line: string) => pressures.get(line) ?? 0;
  const press = (on(clutch.apply) - on(clutch.release)) * clutch.area;
  return Math.max(0, press) * clutch.torquePerForce;
}

/** Share of its idle speed below which an engine does not run on. */
const RUNS_FROM = 0.7;

/**
 * Whether a clutch that is on ties the engine to a speed at which it can't run. @param holds as of `lockedHolds`
 * @param ratio of the gear that is in; left out where none drives @param running with the engine idling at least
 */
export const draggedDown = (
  holds: number | null,
  ratio: number | undefined,
  { outputRpm, engineRpm }: Pick<OilRunning, 'outputRpm' | 'engineRpm'>,
): boolean =>
  holds !== null && holds > 0 && ratio !== undefined && outputRpm * ratio < RUNS_FROM * engineRpm;

/** The gear from which a lock-up valve's push can come at all: past every shift valve that it comes through. */
function lowestGear(plan: HydraulicPlan, { governor }: Spool): number {
  let [line, gear] = [governor.line, 1];
  for (const { gear: below, up } of partsOf(plan, 'shift-valve').toSorted(
    (a, b) => b.gear - a.gear,
  )) {
    const way = up.find((w) => w.to === line);
    if (way) [line, gear] = [way.from, Math.max(gear, below + 1)];
  }
  return gear;
}

/**
 * As the plan's valve, or its control unit, makes it; `null` where the plan has no lock-up valve.
 * @param forward ranges of the forward gears by their ids, lowest first: a control unit knows them by these
 */
export function lockUpLine(
  circuit: Circuit,
  setting: MapSetting,
  forward: readonly string[] = [],
): LockUpLine | null {
  const { plan, condition } = circuit;
  const valve = partsOf(plan, 'lock-up-valve')[0];
  if (!valve) return null;
  const throttles = setting.throttles ?? MAP_THROTTLES;
  const solenoid = partsOf(plan, 'solenoid').find((s) => s.to === valve.governor.line);
  if (solenoid?.above) {
    const { above, opensIn } = solenoid;
    const first = forward.findIndex((id) => opensIn.includes(id));
    // A valve or a solenoid that is stuck asks for no speed.
    const stuck = condition.stuck.has(valve.id) || condition.stuck.has(solenoid.id);
    return {
      gear: 1 + Math.max(0, first),
      points: throttles.map((throttle) => {
        const { on, off } = opensAbove(above, throttle);
        return { throttle, up: stuck ? null : on, down: stuck ? null : off };
      }),
    };
  }
  const governor = partsOf(plan, 'governor')[0];
  const gear = lowestGear(plan, valve);
  const asked = { ...setting, lever: setting.lever ?? drivingLever(plan) };
  const flips = (throttle: number, place: 0 | 1) =>
    governor ? flipSpeed(circuit, valve, governor, asked, throttle, place, gear) : null;
  return {
    gear,
    points: throttles.map((throttle) => ({
      throttle,
      up: flips(throttle, 0),
      down: flips(throttle, 1),
    })),
  };
}

/** All that a plan decides by speed and throttle. */
export interface OilMap {
  readonly shifts: readonly ShiftLine[];
  readonly lockUp: LockUpLine | null;
}
/** @param forward as for `lockUpLine` */
export const oilMap = (
  circuit: Circuit,
  setting: MapSetting,
  forward: readonly string[] = [],
): OilMap => ({
  shifts: shiftMap(circuit, setting),
  lockUp: lockUpLine(circuit, setting, forward),
});

/** What a launch asks of a plan's lock-up, gears from 0: whether it is on at a road speed in m/s. */
export const lockedByValves =
  (line: LockUpLine, vehicle: Pick<Vehicle, 'tyreRadiusM' | 'finalDrive'>) =>
  (locked: boolean, gear: number, throttle: number, speed: number): boolean => {
    const { up, down } = pointAt(line, throttle);
    const flips = locked ? (down ?? up) : up;
    return gear + 1 >= line.gear && flips !== null && outputAt(vehicle, speed) > flips;
  };
