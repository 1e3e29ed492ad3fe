import { configureStore } from '@reduxjs/toolkit';
import { applyReducer } from '../apply/applySlice';
import { atlasReducer } from '../faults/atlasSlice';
import { attemptsReducer } from '../classBook/attemptsSlice';
import { clutchReducer } from '../clutch/clutchSlice';
import { converterReducer } from '../converter/converterSlice';
import { deskReducer } from '../faults/deskSlice';
import { draftHistoryReducer } from '../lessons/builder/draftHistory';
import { libraryReducer } from '../lessons/librarySlice';
import { playerReducer } from '../lessons/player/playerSlice';
import { ratioReducer } from '../ratio/ratioSlice';
import { packReducer } from '../packs/packSlice';
import { modelDraftReducer } from '../models/modelDraftSlice';
import { modelsReducer } from '../models/modelsSlice';
import type { Services } from './services';
import { settingsReducer } from './settingsSlice';

/** One slice a part; documents and choices only, never results that can be derived. */
export function createStore(services: Services) {
  return configureStore({
    reducer: {
      settings: settingsReducer,
      library: libraryReducer,
      draft: draftHistoryReducer,
      player: playerReducer,
      ratio: ratioReducer,
      attempts: attemptsReducer,
      apply: applyReducer,
      converter: converterReducer,
      atlas: atlasReducer,
      desk: deskReducer,
      clutch: clutchReducer,
      pack: packReducer,
      models: modelsReducer,
      modelDraft: modelDraftReducer,
    },
    middleware: (defaults) => defaults({ thunk: { extraArgument: services } }),
  });
}

export type AppStore = ReturnType<typeof createStore>;
export type RootState = ReturnType<AppStore['getState']>;
export type AppDispatch = AppStore['dispatch'];
