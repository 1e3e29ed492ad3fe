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
  /** T_pump / ω_pump², N·m·s²; zero where nothing circulates. */
  readonly coefficient: number;
  /** Power out over power in. */
  readonly efficiency: number;
  /** The stator stands on its one-way clutch. */
  readonly statorHolds: boolean;
  /** ω_stator / ω_pump; `null` where a table does not say. */
  readonly statorSpeed: number | null;
  /** Axial velocity over ω_pump, m per rad; `null` where a table does not say. */
  readonly flow: number | null;
}

export interface Characteristic {
  /** @param speedRatio 0 to 1 */
  readonly at: (speedRatio: number) => ConverterPoint;
}
