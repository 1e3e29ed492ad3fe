import { expose } from 'comlink';
import { planOf } from '../../core/assembly';
import { chartRows, combined, forwardRatios, unitFindings } from '../../core/geartrain';
import type { UnitWorker } from './protocol';

const worker: UnitWorker = {
  figures: (unit) => ({ ratios: forwardRatios(unit), findings: unitFindings(unit) }),
  chartRows,
  combined,
  mainPlan: (unit) => planOf(unit, 'main'),
  fullPlan: (unit) => planOf(unit, 'all'),
};
expose(worker);
