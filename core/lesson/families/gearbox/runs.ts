import { engineModel, type Engine } from '../../../converter';
import { solveUnit, type Range, type Unit } from '../../../geartrain';
import { onceFor, toNumber } from '../../../numerics';
import {
  bestWaiting,
  crossing,
  CROSSING_ENGINE,
  crossingPairs,
  drivePreselected,
  gearsInOrder,
  SPEED_MARKS,
  USUAL_CHANGES,
  USUAL_CROSSING,
  WAITING_MARKS,
  type CrossingPair,
  type DriveResult,
  type Ramps,
} from '../../../shift';
import type { Vehicle } from '../../../vehicle';
import type { DrawCrossingQuestion, GearboxRig, SetWaitingQuestion } from './kinds';

/** Drives and crossings that questions ask about, each worked out once. */

const drivesOnce = onceFor<Unit, DriveResult>();
const bestOnce = onceFor<Unit, ReturnType<typeof bestWaiting>>();

const driveIn = ({ speeds }: SetWaitingQuestion, unit: Unit, vehicle: Vehicle) => ({
  unit,
  vehicle,
  gears: gearsInOrder(unit),
  speed: SPEED_MARKS.map((time, k) => ({ time, value: speeds[k] ?? 0 })),
  changes: USUAL_CHANGES,
});
const nameOf = (question: SetWaitingQuestion, vehicle: Vehicle) =>
  JSON.stringify([question.speeds, vehicle]);

/** What a drive costs with these gears waiting: places among `gearsInOrder`. */
export const drivenWith = (
  question: SetWaitingQuestion,
  unit: Unit,
  vehicle: Vehicle,
  set: readonly number[],
): DriveResult =>
  drivesOnce(unit, `${nameOf(question, vehicle)} ${set.join()}`, () =>
    drivePreselected({
      ...driveIn(question, unit, vehicle),
      waits: WAITING_MARKS.map((from, k) => ({ from, gear: set[k] ?? 0 })),
    }),
  );

export const bestDrive = (question: SetWaitingQuestion, unit: Unit, vehicle: Vehicle) =>
  bestOnce(unit, nameOf(question, vehicle), () =>
    bestWaiting(driveIn(question, unit, vehicle), WAITING_MARKS),
  );

/** The gear that drives at each mark: places among `gearsInOrder`. */
export const drivingAt = ({ lane }: DriveResult): number[] =>
  WAITING_MARKS.map((mark) => lane.findLast((l) => l.time <= mark)?.gear ?? 0);

/** Gears by their ranges as places, and back. */
export const placesOf = (unit: Unit, ranges: readonly string[]): number[] =>
  ranges.map((id) => gearsInOrder(unit).findIndex((g) => g.id === id));
export const rangesAt = (unit: Unit, places: readonly number[]): string[] =>
  places.map((k) => gearsInOrder(unit)[k]!.id);

export interface Crossed {
  readonly dip: number;
  readonly flareRpm: number;
  /** Least sum of both clutches over the engine's torque. */
  readonly leastSum: number;
}

/** Changes up that hand over: down, the engine has to be brought up to speed first, which ramps alone do not do. */
export const upshifts = (unit: Unit): CrossingPair[] =>
  crossingPairs(unit).filter(({ from, to }) => steps(unit, from) > steps(unit, to));
const steps = (unit: Unit, { apply }: Range): number => {
  const { ratio } = solveUnit(unit, apply);
  return ratio ? toNumber(ratio) : 0;
};

export const pairOf = ({ from, to }: DrawCrossingQuestion, unit: Unit): CrossingPair | undefined =>
  upshifts(unit).find((p) => p.from.id === from && p.to.id === to);

const crossingsOnce = onceFor<Unit, Crossed>();

export interface CrossingRig {
  readonly unit: Unit;
  readonly vehicle: Vehicle;
  readonly engine: Engine;
}
/** Everything that a crossing needs; `null` where something is missing. */
export const crossingRig = ({ unit, vehicle, engine }: GearboxRig): CrossingRig | null =>
  vehicle && engine && { unit, vehicle, engine };

/** A crossing with drawn ramps, as the right gear waits. */
export const crossingOf = (
  { unit, vehicle, engine }: CrossingRig,
  { from, to, next }: CrossingPair,
  { off, on }: Ramps,
) =>
  crossing({
    unit,
    vehicle,
    from,
    to,
    waiting: next.side,
    engineNm: CROSSING_ENGINE.nm,
    engineInertia: engineModel(engine).inertia,
    engineRpm: CROSSING_ENGINE.rpm,
    off,
    on,
    cut: USUAL_CROSSING.cut,
  });

/** What comes of drawn ramps. */
export const crossedWith = (rig: CrossingRig, pair: CrossingPair, ramps: Ramps): Crossed =>
  crossingsOnce(rig.unit, JSON.stringify([pair.id, ramps, rig.vehicle, rig.engine]), () => {
    const { dip, leastSum, run } = crossingOf(rig, pair, ramps);
    return { dip, leastSum, flareRpm: run.summary.flareRpm };
  });

export const meets = ({ dip, flare }: DrawCrossingQuestion, crossed: Crossed): boolean =>
  crossed.dip <= dip && crossed.flareRpm <= flare;

const OVERS = [0.03, 0.06, 0.1];
const GAPS = [0, 0.01, -0.01, 0.02];

/** Ramps that meet what is asked; `null` where none of the usual ones does. */
export function rampsThatMeet(
  question: DrawCrossingQuestion,
  rig: CrossingRig,
  pair: CrossingPair,
): Ramps | null {
  for (const over of OVERS)
    for (const gap of GAPS) {
      const ramps = { off: { at: 0.1, over }, on: { at: 0.1 + gap, over } };
      if (meets(question, crossedWith(rig, pair, ramps))) return ramps;
    }
  return null;
}
