import type { LaunchResult } from '../../core/vehicle';
import type { LaunchRequest, LaunchWorker } from './protocol';
import { loadWorker, withWorker } from './withWorker';

const start = (): Worker =>
  new Worker(new URL('./launch.worker.ts', import.meta.url), { type: 'module' });

export const loadLaunchWorker = (): Promise<void> => loadWorker(start());

/** Fifteen seconds in a moment, away from the page. */
export const runLaunch = (request: LaunchRequest, signal: AbortSignal): Promise<LaunchResult> =>
  withWorker<LaunchWorker, LaunchResult>(
    start(),
    async (worker): Promise<LaunchResult> => await worker.launch(request),
    signal,
  );
