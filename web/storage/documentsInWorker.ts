import { releaseProxy, wrap, type Remote } from 'comlink';
import type { DemoWorld } from './demoWorld';
import type { DocumentStore } from './documentStore';
import type { KeyValueStore } from './keyValueStore';
import { settingsIn } from './settingsIn';

export interface DocumentsWorker extends DocumentStore {
  loadDemoWorld(): Promise<DemoWorld>;
}

type Call = (...given: never[]) => Promise<unknown>;

/**
 * The store of documents, with everything that checks them, in a worker: no screen waits while a shelf is read and
 * checked, and no page has to fetch what checks it. Settings are read by the page itself.
 * @param start the worker; started again after it could not be fetched
 */
export function documentsInWorker(store: KeyValueStore, start: () => Worker): DocumentsWorker {
  let running: Remote<DocumentsWorker> | null = null;
  const waiting = new Set<(reason: Error) => void>();
  const begin = (): Remote<DocumentsWorker> => {
    const worker = start();
    const remote = wrap<DocumentsWorker>(worker);
    // A worker that can't be fetched never answers: whoever waits for it is told, and the next to ask starts another.
    worker.addEventListener('error', (event) => {
      running = null;
      remote[releaseProxy]();
      worker.terminate();
      for (const fail of waiting) fail(new Error(event.message || 'worker failed'));
    });
    return remote;
  };
  const ask = (name: keyof DocumentsWorker, given: never[]): Promise<unknown> =>
    new Promise((done, fail) => {
      waiting.add(fail);
      running ??= begin();
      (running[name] as Call)(...given)
        .then(done, fail)
        .finally(() => waiting.delete(fail));
    });
  // Its script is fetched while the page draws itself.
  running = begin();
  return new Proxy(settingsIn(store) as DocumentsWorker, {
    get:
      (known, name: keyof DocumentsWorker) =>
      (...given: never[]): Promise<unknown> => {
        const own: Call | undefined = known[name];
        return own ? own(...given) : ask(name, given);
      },
  });
}

export const documentsBesidePage = (store: KeyValueStore): DocumentsWorker =>
  documentsInWorker(
    store,
    () => new Worker(new URL('./documents.worker.ts', import.meta.url), { type: 'module' }),
  );
