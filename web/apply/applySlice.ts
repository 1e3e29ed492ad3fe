import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { Load } from '../../core/geartrain';

/** What is on at the Apply bench: the elements applied, and whether the engine or the road pushes. */
export interface ApplyState {
  unitId: string | null;
  applied: string[];
  load: Load;
}

const initialState: ApplyState = { unitId: null, applied: [], load: 'drive' };

const slice = createSlice({
  name: 'apply',
  initialState,
  reducers: {
    unitOpened: (_state, action: PayloadAction<{ unitId: string; applied: string[] }>) => ({
      ...action.payload,
      load: 'drive' as const,
    }),
    elementToggled: (state, action: PayloadAction<string>) => {
      const id = action.payload;
      state.applied = state.applied.includes(id)
        ? state.applied.filter((e) => e !== id)
        : [...state.applied, id];
    },
    rangeChosen: (state, action: PayloadAction<string[]>) => {
      state.applied = action.payload;
    },
    loadChosen: (state, action: PayloadAction<Load>) => {
      state.load = action.payload;
    },
  },
});

export const { unitOpened, elementToggled, rangeChosen, loadChosen } = slice.actions;
export const applyReducer = slice.reducer;
export const selectApply = (state: { apply: ApplyState }): ApplyState => state.apply;
