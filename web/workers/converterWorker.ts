import type { FitStep, StreamlineModel, TableModel } from '../../core/converter';
import type { LaunchResult, SweepPoint } from '../../core/vehicle';
import type { ConverterWorker, LaunchRequest, SweepRequest } from './protocol';
import { withWorker } from './withWorker';

/** Launches, sweeps and fits, away from the page. Cancelling ends the worker at once. */
const start = (): Worker =>
  new Worker(new URL('./converter.worker.ts', import.meta.url), { type: 'module' });

export const runLaunch = (request: LaunchRequest, signal: AbortSignal): Promise<LaunchResult> =>
  withWorker<ConverterWorker, LaunchResult>(
    start(),
    async (worker): Promise<LaunchResult> => await worker.launch(request),
    signal,
  );

/** @param onPoint told after every run @throws AbortError when cancelled */
export const runSweep = (
  request: SweepRequest,
  signal: AbortSignal,
  onPoint: (point: SweepPoint) => void,
): Promise<void> =>
  withWorker<ConverterWorker, void>(
    start(),
    async (worker, tell) => {
      await worker.sweep(request, tell(onPoint));
    },
    signal,
  );

/** @param onStep told after every round of the fit @throws AbortError when cancelled */
export const runFit = (
  table: TableModel,
  from: StreamlineModel,
  signal: AbortSignal,
  onStep: (step: FitStep) => void,
): Promise<void> =>
  withWorker<ConverterWorker, void>(
    start(),
    async (worker, tell) => {
      await worker.fit(table, from, tell(onStep));
    },
    signal,
  );
