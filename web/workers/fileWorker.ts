import { wrap, type Remote } from 'comlink';
import type { FileWorker } from './protocol';

/** Starts a worker for one piece of work and ends it afterwards, so that a bad file can't linger. */
export async function withFileWorker<T>(
  work: (worker: Remote<FileWorker>) => Promise<T>,
): Promise<T> {
  const worker = new Worker(new URL('./files.worker.ts', import.meta.url), { type: 'module' });
  try {
    return await new Promise<T>((done, fail) => {
      worker.addEventListener('error', (event) =>
        fail(new Error(event.message || 'worker failed')),
      );
      work(wrap<FileWorker>(worker)).then(done, fail);
    });
  } finally {
    worker.terminate();
  }
}
