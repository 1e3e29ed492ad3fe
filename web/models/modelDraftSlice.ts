import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { Model } from '../../core/formats';
import { withHistory } from '../shared/documentHistory';

/** The model being edited, with undo and redo. */
const slice = createSlice({
  name: 'modelDraft',
  initialState: null as Model | null,
  reducers: {
    modelDraftOpened: (_draft, action: PayloadAction<Model>) => action.payload,
    modelDraftClosed: () => null,
    /** `field` names a text or number being typed: its keystrokes make one step of undo. */
    modelEdited: (_draft, action: PayloadAction<{ model: Model; field: string | null }>) =>
      action.payload.model,
  },
});

export const { modelDraftOpened, modelDraftClosed, modelEdited } = slice.actions;

export const modelDraftReducer = withHistory<Model>(
  slice.reducer,
  (action) =>
    modelDraftOpened.match(action)
      ? action.payload
      : modelDraftClosed.match(action)
        ? null
        : undefined,
  (action) => (modelEdited.match(action) ? action.payload.field : null),
);

declare module '../state/rootState' {
  interface RootState {
    modelDraft: ReturnType<typeof modelDraftReducer>;
  }
}
