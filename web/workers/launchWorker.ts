import type { LaunchResult } from '../../core/vehicle';
import type { LaunchRequest, LaunchWorker } from './protocol';
import { withWorker } from './withWorker';

/** Fifteen seconds in a moment, away from the page. */
export const runLaunch = (request: LaunchRequest, signal: AbortSignal): Promise<LaunchResult> =>
  withWorker<LaunchWorker, LaunchResult>(
    new Worker(new URL('./launch.worker.ts', import.meta.url), { type: 'module' }),
    async (worker): Promise<LaunchResult> => await worker.launch(request),
    signal,
  );
