import type { OilShiftResult, ShiftLine } from '../../core/hydraulics';
import type { OilMapRequest, OilShiftRequest, OilWorker } from './protocol';
import { withWorker } from './withWorker';

/** Shift maps and shifts over time, away from the page. Cancelling ends the worker at once. */
const start = (): Worker =>
  new Worker(new URL('./oil.worker.ts', import.meta.url), { type: 'module' });

export const runOilMap = (request: OilMapRequest, signal: AbortSignal): Promise<ShiftLine[]> =>
  withWorker<OilWorker, ShiftLine[]>(start(), (worker) => worker.map(request), signal);

export const runOilShift = (
  request: OilShiftRequest,
  signal: AbortSignal,
): Promise<OilShiftResult> =>
  withWorker<OilWorker, OilShiftResult>(start(), (worker) => worker.shift(request), signal);
