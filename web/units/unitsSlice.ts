import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { Unit } from '../../core/geartrain';
import { appThunk, reasonOf } from '../app/thunk';

/** The drivetrain models of this browser. */
export interface UnitsState {
  ids: string[];
  byId: Record<string, Unit>;
}

const initialState: UnitsState = { ids: [], byId: {} };

export const saveUnit = appThunk('units/save', async (unit: Unit, { extra, rejectWithValue }) => {
  try {
    await extra.documents.saveUnit(unit);
    return unit;
  } catch (error) {
    return rejectWithValue(reasonOf(error));
  }
});

export const removeUnit = appThunk('units/remove', async (id: string, { extra }) => {
  await extra.documents.removeUnit(id);
  return id;
});

function put(state: UnitsState, unit: Unit): void {
  if (!state.byId[unit.id]) state.ids.push(unit.id);
  state.byId[unit.id] = unit;
}

const slice = createSlice({
  name: 'units',
  initialState,
  reducers: {
    unitsLoaded: (state, action: PayloadAction<Unit[]>) => {
      state.ids = [];
      state.byId = {};
      for (const unit of action.payload) put(state, unit);
    },
  },
  extraReducers: (builder) => {
    builder.addCase(saveUnit.fulfilled, (state, action) => put(state, action.payload));
    builder.addCase(removeUnit.fulfilled, (state, action) => {
      state.ids = state.ids.filter((id) => id !== action.payload);
      delete state.byId[action.payload];
    });
  },
});

export const { unitsLoaded } = slice.actions;
export const unitsReducer = slice.reducer;

export const selectUnits = (state: { units: UnitsState }): UnitsState => state.units;
