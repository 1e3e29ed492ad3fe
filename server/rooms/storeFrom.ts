import path from 'node:path';
import type { ServerOptions } from 'socket.io';
import { fileStore } from './fileStore';
import type { RoomStore } from './store';

/** Where rooms are kept, and how the processes that share them hear of each other. */
export interface Kept {
  readonly store: RoomStore;
  readonly adapter?: ServerOptions['adapter'];
}

/**
 * With `REDIS_URL`, in a Redis that several processes share; else in the folder `DATA`, for this process alone.
 * @throws Error when Redis does not answer, or the folder can't be made
 */
export async function storeFrom(env: Record<string, string | undefined>): Promise<Kept> {
  const { REDIS_URL: url, DATA: dir = 'data' } = env;
  return url ? redisKept(url) : { store: fileStore(path.resolve(dir)) };
}

async function redisKept(url: string): Promise<Kept> {
  // For one process none of this is read.
  const [{ createAdapter }, { redisAt, redisStore }] = await Promise.all([
    import('@socket.io/redis-streams-adapter'),
    import('./redisStore'),
  ]);
  let told = 0;
  const onTrouble = ({ message }: Error) => {
    if (Date.now() - told < 60_000) return;
    told = Date.now();
    console.error(`Redis does not answer: ${message}`);
  };
  // The adapter waits in its connection for what others say.
  const [own, between] = await Promise.all([redisAt(url, onTrouble), redisAt(url, onTrouble)]);
  const store = redisStore(own);
  return {
    store: {
      ...store,
      async close() {
        await Promise.all([own.close(), between.close()]);
      },
    },
    adapter: createAdapter(between) as ServerOptions['adapter'],
  };
}
