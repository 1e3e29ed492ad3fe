import localforage from 'localforage';
import type { KeyValueStore } from './keyValueStore';

/** The browser's own database. */
export function browserStore(): KeyValueStore {
  const forage = localforage.createInstance({ name: 'fair-sprocket', storeName: 'documents' });
  return {
    get: (key) => forage.getItem(key),
    set: async (key, value) => {
      await forage.setItem(key, value);
    },
    remove: (key) => forage.removeItem(key),
    keys: () => forage.keys(),
  };
}
