/**
 * The one interface to what the browser keeps. Values are structured-clonable; a test uses memory.
 * Every call may fail (storage refused, full, or taken away): callers tell the user.
 */
export interface KeyValueStore {
  get(key: string): Promise<unknown>;
  set(key: string, value: unknown): Promise<void>;
  remove(key: string): Promise<void>;
  keys(): Promise<string[]>;
}

export function memoryStore(initial: Readonly<Record<string, unknown>> = {}): KeyValueStore {
  const values = new Map<string, unknown>(Object.entries(initial));
  return {
    get: (key) => Promise.resolve(structuredClone(values.get(key)) ?? null),
    set: (key, value) => {
      values.set(key, structuredClone(value));
      return Promise.resolve();
    },
    remove: (key) => {
      values.delete(key);
      return Promise.resolve();
    },
    keys: () => Promise.resolve([...values.keys()]),
  };
}
