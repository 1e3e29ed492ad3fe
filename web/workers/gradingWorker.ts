import { releaseProxy, wrap } from 'comlink';
import type { Separating } from '../../core/lesson';
import type { BookRequest, GradedBook, GradingWorker, SeparatingRequest } from './protocol';
import { withWorker } from './withWorker';

/** Class books, away from the page: a whole case is weighed against everything that could be wrong with it. */
export interface Grading {
  /** @throws Error when the worker fails */
  book(request: BookRequest): Promise<GradedBook>;
  close(): void;
}

const start = (): Worker =>
  new Worker(new URL('./grading.worker.ts', import.meta.url), { type: 'module' });

/** Looked for in a worker of its own. */
export const separatingOf = (
  request: SeparatingRequest,
  signal: AbortSignal,
): Promise<Separating | null> =>
  withWorker<GradingWorker, Separating | null>(
    start(),
    (worker) => worker.separating(request),
    signal,
  );

/** A worker that keeps what it has graded until it is closed. */
export function openGrading(): Grading {
  const worker = start();
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
