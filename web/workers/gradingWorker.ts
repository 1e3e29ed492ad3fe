import type { BookRequest, GradedBook, GradingWorker } from './protocol';
import { withWorker } from './withWorker';

/** Class books, away from the page: a whole case is weighed against everything that could be wrong with it. */
const start = (): Worker =>
  new Worker(new URL('./grading.worker.ts', import.meta.url), { type: 'module' });

export const gradeBook = (request: BookRequest, signal: AbortSignal): Promise<GradedBook> =>
  withWorker<GradingWorker, GradedBook>(
    start(),
    async (worker): Promise<GradedBook> => await worker.book(request),
    signal,
  );
