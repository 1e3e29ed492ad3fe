import { holdingTorque, worn, AS_BUILT, type Clutch, type ClutchState } from '../clutch';
import type { EngineModel } from '../converter';
import { solveUnit, type Unit } from '../geartrain';
import { findRoot, toNumber } from '../numerics';
import { drivelineOf, GRAVITY, type Vehicle } from '../vehicle';
import { mainClutchOf } from './engagementRig';

/**
 * What a closed clutch is asked to carry in a gear, and at which wear it begins to slip there (derived here). Part of
 * the engine's torque goes into speeding the engine itself up, so that a low gear asks less of the clutch:
 *
 *   (I_e + I_v)·α = T_e − T_L,   T_c = T_e − I_e·α = (T_e·I_v + T_L·I_e)/(I_e + I_v)
 *
 * with I_v = m·(r/i)²/η and T_L = m·g·(rolling + grade)·r/(i·η) seen at the clutch, η the driveline's; air is left out.
 */
export interface Demand {
  readonly range: string;
  readonly gear: string;
  /** Engine turns for one of the wheels. */
  readonly ratio: number;
  /** N·m at the engine speed that asks most. */
  readonly torque: number;
}

interface Driving {
  readonly engine: EngineModel;
  readonly unit: Unit;
  readonly vehicle: Vehicle;
  readonly throttle: number;
  /** Rise over run. */
  readonly grade: number;
}

const SPEEDS = 60;

/** The most that the engine gives at this throttle, N·m. */
export function mostTorque(engine: EngineModel, throttle: number): number {
  let most = 0;
  for (let k = 0; k <= SPEEDS; k++) {
    const rpm = engine.idleRpm + ((engine.governedRpm - engine.idleRpm) * k) / SPEEDS;
    most = Math.max(most, engine.torque(rpm, throttle));
  }
  return most;
}

/**
 * What a closed clutch carries, N·m.
 * @param engineNm the most that the engine gives, N·m @param engineInertia kg·m²
 * @param turns of the engine for one of the wheels @param grade rise over run
 */
export function torqueAsked(
  engineNm: number,
  engineInertia: number,
  vehicle: Vehicle,
  turns: number,
  grade: number,
): number {
  const along = 1 / Math.sqrt(1 + grade * grade);
  const lever = vehicle.tyreRadiusM / turns;
  const passes = drivelineOf(vehicle);
  const inertia = (vehicle.massKg * lever * lever) / passes;
  const load = (vehicle.massKg * GRAVITY * along * (vehicle.rolling + grade) * lever) / passes;
  return (engineNm * inertia + load * engineInertia) / (engineInertia + inertia);
}

/** One for each range that drives forward, lowest gear first. */
export function demands({ engine, unit, vehicle, throttle, grade }: Driving): Demand[] {
  const main = mainClutchOf(unit);
  const gives = mostTorque(engine, throttle);
  return unit.ranges
    .flatMap((range) => {
      const apply = main ? [...new Set([...range.apply, main.id])] : range.apply;
      const { outcome, ratio } = solveUnit(unit, apply);
      const turns = ratio ? toNumber(ratio) * vehicle.finalDrive : 0;
      if (outcome !== 'drives' || turns <= 0) return [];
      const torque = torqueAsked(gives, engine.inertia, vehicle, turns, grade);
      return [{ range: range.id, gear: range.gear, ratio: turns, torque }];
    })
    .sort((a, b) => b.ratio - a.ratio);
}

/**
 * Wear from which the clutch holds less than this, m, the play kept adjusted; `null` when it holds to the end of its
 * life (a fifth beyond worn out), 0 when it never holds.
 */
export function slipWear(
  clutch: Clutch,
  torque: number,
  state: ClutchState = AS_BUILT,
): number | null {
  const { newThickness, wornThickness } = clutch.disc;
  const life = LIFE * (newThickness - wornThickness);
  const left = (wear: number) => holdingTorque(clutch, worn(clutch, state, wear)) - torque;
  if (left(0) < 0) return 0;
  const first = Array.from({ length: STEPS }, (_v, k) => (life * (k + 1)) / STEPS).find(
    (wear) => left(wear) < 0,
  );
  if (first === undefined) return null;
  return findRoot(left, first - life / STEPS, first, NEAR_M).x;
}
/** m */
const NEAR_M = 1e-10;

const LIFE = 1.2;
const STEPS = 60;
