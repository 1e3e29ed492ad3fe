import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { appThunk, reasonOf } from '../app/thunk';
import type { AttemptRecord } from '../storage/documentStore';

/** Every attempt this browser holds: made here, imported, or of the made-up class. */
export interface AttemptsState {
  byId: Record<string, AttemptRecord>;
}

export const saveAttempt = appThunk(
  'attempts/save',
  async (record: AttemptRecord, { extra, rejectWithValue }) => {
    try {
      await extra.documents.saveAttempt(record);
      return record;
    } catch (error) {
      return rejectWithValue(reasonOf(error));
    }
  },
);

export const removeAttempt = appThunk('attempts/remove', async (id: string, { extra }) => {
  await extra.documents.removeAttempt(id);
  return id;
});

const initialState: AttemptsState = { byId: {} };

const slice = createSlice({
  name: 'attempts',
  initialState,
  reducers: {
    attemptsLoaded: (state, action: PayloadAction<AttemptRecord[]>) => {
      state.byId = Object.fromEntries(action.payload.map((r) => [r.attempt.id, r]));
    },
  },
  extraReducers: (builder) => {
    builder.addCase(saveAttempt.pending, (state, action) => {
      const record = action.meta.arg;
      state.byId[record.attempt.id] = record;
    });
    builder.addCase(removeAttempt.fulfilled, (state, action) => {
      delete state.byId[action.payload];
    });
  },
});

export const { attemptsLoaded } = slice.actions;
export const attemptsReducer = slice.reducer;

interface WithAttempts {
  attempts: AttemptsState;
}
export const selectAttempts = (state: WithAttempts): Record<string, AttemptRecord> =>
  state.attempts.byId;
