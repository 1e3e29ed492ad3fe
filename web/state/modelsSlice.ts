import { standing } from '../storage/records';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { MODEL_KINDS, type Documents, type Model, type ModelKind } from '../../core/formats';
import { appThunk } from './thunk';
import { reasonOf } from '../shared/reasonOf';

/** The models of this browser, kind by kind. */
export interface Shelf<T> {
  ids: string[];
  byId: Record<string, T>;
}
export type ModelsState = { [K in ModelKind]: Shelf<Documents[K]> };

const emptyShelves = (): ModelsState =>
  Object.fromEntries(
    MODEL_KINDS.map((kind) => [kind, { ids: [], byId: {} }]),
  ) as unknown as ModelsState;

interface SaveModelRequest {
  readonly model: Model;
  /** What the change was made on; `null` for a new model. */
  readonly base: Model | null;
}

/** Saves a model; one that another tab has saved since is an outcome, not an error. */
export const saveModel = appThunk(
  'models/save',
  async ({ model, base }: SaveModelRequest, { extra, rejectWithValue }) => {
    try {
      const result = await extra.documents.saveModel(model, base);
      if (result.outcome === 'saved') {
        extra.tabs.post({ type: 'model-saved', kind: model.format, id: model.id });
        extra.marks.keep(extra.now());
      }
      return result;
    } catch (error) {
      return rejectWithValue(reasonOf(error));
    }
  },
);

interface ModelName {
  readonly kind: ModelKind;
  readonly id: string;
}

/** Reads one model again, as another tab has saved it. */
export const refreshModel = appThunk('models/refresh', ({ kind, id }: ModelName, { extra }) =>
  extra.documents.readModel(kind, id),
);

/** Takes a model out of storage, unless another tab has saved it since. */
export const removeModel = appThunk(
  'models/remove',
  async (model: Model, { extra, rejectWithValue }) => {
    try {
      return { model, removed: await extra.documents.removeModel(model) };
    } catch (error) {
      return rejectWithValue(reasonOf(error));
    }
  },
);

function put(state: ModelsState, model: Model): void {
  const shelf = state[model.format] as Shelf<Model>;
  if (!shelf.byId[model.id]) shelf.ids.push(model.id);
  shelf.byId[model.id] = model;
}

const slice = createSlice({
  name: 'models',
  initialState: emptyShelves(),
  reducers: {
    modelsLoaded: (_state, action: PayloadAction<Model[]>) => {
      const shelves = emptyShelves();
      for (const model of action.payload) put(shelves, model);
      return shelves;
    },
  },
  extraReducers: (builder) => {
    builder.addCase(saveModel.fulfilled, (state, { payload }) => {
      const model = standing(payload);
      if (model) put(state, model);
    });
    builder.addCase(refreshModel.fulfilled, (state, action) => {
      if (action.payload) put(state, action.payload);
    });
    builder.addCase(removeModel.fulfilled, (state, { payload }) => {
      const { format, id } = payload.model;
      if (!payload.removed) return;
      const shelf = state[format] as Shelf<Model>;
      shelf.ids = shelf.ids.filter((other) => other !== id);
      delete shelf.byId[id];
    });
  },
});

export const { modelsLoaded } = slice.actions;
export const modelsReducer = slice.reducer;

interface WithModels {
  models: ModelsState;
}
export const selectModels =
  <K extends ModelKind>(kind: K) =>
  (state: WithModels): ModelsState[K] =>
    state.models[kind];
export const selectUnits = selectModels('fair-sprocket/unit');
export const selectConverters = selectModels('fair-sprocket/converter');
export const selectEngines = selectModels('fair-sprocket/engine');
export const selectVehicles = selectModels('fair-sprocket/vehicle');
export const selectClutches = selectModels('fair-sprocket/clutch');
export const selectCases = selectModels('fair-sprocket/fault-case');
export const selectJobs = selectModels('fair-sprocket/job');
export const selectClutchPacks = selectModels('fair-sprocket/clutch-pack');

/** The models of a shelf in its order. */
export const onShelf = <T>({ ids, byId }: Shelf<T>): T[] => ids.flatMap((id) => byId[id] ?? []);

declare module './rootState' {
  interface RootState {
    models: ReturnType<typeof modelsReducer>;
  }
}
