import { expose } from 'comlink';
import { searchTeeth } from '../../core/geartrain';
import type { SearchWorker } from './protocol';

const worker: SearchWorker = {
  async searchTeeth(search, part, onStep) {
    for (const step of searchTeeth(search, part)) await onStep(step);
  },
};
expose(worker);
