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

/** s at which a waiting gear is set by hand, and at which the speed of a drive is drawn: those and its end. */
export const WAITING_MARKS = [0, 5, 10, 15, 20, 25, 30, 35] as const;
export const SPEED_MARKS = [...WAITING_MARKS, 40] as const;

/** m/s at those marks: away, a while at speed, and to a stop. */
export const USUAL_SPEEDS: readonly number[] = [0, 2.5, 5, 7, 8, 8, 6, 3, 0.5];

/** As a small diesel is driven (from memory). */
export const USUAL_CHANGES: ChangesAt = { up: 2400, down: 1100 };

/** Gears that drive by a clutch and a sleeve, in the lever place that has most of them; lowest first. */
export function gearsInOrder(unit: Unit): Range[] {
  const driving = unit.ranges.filter((range) => wayOf(unit, range) !== null);
  const of = (lever: string) => driving.filter((r) => r.lever === lever);
  return driving.map((r) => of(r.lever)).reduce((a, b) => (b.length > a.length ? b : a), []);
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
  const wanted = gained > waits.gains ? gear + 1 : gained < waits.brakes ? gear - 1 : before;
  return wanted !== null && can(wanted) ? wanted : before;
}

/** s below which one choice is no worse than another. */
export const SAME_LOSS = 0.01;

/**
 * What should wait from each mark on, so that as little time as possible is lost. The changes stand where the speed asks for
 * them, whatever waits: so from each mark on the next gear that is asked for waits, and where several are asked for before the
 * next mark, the best of those.
 * @param marks s, rising, from the start on
 * @returns places among the gears, and the drive with them
 * @throws Error as `drivePreselected` does
 */
export function bestWaiting(
  drive: Omit<Drive, 'waits'>,
  marks: readonly number[],
): { readonly set: readonly number[]; readonly result: DriveResult } {
  const run = (set: readonly number[]) =>
    drivePreselected({ ...drive, waits: marks.map((from, k) => ({ from, gear: set[k]! })) });
  const { changes } = run(marks.map(() => 0));
  const asked = marks.map((from, k) =>
    changes.filter((c) => c.time > from && c.time <= (marks[k + 1] ?? Infinity)).map((c) => c.to),
  );
  const nextAfter = (from: number) => changes.find((c) => c.time > from)?.to;
  let set: readonly number[] = marks.map((from) => nextAfter(from) ?? changes.at(-1)?.to ?? 0);
  let result = run(set);
  for (const [k, gears] of asked.entries())
    for (const gear of gears.slice(1)) {
      const tried = set.map((g, n) => (n === k ? gear : g));
      const found = run(tried);
      if (found.lost < result.lost - SAME_LOSS) [set, result] = [tried, found];
    }
  return { set, result };
}
