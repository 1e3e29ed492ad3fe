import type { Reducer, UnknownAction } from '@reduxjs/toolkit';
import undoable, { newHistory, type StateWithHistory } from 'redux-undo';

const UNDO_STEPS = 200;

interface Begins<T> {
  /** The document that begins a new history, or `undefined` for any other action. */
  (action: UnknownAction): T | null | undefined;
}

/**
 * Undo and redo round a document's reducer. Opening or closing a document begins a new history.
 * @param groupBy keystrokes in one field make one step; `null` stands alone
 */
export function withHistory<T>(
  reducer: Reducer<T | null>,
  begins: Begins<T>,
  groupBy: (action: UnknownAction) => string | null,
): Reducer<StateWithHistory<T | null>> {
  const withUndo = undoable(reducer, { limit: UNDO_STEPS, groupBy });
  return (state, action) => {
    const document = begins(action);
    if (document !== undefined) return newHistory<T | null>([], document, []);
    return withUndo(state, action);
  };
}
