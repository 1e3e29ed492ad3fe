import type { SectionDrawing } from '../../core/drawing';
import type { Unit } from '../../core/geartrain';
import type { DrawingWorker } from './protocol';
import { loadWorker, withWorker } from './withWorker';

const start = (): Worker =>
  new Worker(new URL('./drawing.worker.ts', import.meta.url), { type: 'module' });

export const loadDrawingWorker = (): Promise<void> => loadWorker(start());

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
    start(),
    async (worker): Promise<SectionDrawing> => await worker.sectionDrawing(unit, keep),
    signal,
  );
