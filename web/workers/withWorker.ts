import { releaseProxy, wrap, type Remote } from 'comlink';
import { tellers, type Tell } from './tellers';

/**
 * Starts a worker for one piece of work and ends it afterwards; ending it early cancels the work.
 * @param work is handed what makes functions that the worker can call
 */
export async function withWorker<W, T>(
  worker: Worker,
  work: (remote: Remote<W>, tell: Tell) => Promise<T>,
  signal?: AbortSignal,
): Promise<T> {
  const { tell, close } = tellers();
  const remote = wrap<W>(worker);
  try {
    return await new Promise<T>((done, fail) => {
      worker.addEventListener('error', (event) =>
        fail(new Error(event.message || 'worker failed')),
      );
      signal?.addEventListener('abort', () => fail(new DOMException('cancelled', 'AbortError')));
      work(remote, tell).then(done, fail);
    });
  } finally {
    // Unless it is let go of, the page holds on to a worker that was ended.
    remote[releaseProxy]();
    worker.terminate();
    close();
  }
}
