import type { Complaint, HydraulicPlan, OilMap, OilShiftResult } from '../../core/hydraulics';
import type {
  OilComplaintRequest,
  OilMapRequest,
  OilPlanRequest,
  OilSchools,
  OilSchoolsRequest,
  OilShiftRequest,
  OilWorker,
} from './protocol';
import { withWorker } from './withWorker';

/** Shift maps and shifts over time, away from the page. Cancelling ends the worker at once. */
const start = (): Worker =>
  new Worker(new URL('./oil.worker.ts', import.meta.url), { type: 'module' });

export const runOilPlan = (request: OilPlanRequest, signal: AbortSignal): Promise<HydraulicPlan> =>
  withWorker<OilWorker, HydraulicPlan>(start(), (worker) => worker.plan(request), signal);

export const runOilMap = (request: OilMapRequest, signal: AbortSignal): Promise<OilMap> =>
  withWorker<OilWorker, OilMap>(start(), (worker) => worker.map(request), signal);

export const runOilShift = (
  request: OilShiftRequest,
  signal: AbortSignal,
): Promise<OilShiftResult> =>
  withWorker<OilWorker, OilShiftResult>(start(), (worker) => worker.shift(request), signal);

export const runOilSchools = (
  request: OilSchoolsRequest,
  signal: AbortSignal,
): Promise<OilSchools> =>
  withWorker<OilWorker, OilSchools>(start(), (worker) => worker.schools(request), signal);

export const runOilComplaint = (
  request: OilComplaintRequest,
  signal: AbortSignal,
): Promise<Complaint> =>
  withWorker<OilWorker, Complaint>(start(), (worker) => worker.complaint(request), signal);
