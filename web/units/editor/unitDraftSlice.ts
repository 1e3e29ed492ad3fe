import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { Unit } from '../../../core/geartrain';
import { withHistory } from '../../shared/documentHistory';

/** The unit being edited, with undo and redo. */
const slice = createSlice({
  name: 'unitDraft',
  initialState: null as Unit | null,
  reducers: {
    unitDraftOpened: (_draft, action: PayloadAction<Unit>) => action.payload,
    unitDraftClosed: () => null,
    /** `field` names a text or number being typed: its keystrokes make one step of undo. */
    unitEdited: (_draft, action: PayloadAction<{ unit: Unit; field: string | null }>) =>
      action.payload.unit,
  },
});

export const { unitDraftOpened, unitDraftClosed, unitEdited } = slice.actions;

export const unitDraftReducer = withHistory<Unit>(
  slice.reducer,
  (action) =>
    unitDraftOpened.match(action)
      ? action.payload
      : unitDraftClosed.match(action)
        ? null
        : undefined,
  (action) => (unitEdited.match(action) ? action.payload.field : null),
);
