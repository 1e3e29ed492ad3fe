import type { SectionDrawing } from '../../core/drawing';
import type { Unit } from '../../core/geartrain';
import type { DrawingWorker } from './protocol';
import { withWorker } from './withWorker';

/**
 * Lays a unit out as a section, away from the page: a wide unit takes seconds.
 * @param keep `columns` of the drawing before, when the unit has only been changed
 */
export const layOutSection = (
  unit: Unit,
  keep: readonly string[],
  signal: AbortSignal,
): Promise<SectionDrawing> =>
  withWorker<DrawingWorker, SectionDrawing>(
    new Worker(new URL('./drawing.worker.ts', import.meta.url), { type: 'module' }),
    async (worker): Promise<SectionDrawing> => await worker.sectionDrawing(unit, keep),
    signal,
  );
