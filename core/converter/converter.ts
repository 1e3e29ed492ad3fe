/**
 * The torque converter as people exchange it: stated by a measured table, or by the geometry of its mean
 * streamline. Its schema is `formats/converterV1.ts`. Terms: pump (with the engine), turbine (with the input
 * shaft), stator (on its one-way clutch) (SAE J643; memory for the number).
 */
export interface ConverterRow {
  /** ω_turbine / ω_pump, 0 to 1. */
  speedRatio: number;
  /** T_turbine / T_pump. */
  torqueRatio: number;
  /** Capacity factor K = n_pump / √T_pump, rev/min per √(N·m). */
  capacity: number;
}

export interface TableModel {
  kind: 'table';
  /** Speed ratio rising from 0. */
  rows: ConverterRow[];
}

/** One wheel: where the fluid leaves it, and how its blades stand at both ends, in degrees from the axis. */
export interface Wheel {
  /** m, on the mean streamline. */
  exitRadius: number;
  /** + leads in the direction of rotation. */
  exitAngle: number;
  inletAngle: number;
}

export interface StreamlineModel {
  kind: 'streamline';
  pump: Wheel;
  turbine: Wheel;
  stator: Wheel;
  /** Flow area, m², taken equal all round. */
  area: number;
  /** kg/m³. */
  density: number;
  /** Share of the shock's velocity head that is lost at each inlet. */
  shock: number;
  /** Share of the velocity head lost by friction in each wheel. */
  friction: number;
}

export interface Converter {
  format: 'fair-sprocket/converter';
  version: 1;
  id: string;
  name: string;
  /** Markdown. */
  notes?: string;
  model: TableModel | StreamlineModel;
  /** Torque that the lock-up clutch holds, N·m; left out where there is none. */
  lockUpCapacity?: number;
  /** Outer diameter of the fluid's circuit, m; only the power-law coefficient needs it. */
  diameter?: number;
}

/** `slips`: the one-way clutch never holds. `seized`: the stator never turns. */
export type StatorFault = 'slips' | 'seized';

/** The converter at one speed ratio. */
export interface ConverterPoint {
  readonly speedRatio: number;
  readonly torqueRatio: number;
  /** T_pump / ω_pump², N·m·s²; zero where nothing circulates, below zero where the turbine turns the pump. */
  readonly coefficient: number;
  /** T_turbine / ω_pump², N·m·s²; below zero where the turbine is braked. */
  readonly turbineCoefficient: number;
  /** Power out over power in, whichever of the wheels it comes from; zero where both take some. */
  readonly efficiency: number;
  /** The stator stands on its one-way clutch. */
  readonly statorHolds: boolean;
  /** ω_stator / ω_pump; `null` where a table does not say. */
  readonly statorSpeed: number | null;
  /** Axial velocity over ω_pump, m per rad, below zero where the fluid goes round the other way; `null` where a
   *  table does not say. */
  readonly flow: number | null;
}

export interface Characteristic {
  /** @param speedRatio any; above 1 the turbine turns the pump, below 0 it turns backward */
  readonly at: (speedRatio: number) => ConverterPoint;
  /** The lowest speed ratio at which the stator no longer holds; 1 when it holds all the way. */
  readonly couplesAt: number;
}

/** Power out over power in, from the torques of both wheels for ω_pump = 1. */
export function powerOut(pump: number, turbine: number, speedRatio: number): number {
  const [taken, given] = [pump, turbine * speedRatio];
  if (taken > 0) return Math.max(0, given / taken);
  return taken < 0 && given < 0 ? taken / given : 0;
}
