import { solveUnit, type Range, type Unit } from '../geartrain';
import { toNumber } from '../numerics';
import { RPM_TO_RAD } from '../quantities';
import type { Vehicle } from '../vehicle';
import { synchronizingTime, wayOf } from './dualClutch';
import { traceAt, type Trace } from './trace';

/**
 * Which gear a dual clutch lets wait along a drive. A small rule decides, as the trade has it (common practice, no source):
 * gaining speed, the next gear up; braking, the next one down; and it keeps to what waits until that is plain. What a wrong
 * guess costs comes out of the same synchronizing time as a crossing's.
 */
export interface WaitingRule {
  /** m/s² from which it counts as gaining speed, and below which (negative) as braking. */
  readonly gains: number;
  readonly brakes: number;
  /** s that must pass before another gear is made to wait. */
  readonly keeps: number;
}
export const USUAL_RULE: WaitingRule = { gains: 0.15, brakes: -0.3, keeps: 0.4 };

/** rev/min of the engine at which it changes up and down. */
export interface ChangesAt {
  readonly up: number;
  readonly down: number;
}

export interface Drive {
  readonly unit: Unit;
  readonly vehicle: Vehicle;
  /** The gears in their order, lowest first: ranges of one lever place. */
  readonly gears: readonly Range[];
  /** m/s over time, s. */
  readonly speed: Trace;
  readonly changes: ChangesAt;
  /** What decides which gear waits: the rule, or a person's own choice over time (places among `gears`). */
  readonly waits: WaitingRule | readonly { readonly from: number; readonly gear: number }[];
}

export interface GearChange {
  readonly time: number;
  /** Places among the gears. */
  readonly from: number;
  readonly to: number;
  readonly waiting: number | null;
  /** s that it took longer than with the right gear waiting. */
  readonly lost: number;
}

export interface DriveResult {
  readonly changes: readonly GearChange[];
  /** From when on which gear drives, and which waits; `null`: none. */
  readonly lane: readonly {
    readonly time: number;
    readonly gear: number;
    readonly waiting: number | null;
  }[];
  /** s lost in all. */
  readonly lost: number;
}

const STEP = 0.05;
/** s over which a change of speed is felt. */
const LOOKS_BACK = 0.3;

/** @throws Error without gears, or where one of them does not drive through a clutch and a sleeve */
export function drivePreselected(drive: Drive): DriveResult {
  const { unit, vehicle, gears, speed, changes: at } = drive;
  const ways = gears.map((range) => wayOf(unit, range));
  if (gears.length === 0 || ways.some((way) => way === null))
    throw new Error('drivePreselected: expected gears that drive by a clutch and a sleeve');
  const clutches = ways.map((way) => way!.clutch);
  const ratios = gears.map((range) => Math.abs(toNumber(solveUnit(unit, range.apply).ratio!)));
  const outputRpm = (t: number) =>
    (traceAt(speed, t) * vehicle.finalDrive) / vehicle.tyreRadiusM / RPM_TO_RAD;
  const end = speed.at(-1)?.time ?? 0;
  const changes: GearChange[] = [];
  const lane: DriveResult['lane'][number][] = [];
  // It begins in the lowest gear that is not too low for the speed.
  const fits = ratios.findIndex((ratio) => outputRpm(0) * ratio <= at.up);
  let gear = fits < 0 ? gears.length - 1 : fits;
  let waiting: number | null = nextTo(clutches, gear);
  let since = -Infinity;
  const note = (time: number) => {
    const last = lane.at(-1);
    if (last?.gear !== gear || last.waiting !== waiting) lane.push({ time, gear, waiting });
  };
  for (let k = 0; k * STEP <= end + 1e-9; k++) {
    const time = k * STEP;
    const wanted = waitingNow(drive, clutches, time, gear, waiting);
    if (wanted !== waiting && time - since >= keepsFor(drive)) [waiting, since] = [wanted, time];
    const rpm = outputRpm(time) * ratios[gear]!;
    const to = rpm > at.up ? gear + 1 : rpm < at.down ? gear - 1 : gear;
    if (to !== gear && to >= 0 && to < gears.length) {
      const [old, next] = [ways[gear]!, ways[to]!];
      const wrong =
        old.clutch === next.clutch ? old.side : waiting === null ? null : ways[waiting]!.side;
      const lost = synchronizingTime(unit, next.clutch, wrong, next.side, outputRpm(time));
      changes.push({ time, from: gear, to, waiting, lost });
      // What has just let go waits, until something else is asked.
      [waiting, gear, since] = [gear, to, time];
    }
    note(time);
  }
  return { changes, lane, lost: changes.reduce((sum, c) => sum + c.lost, 0) };
}

/** The gear that waits at first: the next one up, or down where there is none; `null` where neither hangs on another clutch. */
const nextTo = (clutches: readonly string[], gear: number): number | null =>
  [gear + 1, gear - 1].find((k) => canWait(clutches, gear, k)) ?? null;

/** A gear on the clutch that drives can't wait. */
const canWait = (clutches: readonly string[], gear: number, other: number): boolean =>
  other in clutches && clutches[other] !== clutches[gear];

const keepsFor = ({ waits }: Drive): number => ('keeps' in waits ? waits.keeps : 0);

/** The gear that is made to wait now: by the rule, or by what a person has set. */
function waitingNow(
  { speed, waits }: Drive,
  clutches: readonly string[],
  time: number,
  gear: number,
  before: number | null,
): number | null {
  const can = (k: number) => canWait(clutches, gear, k);
  if (!('keeps' in waits)) {
    const chosen = waits.findLast((w) => w.from <= time)?.gear;
    return chosen !== undefined && can(chosen) ? chosen : before;
  }
  const gained =
    (traceAt(speed, time) - traceAt(speed, Math.max(0, time - LOOKS_BACK))) / LOOKS_BACK;
  const wanted =
    gained > waits.gains ? gear + 1 : gained < waits.brakes ? gear - 1 : (before ?? gear + 1);
  return can(wanted) ? wanted : before;
}
