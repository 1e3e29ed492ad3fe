const WORKERS: Readonly<Record<string, () => Promise<unknown>>> = {
  clutch: () => import('../workers/clutch.worker'),
  converter: () => import('../workers/converter.worker'),
  drawing: () => import('../workers/drawing.worker'),
  fault: () => import('../workers/fault.worker'),
  files: () => import('../workers/files.worker'),
  grading: () => import('../workers/grading.worker'),
  oil: () => import('../workers/oil.worker'),
  search: () => import('../workers/search.worker'),
  unit: () => import('../workers/unit.worker'),
};

/** In a worker: what it works as. */
export const startInside = (name: string): Promise<unknown> =>
  WORKERS[name]?.() ?? Promise.reject(new Error(`startInside: expected a worker, got "${name}"`));

let script: string | null = null;

/** In the page: its own script again, as a worker. What is asked before it listens waits in its port. */
export function insideWorker(name: string): Worker {
  script ??= URL.createObjectURL(
    new Blob([document.querySelector('script[type="module"]')?.textContent ?? ''], {
      type: 'text/javascript',
    }),
  );
  return new Worker(script, { name });
}
