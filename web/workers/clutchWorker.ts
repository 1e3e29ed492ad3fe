import type { ClutchPack, Duty } from '../../core/clutch';
import type { EngagementPoint, EngagementResult, SlipTest } from '../../core/shift';
import type {
  ClutchWorker,
  EngagementRequest,
  EngagementSweepRequest,
  PackReport,
  StartInARow,
} from './protocol';
import type { Tell } from './tellers';
import { withWorker } from './withWorker';

/** Engagements, shop tests and hot packs, away from the page. Cancelling ends the worker at once. */
const start = (): Worker =>
  new Worker(new URL('./clutch.worker.ts', import.meta.url), { type: 'module' });

const run = <T>(
  work: (worker: ClutchWorker, tell: Tell) => unknown,
  signal: AbortSignal,
): Promise<T> =>
  withWorker<ClutchWorker, T>(
    start(),
    async (worker, tell) => (await work(worker as unknown as ClutchWorker, tell)) as T,
    signal,
  );

export const runEngagement = (
  request: EngagementRequest,
  signal: AbortSignal,
): Promise<EngagementResult> => run((worker) => worker.engage(request), signal);

export const runStartsInARow = (
  { request, times, wait }: { request: EngagementRequest; times: number; wait: number },
  signal: AbortSignal,
): Promise<StartInARow[]> => run((worker) => worker.inARow(request, times, wait), signal);

export const runSlipTest = (request: EngagementRequest, signal: AbortSignal): Promise<SlipTest> =>
  run((worker) => worker.slipTest(request), signal);

export const runRoadSlipTest = (
  request: EngagementRequest,
  turnsForWheel: number,
  signal: AbortSignal,
): Promise<{ verdict: 'holds' | 'slips'; run: EngagementResult }> =>
  run((worker) => worker.roadSlipTest(request, turnsForWheel), signal);

export const runPack = (pack: ClutchPack, duty: Duty, signal: AbortSignal): Promise<PackReport> =>
  run((worker) => worker.pack(pack, duty), signal);

/** Workers that share a sweep: one a core. */
const WORKERS = 2;

/** @param onPoint told after every run, in no order @throws AbortError when cancelled */
export async function runEngagementSweep(
  request: EngagementSweepRequest,
  signal: AbortSignal,
  onPoint: (point: EngagementPoint) => void,
): Promise<void> {
  await Promise.all(
    Array.from({ length: WORKERS }, (_v, index) =>
      run<void>(
        (worker, tell) => worker.sweep(request, { index, of: WORKERS }, tell(onPoint)),
        signal,
      ),
    ),
  );
}
