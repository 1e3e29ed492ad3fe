import type { SectionDrawing } from '../../core/drawing';
import type { Unit } from '../../core/geartrain';
import type { DrawingWorker } from './protocol';
import { withWorker } from './withWorker';

const start = (): Worker =>
  new Worker(new URL('./drawing.worker.ts', import.meta.url), { type: 'module' });

/**
 * Lays a unit out as a section, away from the page: a wide unit takes seconds.
 * @param keep `columns` of the drawing before, when the unit has only been changed
 * @param onFirst told a first drawing at once, with more crossings than need be
 */
export const layOutSection = (
  unit: Unit,
  keep: readonly string[],
  signal: AbortSignal,
  onFirst: (drawing: SectionDrawing) => void,
): Promise<SectionDrawing> =>
  withWorker<DrawingWorker, SectionDrawing>(
    start(),
    async (worker, tell): Promise<SectionDrawing> =>
      await worker.sectionDrawing(unit, keep, tell(onFirst)),
    signal,
  );
