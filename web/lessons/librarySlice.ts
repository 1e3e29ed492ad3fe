import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { Lesson } from '../../core/lesson';
import { appThunk, reasonOf } from '../app/thunk';
import type { Loaded, LessonRecord, Origin, SaveResult } from '../storage/documentStore';

/** The lessons of this browser: ids plus a map. */
export interface LibraryState {
  status: 'loading' | 'ready' | 'failed';
  /** What the browser said when storage failed. */
  failure: string;
  ids: string[];
  byId: Record<string, LessonRecord>;
  /** Stored items that this program can't read and has left alone. */
  unreadable: number;
}

const initialState: LibraryState = {
  status: 'loading',
  failure: '',
  ids: [],
  byId: {},
  unreadable: 0,
};

export interface SaveRequest {
  readonly lesson: Lesson;
  readonly origin: Origin;
  readonly changed: boolean;
  readonly baseRevision: number;
}

/** Saves a lesson; a conflict is an outcome, not an error. */
export const saveLesson = appThunk(
  'library/save',
  async (request: SaveRequest, { extra, rejectWithValue }) => {
    try {
      const { baseRevision, ...record } = request;
      const result = await extra.documents.saveLesson(record, baseRevision);
      if (result.outcome === 'saved')
        extra.tabs.post({
          type: 'lesson-saved',
          id: request.lesson.id,
          revision: result.record.revision,
        });
      return result;
    } catch (error) {
      return rejectWithValue(reasonOf(error));
    }
  },
);

/** Reads one lesson again, as another tab has saved it. */
export const refreshLesson = appThunk('library/refresh', (id: string, { extra }) =>
  extra.documents.readLesson(id),
);

/** Takes a lesson out of storage; the record comes back so that it can be put in again. */
export const removeLesson = appThunk(
  'library/remove',
  async (id: string, { extra, rejectWithValue }) => {
    try {
      await extra.documents.removeLesson(id);
      return id;
    } catch (error) {
      return rejectWithValue(reasonOf(error));
    }
  },
);

function put(state: LibraryState, record: LessonRecord): void {
  if (!state.byId[record.lesson.id]) state.ids.push(record.lesson.id);
  state.byId[record.lesson.id] = record;
}

const slice = createSlice({
  name: 'library',
  initialState,
  reducers: {
    libraryLoaded: (state, action: PayloadAction<Loaded>) => {
      state.status = 'ready';
      state.unreadable = action.payload.unreadable.length;
      state.ids = [];
      state.byId = {};
      for (const record of action.payload.lessons) put(state, record);
    },
    libraryFailed: (state, action: PayloadAction<string>) => {
      state.status = 'failed';
      state.failure = action.payload;
    },
  },
  extraReducers: (builder) => {
    builder.addCase(saveLesson.fulfilled, (state, action: PayloadAction<SaveResult>) => {
      const { payload } = action;
      put(state, payload.outcome === 'saved' ? payload.record : payload.stored);
    });
    builder.addCase(refreshLesson.fulfilled, (state, action) => {
      if (action.payload) put(state, action.payload);
    });
    builder.addCase(removeLesson.fulfilled, (state, action) => {
      state.ids = state.ids.filter((id) => id !== action.payload);
      delete state.byId[action.payload];
    });
  },
});

export const { libraryLoaded, libraryFailed } = slice.actions;
export const libraryReducer = slice.reducer;

interface WithLibrary {
  library: LibraryState;
}
export const selectLibrary = (state: WithLibrary): LibraryState => state.library;
export const selectLesson =
  (id: string | undefined) =>
  (state: WithLibrary): LessonRecord | undefined =>
    id === undefined ? undefined : state.library.byId[id];
