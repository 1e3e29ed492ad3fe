import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { MODEL_KINDS, type Documents, type Model, type ModelKind } from '../../core/formats';
import { appThunk, reasonOf } from '../app/thunk';

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
  readonly base?: Model;
}

/**
 * Saves a model. With `base`, what the change was made on, a save that would overwrite another tab's is not made;
 * that is an outcome, not an error.
 */
export const saveModel = appThunk(
  'models/save',
  async ({ model, base }: SaveModelRequest, { extra, rejectWithValue }) => {
    try {
      const result = await extra.documents.saveModel(model, base ?? null);
      if (result.outcome === 'conflict') return { outcome: result.outcome, model: result.stored };
      extra.tabs.post({ type: 'model-saved', kind: model.format, id: model.id });
      return { outcome: result.outcome, model };
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

export const removeModel = appThunk('models/remove', async (model: Model, { extra }) => {
  await extra.documents.removeModel(model.format, model.id);
  return model;
});

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
    builder.addCase(saveModel.fulfilled, (state, action) => put(state, action.payload.model));
    builder.addCase(refreshModel.fulfilled, (state, action) => {
      if (action.payload) put(state, action.payload);
    });
    builder.addCase(removeModel.fulfilled, (state, action) => {
      const shelf = state[action.payload.format] as Shelf<Model>;
      shelf.ids = shelf.ids.filter((id) => id !== action.payload.id);
      delete shelf.byId[action.payload.id];
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
export const selectClutchPacks = selectModels('fair-sprocket/clutch-pack');

/** The models of a shelf in its order. */
export const onShelf = <T>({ ids, byId }: Shelf<T>): T[] => ids.flatMap((id) => byId[id] ?? []);
