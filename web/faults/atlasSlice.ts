import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { DriveSymptom, FaultKind } from '../../core/faults';

/** Which unit the atlas shows, what has been seen on the road, and the fault that is looked at. */
export interface AtlasState {
  unitId: string | null;
  /** By range; a range that is not named has not been driven. */
  seen: Record<string, DriveSymptom>;
  /** Key of the fault looked at. */
  chosen: string | null;
  /** How often faults are met in this shop; kinds left out as usual. */
  priors: Partial<Record<FaultKind, number>>;
}

const initialState: AtlasState = { unitId: null, seen: {}, chosen: null, priors: {} };

const slice = createSlice({
  name: 'atlas',
  initialState,
  reducers: {
    atlasChanged: (state, action: PayloadAction<Partial<AtlasState>>) => ({
      ...state,
      ...action.payload,
    }),
  },
});

export const { atlasChanged } = slice.actions;
export const atlasReducer = slice.reducer;
export const selectAtlas = (state: { atlas: AtlasState }): AtlasState => state.atlas;

declare module '../state/rootState' {
  interface RootState {
    atlas: ReturnType<typeof atlasReducer>;
  }
}
