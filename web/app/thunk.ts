import { createAsyncThunk } from '@reduxjs/toolkit';
import type { Services } from './services';

/** Asynchronous state changes with the application's services as their outside world. */
export const appThunk = createAsyncThunk.withTypes<{ extra: Services; rejectValue: string }>();

/** What went wrong, as the browser words it; shown only beside our own explanation. */
export const reasonOf = (error: unknown): string =>
  error instanceof Error ? `${error.name}: ${error.message}` : String(error);
