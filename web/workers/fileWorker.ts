import type { Remote } from 'comlink';
import type { FileWorker } from './protocol';
import { withWorker } from './withWorker';

const start = (): Worker =>
  new Worker(new URL('./files.worker.ts', import.meta.url), { type: 'module' });

/** A worker for one file, so that a bad file can't linger. */
export const withFileWorker = <T>(
  work: (worker: Remote<FileWorker>) => Promise<T>,
  signal?: AbortSignal,
): Promise<T> => withWorker<FileWorker, T>(start(), work, signal);
