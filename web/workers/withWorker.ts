import { wrap, type Remote } from 'comlink';

/** Starts a worker for one piece of work and ends it afterwards; ending it early cancels the work. */
export async function withWorker<W, T>(
  worker: Worker,
  work: (remote: Remote<W>) => Promise<T>,
  signal?: AbortSignal,
): Promise<T> {
  try {
    return await new Promise<T>((done, fail) => {
      worker.addEventListener('error', (event) =>
        fail(new Error(event.message || 'worker failed')),
      );
      signal?.addEventListener('abort', () => fail(new DOMException('cancelled', 'AbortError')));
      work(wrap<W>(worker)).then(done, fail);
    });
  } finally {
    worker.terminate();
  }
}
