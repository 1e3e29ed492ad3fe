import { expose } from 'comlink';
import { forwardRatios, unitFindings } from '../../core/geartrain';
import type { UnitWorker } from './protocol';

const worker: UnitWorker = {
  figures: (unit) => ({ ratios: forwardRatios(unit), findings: unitFindings(unit) }),
};
expose(worker);
