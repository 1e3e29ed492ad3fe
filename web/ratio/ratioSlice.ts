import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { GearSetSetup } from '../../core/geartrain';
import { defaultSetup } from '../../core/lesson';

/** What stands on the Ratio bench. */
export interface RatioState {
  setup: GearSetSetup;
}

const slice = createSlice({
  name: 'ratio',
  initialState: { setup: defaultSetup() },
  reducers: {
    setupChanged: (state, action: PayloadAction<GearSetSetup>) => {
      state.setup = action.payload;
    },
  },
});

export const { setupChanged } = slice.actions;
export const ratioReducer = slice.reducer;
export const selectRatioSetup = (state: { ratio: RatioState }): GearSetSetup => state.ratio.setup;

declare module '../state/rootState' {
  interface RootState {
    ratio: ReturnType<typeof ratioReducer>;
  }
}
