import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { ClutchPack, Duty, PackFault } from '../../core/clutch';

/** What lies on the Pack bench: a pack of the library, changed on the bench or not, and what it is asked to do. */
export interface PackBenchState {
  packId: string | null;
  /** The pack as changed on the bench; `null`: as in the library. */
  changed: ClutchPack | null;
  /** Id of the plate taken hold of. */
  plate: string | null;
  duty: Duty;
  /** rev/min of the drum, where it turns. */
  drumRpm: number;
  /** What is broken on the bench. */
  fault: PackFault | null;
}

export const USUAL_DUTY: Duty = { joules: 20_000, seconds: 0.6, times: 1, every: 5, oilC: 90 };

const initialState: PackBenchState = {
  packId: null,
  changed: null,
  plate: null,
  duty: USUAL_DUTY,
  drumRpm: 0,
  fault: null,
};

const slice = createSlice({
  name: 'pack',
  initialState,
  reducers: {
    packBenchChanged: (state, action: PayloadAction<Partial<PackBenchState>>) => ({
      ...state,
      ...action.payload,
    }),
  },
});

export const { packBenchChanged } = slice.actions;
export const packReducer = slice.reducer;
export const selectPackBench = (state: { pack: PackBenchState }): PackBenchState => state.pack;

declare module '../state/rootState' {
  interface RootState {
    pack: ReturnType<typeof packReducer>;
  }
}
