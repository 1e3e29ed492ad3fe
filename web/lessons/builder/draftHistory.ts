import type { UnknownAction } from '@reduxjs/toolkit';
import undoable, { newHistory, type StateWithHistory } from 'redux-undo';
import { draftClosed, draftOpened, draftReducer, undoGroup, type DraftState } from './draftSlice';

const UNDO_STEPS = 200;

const withUndo = undoable(draftReducer, { limit: UNDO_STEPS, groupBy: undoGroup });

export type DraftHistory = StateWithHistory<DraftState>;

/** The draft with undo and redo. Opening or closing a lesson begins a new history. */
export function draftHistoryReducer(
  state: DraftHistory | undefined,
  action: UnknownAction,
): DraftHistory {
  if (draftOpened.match(action)) return newHistory<DraftState>([], action.payload, []);
  if (draftClosed.match(action)) return newHistory<DraftState>([], null, []);
  return withUndo(state, action);
}
