import type { Store, ThunkDispatch, UnknownAction } from '@reduxjs/toolkit';
import type { Services } from './services';

/**
 * The state of the application. Each slice adds itself here where it stands (`declare module`), and `app/store.ts` lists
 * the reducers: what is missing in either is named by the compiler.
 */
// oxlint-disable-next-line typescript/no-empty-object-type
export interface RootState {}

export type AppDispatch = ThunkDispatch<RootState, Services, UnknownAction>;
export interface AppStore extends Store<RootState> {
  dispatch: AppDispatch & Store<RootState>['dispatch'];
}
