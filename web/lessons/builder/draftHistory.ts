import type { StateWithHistory } from 'redux-undo';
import type { Lesson } from '../../../core/lesson';
import { withHistory } from '../../shared/documentHistory';
import { draftClosed, draftOpened, draftReducer, undoGroup, type DraftState } from './draftSlice';

export type DraftHistory = StateWithHistory<DraftState>;

/** The draft with undo and redo. Opening or closing a lesson begins a new history. */
export const draftHistoryReducer = withHistory<Lesson>(
  draftReducer,
  (action) =>
    draftOpened.match(action) ? action.payload : draftClosed.match(action) ? null : undefined,
  undoGroup,
);

declare module '../../state/rootState' {
  interface RootState {
    draft: ReturnType<typeof draftHistoryReducer>;
  }
}
