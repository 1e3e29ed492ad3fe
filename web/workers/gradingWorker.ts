import { releaseProxy, wrap } from 'comlink';
import type { BookRequest, GradedBook, GradingWorker } from './protocol';

/** Class books, away from the page: a whole case is weighed against everything that could be wrong with it. */
export interface Grading {
  /** @throws Error when the worker fails */
  book(request: BookRequest): Promise<GradedBook>;
  close(): void;
}

/** A worker that keeps what it has graded until it is closed. */
export function openGrading(): Grading {
  const worker = new Worker(new URL('./grading.worker.ts', import.meta.url), { type: 'module' });
  const remote = wrap<GradingWorker>(worker);
  const failed = new Promise<never>((_done, fail) => {
    worker.addEventListener('error', (e) => fail(new Error(e.message || 'worker failed')));
  });
  failed.catch(() => undefined);
  return {
    book: async (request) => await Promise.race<GradedBook>([remote.book(request), failed]),
    close() {
      remote[releaseProxy]();
      worker.terminate();
    },
  };
}
