import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { Attempt } from '../../core/lesson';
import { appThunk } from './thunk';
import { reasonOf } from '../shared/reasonOf';
import { standing, type AttemptRecord } from '../storage/records';

/** Every attempt this browser holds: made here, imported, or of the made-up class. */
export interface AttemptsState {
  byId: Record<string, AttemptRecord>;
}

interface SaveAttemptRequest {
  readonly record: AttemptRecord;
  /** What the change was made on; `null` for a new record. */
  readonly base: Attempt | null;
}

/** Saves a record; one that another tab has saved since is an outcome, not an error. */
export const saveAttempt = appThunk(
  'attempts/save',
  async ({ record, base }: SaveAttemptRequest, { extra, rejectWithValue }) => {
    try {
      const result = await extra.documents.saveAttempt(record, base);
      if (result.outcome === 'saved') {
        extra.tabs.post({ type: 'attempt-saved', id: record.attempt.id });
        if (record.source !== 'demo') extra.marks.keep(extra.now());
      }
      return result;
    } catch (error) {
      return rejectWithValue(reasonOf(error));
    }
  },
);

/** Reads one record again, as another tab has saved it. */
export const refreshAttempt = appThunk('attempts/refresh', (id: string, { extra }) =>
  extra.documents.readAttempt(id),
);

export const removeAttempt = appThunk(
  'attempts/remove',
  async (attempt: Attempt, { extra, rejectWithValue }) => {
    try {
      return { id: attempt.id, removed: await extra.documents.removeAttempt(attempt) };
    } catch (error) {
      return rejectWithValue(reasonOf(error));
    }
  },
);

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
    builder.addCase(saveAttempt.fulfilled, (state, { payload }) => {
      const record = standing(payload);
      if (record) state.byId[record.attempt.id] = record;
    });
    builder.addCase(refreshAttempt.fulfilled, (state, { payload }) => {
      if (payload) state.byId[payload.attempt.id] = payload;
    });
    builder.addCase(removeAttempt.fulfilled, (state, { payload }) => {
      if (payload.removed) delete state.byId[payload.id];
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

declare module './rootState' {
  interface RootState {
    attempts: ReturnType<typeof attemptsReducer>;
  }
}
