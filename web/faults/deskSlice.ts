import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { Difficulty, Draw } from '../../core/faults';
import { NEW_WORK, type DeskWork } from './work';

/** Which case lies on the desk, how the next is to be drawn, and what has been done at it. */
export interface DeskState {
  caseId: string | null;
  /** A case that was drawn for the machine of that one: what it is, its worker alone knows. */
  drawn: Draw | null;
  difficulty: Difficulty;
  work: DeskWork;
}

const initialState: DeskState = {
  caseId: null,
  drawn: null,
  difficulty: 'middling',
  work: NEW_WORK,
};

const slice = createSlice({
  name: 'desk',
  initialState,
  reducers: {
    deskChanged: (state, action: PayloadAction<Partial<DeskState>>) => ({
      ...state,
      ...action.payload,
    }),
    workChanged: (state, action: PayloadAction<Partial<DeskWork>>) => ({
      ...state,
      work: { ...state.work, ...action.payload },
    }),
    /** Puts a case on the desk, with nothing done yet. */
    caseLaid: (state, action: PayloadAction<{ caseId: string | null; drawn: Draw | null }>) => ({
      ...state,
      ...action.payload,
      work: { ...NEW_WORK, helps: state.work.helps },
    }),
  },
});

export const { deskChanged, workChanged, caseLaid } = slice.actions;
export const deskReducer = slice.reducer;
export const selectDesk = (state: { desk: DeskState }): DeskState => state.desk;

declare module '../state/rootState' {
  interface RootState {
    desk: ReturnType<typeof deskReducer>;
  }
}
