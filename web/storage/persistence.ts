/** Not every browser and context has it, whatever the type says. */
const manager = (): StorageManager | undefined =>
  (navigator as { storage?: StorageManager }).storage;

/** Asks the browser not to clear this away when it needs room. Without an answer things stay as they are. */
export async function askToKeep(): Promise<void> {
  const storage = manager();
  try {
    if (storage && !(await storage.persisted())) await storage.persist();
  } catch {
    // Nothing is lost by that.
  }
}

/**
 * A private window keeps everything in memory: some browsers then offer less room than the memory they would use for it.
 * That is a sign, no proof, and where there is none nothing is said.
 */
export async function keptForNowOnly(): Promise<boolean> {
  const heap = (performance as { memory?: { jsHeapSizeLimit?: number } }).memory?.jsHeapSizeLimit;
  try {
    const { quota } = (await manager()?.estimate()) ?? {};
    return heap !== undefined && quota !== undefined && quota < heap;
  } catch {
    return false;
  }
}
