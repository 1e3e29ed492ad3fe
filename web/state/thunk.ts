import { createAsyncThunk } from '@reduxjs/toolkit';
import type { Services } from './services';

/** Asynchronous state changes with the application's services as their outside world. */
export const appThunk = createAsyncThunk.withTypes<{ extra: Services; rejectValue: string }>();
