import { configureStore, type Reducer, type UnknownAction } from '@reduxjs/toolkit';
import undoable, { excludeAction, type StateWithHistory } from 'redux-undo';
import { attemptsReducer } from '../classBook/attemptsSlice';
import {
  draftClosed,
  draftOpened,
  draftReducer,
  undoGroup,
  type DraftState,
} from '../lessons/builder/draftSlice';
import { libraryReducer } from '../lessons/librarySlice';
import { playerReducer } from '../lessons/player/playerSlice';
import { ratioReducer } from '../ratio/ratioSlice';
import type { Services } from './services';
import { settingsReducer } from './settingsSlice';

const UNDO_STEPS = 200;

const undoableDraft = undoable(draftReducer, {
  limit: UNDO_STEPS,
  groupBy: undoGroup,
  filter: excludeAction([draftOpened.type, draftClosed.type]),
  clearHistoryType: [draftOpened.type, draftClosed.type],
}) as Reducer<StateWithHistory<DraftState>, UnknownAction>;

/** One slice a part; documents and choices only, never results that can be derived. */
export function createStore(services: Services) {
  return configureStore({
    reducer: {
      settings: settingsReducer,
      library: libraryReducer,
      draft: undoableDraft,
      player: playerReducer,
      ratio: ratioReducer,
      attempts: attemptsReducer,
    },
    middleware: (defaults) => defaults({ thunk: { extraArgument: services } }),
  });
}

export type AppStore = ReturnType<typeof createStore>;
export type RootState = ReturnType<AppStore['getState']>;
export type AppDispatch = AppStore['dispatch'];
