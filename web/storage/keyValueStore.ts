/**
 * The one interface to what the browser keeps. Values are structured-clonable; a test uses memory.
 * Every call may fail (storage refused, full, or taken away): callers tell the user.
 */
export interface KeyValueStore {
  get(key: string): Promise<unknown>;
  set(key: string, value: unknown): Promise<void>;
  remove(key: string): Promise<void>;
  keys(): Promise<string[]>;
  /**
   * Reads, decides and writes as one step: no other tab can write in between.
   * @param decide at once, from what is stored (`null` where nothing is)
   */
  change<R>(key: string, decide: (stored: unknown) => Decision<R>): Promise<R>;
}

/** What becomes of a value, and what the caller is told. */
export type Decision<R> =
  | { readonly do: 'write'; readonly value: unknown; readonly result: R }
  | { readonly do: 'remove'; readonly result: R }
  | { readonly do: 'nothing'; readonly result: R };

export function memoryStore(initial: Readonly<Record<string, unknown>> = {}): KeyValueStore {
  const values = new Map<string, unknown>(Object.entries(initial));
  const read = (key: string): unknown => structuredClone(values.get(key)) ?? null;
  return {
    get: (key) => Promise.resolve(read(key)),
    set: (key, value) => {
      values.set(key, structuredClone(value));
      return Promise.resolve();
    },
    remove: (key) => {
      values.delete(key);
      return Promise.resolve();
    },
    keys: () => Promise.resolve([...values.keys()]),
    change: (key, decide) => {
      const decision = decide(read(key));
      if (decision.do === 'write') values.set(key, structuredClone(decision.value));
      if (decision.do === 'remove') values.delete(key);
      return Promise.resolve(decision.result);
    },
  };
}
