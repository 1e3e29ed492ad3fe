import { configureStore, type Reducer } from '@reduxjs/toolkit';
import { applyReducer } from '../apply/applySlice';
import { atlasReducer } from '../faults/atlasSlice';
import { attemptsReducer } from '../state/attemptsSlice';
import { clutchReducer } from '../clutch/clutchSlice';
import { converterReducer } from '../converter/converterSlice';
import { deskReducer } from '../faults/deskSlice';
import { draftHistoryReducer } from '../lessons/builder/draftHistory';
import { libraryReducer } from '../state/librarySlice';
import { playerReducer } from '../lessons/player/playerSlice';
import { ratioReducer } from '../ratio/ratioSlice';
import { packReducer } from '../packs/packSlice';
import { modelDraftReducer } from '../models/modelDraftSlice';
import { modelsReducer } from '../state/modelsSlice';
import { keep, keptAs } from '../shared/kept';
import type { AppStore, RootState } from '../state/rootState';
import type { Services } from '../state/services';
import { shiftReducer } from '../shift/shiftSlice';
import { settingsReducer } from '../state/settingsSlice';

/** Slices that outlive a reload of the tab: what stands on the benches, the desk, and the attempt that runs. */
const LASTING = {
  ratio: ratioReducer,
  apply: applyReducer,
  converter: converterReducer,
  clutch: clutchReducer,
  pack: packReducer,
  shift: shiftReducer,
  atlas: atlasReducer,
  desk: deskReducer,
  player: playerReducer,
} as const;
type LastingName = keyof typeof LASTING;
const LASTING_NAMES = Object.keys(LASTING) as LastingName[];

/** The lasting slices as this tab left them. */
const keptSlices = () =>
  Object.fromEntries(
    LASTING_NAMES.map((name) => [name, keptAs<unknown>(name, LASTING[name](undefined, NOTHING))]),
  ) as { [K in LastingName]: ReturnType<(typeof LASTING)[K]> };
const NOTHING = { type: '' };

/** A moment after the last change, and at once when the page goes. */
function keepSlices(store: Pick<AppStore, 'getState' | 'subscribe'>): void {
  let before = store.getState();
  let waiting: ReturnType<typeof setTimeout> | undefined;
  const keepAll = () => {
    const now = store.getState();
    for (const name of LASTING_NAMES) if (now[name] !== before[name]) keep(name, now[name]);
    before = now;
  };
  store.subscribe(() => {
    clearTimeout(waiting);
    waiting = setTimeout(keepAll, 250);
  });
  window.addEventListener('pagehide', keepAll);
}

/** Every slice. */
const REDUCERS: { readonly [K in keyof RootState]: Reducer<RootState[K]> } = {
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
  shift: shiftReducer,
  models: modelsReducer,
  modelDraft: modelDraftReducer,
};

/** One slice a part; documents and choices only, never results that can be derived. */
export function createStore(services: Services, lasting = false): AppStore {
  const store = configureStore({
    ...(lasting ? { preloadedState: keptSlices() } : {}),
    reducer: REDUCERS,
    middleware: (defaults) => defaults({ thunk: { extraArgument: services } }),
  });
  if (lasting) keepSlices(store);
  return store;
}
