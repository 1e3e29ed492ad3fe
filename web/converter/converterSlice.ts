import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { StatorFault } from '../../core/converter';

/** What stands on the Converter bench and how it is run; everything shown follows from it. */
export interface ConverterBenchState {
  converterId: string | null;
  engineId: string | null;
  vehicleId: string | null;
  unitId: string | null;
  /** 0 to 1. */
  throttle: number;
  /** What the road or the brake lets the turbine turn. */
  turbineRpm: number;
  lockUp: boolean;
  fault: StatorFault | null;
  /** Rise over run. */
  grade: number;
  /** s into a launch at which the foot goes to the floor; `null`: it stays. */
  kickAt: number | null;
  /** The oil plan whose valves shift, by its id; `null`: the vehicle's schedule. */
  planId: string | null;
}

const initialState: ConverterBenchState = {
  converterId: null,
  engineId: null,
  vehicleId: null,
  unitId: null,
  throttle: 0.6,
  turbineRpm: 0,
  lockUp: false,
  fault: null,
  grade: 0,
  kickAt: null,
  planId: null,
};

const slice = createSlice({
  name: 'converter',
  initialState,
  reducers: {
    converterBenchChanged: (state, action: PayloadAction<Partial<ConverterBenchState>>) => ({
      ...state,
      ...action.payload,
    }),
  },
});

export const { converterBenchChanged } = slice.actions;
export const converterReducer = slice.reducer;
export const selectConverterBench = (state: {
  converter: ConverterBenchState;
}): ConverterBenchState => state.converter;

declare module '../state/rootState' {
  interface RootState {
    converter: ReturnType<typeof converterReducer>;
  }
}
