import { expose } from 'comlink';
import { sectionDrawing } from '../../core/drawing';
import type { DrawingWorker } from './protocol';

const worker: DrawingWorker = {
  async sectionDrawing(unit, keep, onFirst) {
    // Something to look at comes first: the search for the fewest crossings of a wide unit takes a second.
    await onFirst(sectionDrawing(unit, keep, 'first'));
    return sectionDrawing(unit, keep);
  },
};
expose(worker);
