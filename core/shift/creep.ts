import { LINING_LIMIT_C, packHeat, packTorque, type ClutchPack } from '../clutch';
import { solveUnit, type Range, type Unit } from '../geartrain';
import { toNumber } from '../numerics';
import { RPM_TO_RAD } from '../quantities';
import { drivelineOf, GRAVITY, roadLoad, type Vehicle } from '../vehicle';

/**
 * A clutch that slips on purpose: it lets a vehicle creep, or holds it on a hill with the engine idling. All that the engine
 * gives more than arrives becomes heat in the pack:
 *
 *   T = F·r/(i_fd·i·η)      P = T·Δω
 *
 * Oil in the grooves is left out of the pack's temperatures: they are on the high side.
 */
export interface Creep {
  readonly unit: Unit;
  readonly vehicle: Vehicle;
  readonly pack: ClutchPack;
  readonly range: Range;
  /** Rise over run. */
  readonly grade: number;
  /** m/s; 0: it holds. */
  readonly speed: number;
  /** Of the engine, rev/min. */
  readonly engineRpm: number;
  readonly seconds: number;
  /** °C of the oil, and of the pack at first. */
  readonly oilC: number;
}

export interface CreepResult {
  /** N·m that the clutch passes. */
  readonly torqueNm: number;
  /** rev/min; 0: it is closed. */
  readonly slipRpm: number;
  readonly watts: number;
  /** N·m that the pack can pass at its pressure. */
  readonly canNm: number;
  /** °C of the hottest place. */
  readonly course: readonly { readonly time: number; readonly celsius: number }[];
  /** s until a lining is too hot; `null`: not within the time. */
  readonly tooHotAfter: number | null;
}

const STEPS = 200;

/** @throws Error where the range does not drive, or for no time */
export function creep(setup: Creep): CreepResult {
  const { unit, vehicle, pack, range, grade, speed, engineRpm, seconds, oilC } = setup;
  const { ratio } = solveUnit(unit, range.apply);
  if (!ratio) throw new Error(`creep: expected a range that drives, got "${range.id}"`);
  const turns = Math.abs(toNumber(ratio)) * vehicle.finalDrive;
  const held = vehicle.massKg * GRAVITY * Math.cos(Math.atan(grade)) * (grade - vehicle.rolling);
  // What rubs in the driveline helps to hold, and is dragged along when it creeps.
  const force =
    speed > 0 ? roadLoad(vehicle, speed, grade) / drivelineOf(vehicle) : Math.max(0, held);
  const torqueNm = Math.max(0, (force * vehicle.tyreRadiusM) / turns);
  const drivenRpm = ((speed / vehicle.tyreRadiusM) * turns) / RPM_TO_RAD;
  const slipRpm = Math.max(0, engineRpm - drivenRpm);
  const watts = torqueNm * slipRpm * RPM_TO_RAD;
  const { course } = packHeat(pack, {
    heatUntil: (time) => watts * time,
    seconds,
    step: seconds / STEPS,
    startC: oilC,
  });
  return {
    torqueNm,
    slipRpm,
    watts,
    canNm: packTorque(pack, pack.pressure),
    course,
    tooHotAfter: course.find((c) => c.celsius > LINING_LIMIT_C)?.time ?? null,
  };
}
