import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { CaseFault } from '../../core/faults';
import type { Load, Range } from '../../core/geartrain';

/** What the Apply bench shows: a unit, its elements, and a chart that may have been changed on the bench. */
export interface ApplyState {
  unitId: string | null;
  applied: string[];
  load: Load;
  /** The chart as changed here; `null` while it is the unit's own. */
  chart: Range[] | null;
  /** The section, the lever diagram, the sleeves, or the end view of a gear set by its id. */
  view: string;
  /** What is broken on the bench. */
  fault: CaseFault | null;
}

/** Views that are not gear sets; ids can't hold the colon. */
export const SECTION = ':section';
export const LEVER = ':lever';
export const SLEEVES = ':sleeves';
export const CROSSING = ':crossing';

const initialState: ApplyState = {
  unitId: null,
  applied: [],
  load: 'drive',
  chart: null,
  view: SECTION,
  fault: null,
};

const slice = createSlice({
  name: 'apply',
  initialState,
  reducers: {
    unitOpened: (_state, action: PayloadAction<{ unitId: string; applied: string[] }>) => ({
      ...initialState,
      ...action.payload,
    }),
    rangeChosen: (state, action: PayloadAction<string[]>) => {
      state.applied = action.payload;
    },
    loadChosen: (state, action: PayloadAction<Load>) => {
      state.load = action.payload;
    },
    chartChanged: (state, action: PayloadAction<{ chart: Range[] | null }>) => {
      state.chart = action.payload.chart;
    },
    faultChosen: (state, action: PayloadAction<CaseFault | null>) => {
      state.fault = action.payload;
    },
    viewChosen: (state, action: PayloadAction<string>) => {
      state.view = action.payload;
    },
  },
});

export const toggled = (ids: readonly string[], id: string): string[] =>
  ids.includes(id) ? ids.filter((e) => e !== id) : [...ids, id];

/** The chart with one cell turned over. */
export const cellToggled = (ranges: readonly Range[], rangeId: string, element: string): Range[] =>
  ranges.map((r) => (r.id === rangeId ? { ...r, apply: toggled(r.apply, element) } : r));

export const sameElements = (a: readonly string[], b: readonly string[]): boolean =>
  a.length === b.length && a.every((id) => b.includes(id));

export const { unitOpened, rangeChosen, loadChosen, chartChanged, faultChosen, viewChosen } =
  slice.actions;
export const applyReducer = slice.reducer;
export const selectApply = (state: { apply: ApplyState }): ApplyState => state.apply;

declare module '../state/rootState' {
  interface RootState {
    apply: ReturnType<typeof applyReducer>;
  }
}
