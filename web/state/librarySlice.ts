import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { Lesson } from '../../core/lesson';
import { appThunk } from './thunk';
import { reasonOf } from '../shared/reasonOf';
import {
  standing,
  type Loaded,
  type LessonRecord,
  type Origin,
  type SaveResult,
} from '../storage/records';

/** The lessons of this browser: ids plus a map. */
export interface LibraryState {
  status: 'loading' | 'ready' | 'failed';
  /** What the browser said when storage failed. */
  failure: string;
  ids: string[];
  byId: Record<string, LessonRecord>;
  /** Stored items that this program can't read and has left alone. */
  unreadable: number;
  /** When own work was last kept here that is gone now; `null` where nothing is missed. */
  lost: string | null;
  /** Nothing outlives the window, or so it seems. */
  passing: boolean;
}

const initialState: LibraryState = {
  status: 'loading',
  failure: '',
  ids: [],
  byId: {},
  unreadable: 0,
  lost: null,
  passing: false,
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
      if (result.outcome === 'saved') {
        const { revision } = result.record;
        extra.tabs.post({ type: 'lesson-saved', id: request.lesson.id, revision });
        if (record.origin !== 'demo' || record.changed) extra.marks.keep(extra.now());
      }
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

/** Takes a lesson out of storage, unless another tab has saved it since. */
export const removeLesson = appThunk(
  'library/remove',
  async (record: LessonRecord, { extra, rejectWithValue }) => {
    try {
      return { id: record.lesson.id, removed: await extra.documents.removeLesson(record) };
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
      state.failure = '';
      state.unreadable = action.payload.unreadable.length;
      state.ids = [];
      state.byId = {};
      for (const record of action.payload.lessons) put(state, record);
    },
    workLost: (state, action: PayloadAction<string | null>) => {
      state.lost = action.payload;
    },
    keptForNow: (state) => {
      state.passing = true;
    },
    libraryFailed: (state, action: PayloadAction<string>) => {
      state.status = 'failed';
      state.failure = action.payload;
    },
  },
  extraReducers: (builder) => {
    builder.addCase(saveLesson.fulfilled, (state, action: PayloadAction<SaveResult>) => {
      const record = standing(action.payload);
      if (record) put(state, record);
    });
    builder.addCase(refreshLesson.fulfilled, (state, action) => {
      if (action.payload) put(state, action.payload);
    });
    builder.addCase(removeLesson.fulfilled, (state, { payload }) => {
      if (!payload.removed) return;
      state.ids = state.ids.filter((id) => id !== payload.id);
      delete state.byId[payload.id];
    });
  },
});

export const { libraryLoaded, libraryFailed, workLost, keptForNow } = slice.actions;
export const libraryReducer = slice.reducer;

interface WithLibrary {
  library: LibraryState;
}
export const selectLibrary = (state: WithLibrary): LibraryState => state.library;
export const selectLesson =
  (id: string | undefined) =>
  (state: WithLibrary): LessonRecord | undefined =>
    id === undefined ? undefined : state.library.byId[id];

/** Something about what this browser keeps is to be told. */
export const selectStorageTrouble = ({ library }: { library: LibraryState }): boolean =>
  library.status === 'failed' || library.unreadable > 0 || library.lost !== null || library.passing;

declare module './rootState' {
  interface RootState {
    library: ReturnType<typeof libraryReducer>;
  }
}
