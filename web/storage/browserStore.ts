import { openDB, type IDBPDatabase } from 'idb';
import localforage from 'localforage';
import type { KeyValueStore } from './keyValueStore';

const DATABASE = 'fair-sprocket';
const STORE = 'documents';

/**
 * The browser's own database, and nothing else: where it is refused, every call fails, and the user is told. What is read
 * and written in one step goes through a transaction, which needs no lock and so works over plain http too.
 */
export function browserStore(): KeyValueStore {
  const forage = localforage.createInstance({
    name: DATABASE,
    storeName: STORE,
    driver: localforage.INDEXEDDB,
  });
  let open: Promise<IDBPDatabase> | null = null;
  const database = (): Promise<IDBPDatabase> => {
    open ??= forage.ready().then(() =>
      openDB(DATABASE, undefined, {
        // Another tab may need a newer database, or the browser takes this one away: it is opened again when needed.
        blocking: (_current, _blocked, event) => {
          (event.target as IDBDatabase).close();
          open = null;
        },
        terminated: () => (open = null),
      }),
    );
    open.catch(() => (open = null));
    return open;
  };
  return {
    get: (key) => forage.getItem(key),
    set: async (key, value) => void (await forage.setItem(key, value)),
    remove: (key) => forage.removeItem(key),
    keys: () => forage.keys(),
    async change(key, decide) {
      const transaction = (await database()).transaction(STORE, 'readwrite');
      const { store } = transaction;
      const decision = decide((await store.get(key)) ?? null);
      if (decision.do === 'write') await store.put(decision.value, key);
      if (decision.do === 'remove') await store.delete(key);
      await transaction.done;
      return decision.result;
    },
  };
}
