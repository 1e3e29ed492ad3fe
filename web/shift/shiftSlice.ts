import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { HydraulicPlan, PlanFault, PlanWishes } from '../../core/hydraulics';

/** What stands on the Shift bench and how it is run; everything shown follows from it. */
export interface ShiftBenchState {
  unitId: string | null;
  engineId: string | null;
  vehicleId: string | null;
  /** A plan from the library, by its id; `null`: made for the unit. */
  planId: string | null;
  throttleBy: NonNullable<PlanWishes['throttle']>;
  shifting: NonNullable<PlanWishes['shifting']>;
  /** Whether a plan that is made has a lock-up. */
  lockUp: boolean;
  /** The plan as it was changed on the bench; `null` while it is as made or as kept. */
  plan: HydraulicPlan | null;
  fault: PlanFault | null;
  lever: string | null;
  /** 0 to 1. */
  throttle: number;
  outputRpm: number;
  celsius: number;
  /** The upshift that is looked at: its lower gear, 1 for the first. */
  gear: number;
  /** Kept to be looked at beside what is set now. */
  before: { plan: HydraulicPlan; fault: PlanFault | null; throttle: number } | null;
}

const initialState: ShiftBenchState = {
  unitId: null,
  engineId: null,
  vehicleId: null,
  planId: null,
  throttleBy: 'cable',
  shifting: 'valves',
  lockUp: false,
  plan: null,
  fault: null,
  lever: null,
  throttle: 0.45,
  outputRpm: 0,
  celsius: 80,
  gear: 1,
  before: null,
};

const slice = createSlice({
  name: 'shift',
  initialState,
  reducers: {
    shiftBenchChanged: (state, action: PayloadAction<Partial<ShiftBenchState>>) => ({
      ...state,
      ...action.payload,
    }),
  },
});

/** What a bench loses when another unit or another plan comes onto it. */
export const WITHOUT_PLAN = {
  plan: null,
  fault: null,
  before: null,
} as const satisfies Partial<ShiftBenchState>;
export const WITHOUT_UNIT = {
  ...WITHOUT_PLAN,
  planId: null,
  lever: null,
  outputRpm: 0,
  gear: 1,
} as const satisfies Partial<ShiftBenchState>;

export const { shiftBenchChanged } = slice.actions;
export const shiftReducer = slice.reducer;
export const selectShiftBench = (state: { shift: ShiftBenchState }): ShiftBenchState => state.shift;

declare module '../state/rootState' {
  interface RootState {
    shift: ReturnType<typeof shiftReducer>;
  }
}
