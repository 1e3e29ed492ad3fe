import type { Exclusive } from './documentStore';

/**
 * One task at a time for a name: across tabs by Web Locks where the browser offers them (secure contexts),
 * within this tab by a queue otherwise.
 */
export function browserExclusive(): Exclusive {
  const queues = new Map<string, Promise<unknown>>();
  return async <T>(name: string, task: () => Promise<T>): Promise<T> => {
    // Not every browser and context has it, whatever the type says.
    const locks = (navigator as { locks?: LockManager }).locks;
    if (locks) return await locks.request(`fair-sprocket:${name}`, task);
    const before = queues.get(name) ?? Promise.resolve();
    const run = before.then(task, task);
    queues.set(name, run);
    return run;
  };
}
