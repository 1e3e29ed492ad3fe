import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { ClutchFault } from '../../core/clutch';

/** What stands on the Clutch bench and how it is used; everything shown follows from it. */
export interface ClutchBenchState {
  clutchId: string | null;
  engineId: string | null;
  vehicleId: string | null;
  unitId: string | null;
  /** Range of the unit that is in; `null`: the lowest forward one. */
  rangeId: string | null;
  /** Share of the pedal's travel. */
  pedal: number;
  /** m lost by the disc. */
  wear: number;
  /** The fork rod follows the wear, as in service. */
  adjusted: boolean;
  /** m at the fork's end, and m of pedal travel. */
  forkRod: number;
  turnbuckle: number;
  fault: ClutchFault | null;
  /** Rise over run. */
  grade: number;
  /** What the feet do: shares at `FEET_AT`. */
  pedalTrace: number[];
  throttleTrace: number[];
  /** s until which the brake is held. */
  brakeUntil: number;
  /** For what is asked of the clutch. */
  throttle: number;
}

const initialState: ClutchBenchState = {
  clutchId: null,
  engineId: null,
  vehicleId: null,
  unitId: null,
  rangeId: null,
  pedal: 0,
  wear: 0,
  adjusted: true,
  forkRod: 0,
  turnbuckle: 0,
  fault: null,
  grade: 0,
  pedalTrace: [1, 0.6, 0.5, 0.44, 0.38, 0.28, 0, 0, 0],
  throttleTrace: [0.1, 0.35, 0.45, 0.45, 0.45, 0.45, 0.45, 0.45, 0.45],
  brakeUntil: 0,
  throttle: 1,
};

const slice = createSlice({
  name: 'clutch',
  initialState,
  reducers: {
    clutchBenchChanged: (state, action: PayloadAction<Partial<ClutchBenchState>>) => ({
      ...state,
      ...action.payload,
    }),
  },
});

export const { clutchBenchChanged } = slice.actions;
export const clutchReducer = slice.reducer;
export const selectClutchBench = (state: { clutch: ClutchBenchState }): ClutchBenchState =>
  state.clutch;

declare module '../state/rootState' {
  interface RootState {
    clutch: ReturnType<typeof clutchReducer>;
  }
}
