import type { HydraulicPlan } from './plan';

/** What is not as its plan says, and can't be said by other numbers in it. */
export interface OilCondition {
  readonly pumpDriven: boolean;
  /** Fluid stands in the intake's vacuum line: the engine draws and burns it. */
  readonly burnsFluid: boolean;
  /** Share of what the pump moves that is air. */
  readonly air: number;
  /** Where a spool or a solenoid's way is stuck: 0 down or shut, 1 up or open. */
  readonly stuck: ReadonlyMap<string, number>;
  /** Ways that should not be: m³/s for each √Pa. */
  readonly crossings: readonly { readonly from: string; readonly to: string; readonly k: number }[];
  /** Share by which the manual valve stands beside its detent. */
  readonly besideDetent: number;
  /** Places by which the lever's sensor reads beside it, in the order of the lever. */
  readonly leverRead: number;
  /** Balls that are gone from their shuttle or feed. */
  readonly ballsOut: ReadonlySet<string>;
  /** Share of its opening that a screen before a valve leaves. */
  readonly screens: ReadonlyMap<string, number>;
}

/** A plan and the condition it is in. */
export interface WornPlan {
  readonly plan: HydraulicPlan;
  readonly condition: OilCondition;
}

export const OIL_SOUND: OilCondition = {
  pumpDriven: true,
  burnsFluid: false,
  air: 0,
  stuck: new Map(),
  crossings: [],
  besideDetent: 0,
  leverRead: 0,
  ballsOut: new Set(),
  screens: new Map(),
};
