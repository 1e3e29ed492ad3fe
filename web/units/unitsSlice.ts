import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { Unit } from '../../core/geartrain';
import { appThunk, reasonOf } from '../app/thunk';

/** The drivetrain models of this browser. */
export interface UnitsState {
  ids: string[];
  byId: Record<string, Unit>;
}

const initialState: UnitsState = { ids: [], byId: {} };

/**
 * Saves a unit. With `base`, what the change was made on, a save that would overwrite another tab's is not
 * made; that is an outcome, not an error.
 */
export const saveUnit = appThunk(
  'units/save',
  async ({ unit, base }: SaveUnitRequest, { extra, rejectWithValue }) => {
    try {
      const result = await extra.documents.saveUnit(unit, base ?? null);
      if (result.outcome === 'saved') extra.tabs.post({ type: 'unit-saved', id: unit.id });
      return result.outcome === 'saved'
        ? { outcome: result.outcome, unit }
        : { outcome: result.outcome, unit: result.stored };
    } catch (error) {
      return rejectWithValue(reasonOf(error));
    }
  },
);

interface SaveUnitRequest {
  readonly unit: Unit;
  readonly base?: Unit;
}

/** Reads one unit again, as another tab has saved it. */
export const refreshUnit = appThunk('units/refresh', (id: string, { extra }) =>
  extra.documents.readUnit(id),
);

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
    builder.addCase(saveUnit.fulfilled, (state, action) => put(state, action.payload.unit));
    builder.addCase(refreshUnit.fulfilled, (state, action) => {
      if (action.payload) put(state, action.payload);
    });
    builder.addCase(removeUnit.fulfilled, (state, action) => {
      state.ids = state.ids.filter((id) => id !== action.payload);
      delete state.byId[action.payload];
    });
  },
});

export const { unitsLoaded } = slice.actions;
export const unitsReducer = slice.reducer;

export const selectUnits = (state: { units: UnitsState }): UnitsState => state.units;
