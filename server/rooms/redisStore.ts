import { createClient } from 'redis';
import { ROOM_LIFE_MS, type RoomStore } from './store';

const PREFIX = 'fair-sprocket:room:';
const LIST = 'fair-sprocket:rooms';
const keyOf = (code: string) => PREFIX + code;
/** The nth line of a room has this id in its stream: Redis takes no id twice, and none out of order. */
const idOf = (n: number) => `${n}-0`;
const isTaken = (error: unknown): boolean =>
  error instanceof Error && /equal or smaller/.test(error.message);

/** A connection that mends itself; while it is away, commands fail instead of waiting. */
const connection = (url: string, mends: () => boolean) =>
  createClient({
    url,
    disableOfflineQueue: true,
    socket: { reconnectStrategy: (tries) => (mends() ? Math.min(100 * tries, 2000) : false) },
  });
export type RedisClient = ReturnType<typeof connection>;

/**
 * @param onTrouble hears of each loss
 * @throws Error when nothing answers there at first
 */
export async function redisAt(
  url: string,
  onTrouble: (error: Error) => void = () => undefined,
): Promise<RedisClient> {
  let connected = false;
  const client = connection(url, () => connected);
  client.on('error', (error: Error) => {
    if (connected) onTrouble(error);
  });
  await client.connect();
  connected = true;
  return client;
}

/**
 * Rooms as streams of one Redis, for as many processes as a school has. A room's stream ends by itself with the room's day.
 * What Redis acknowledges is as safe as it is set to be: `appendonly yes` with `appendfsync always` loses nothing.
 */
export function redisStore(client: RedisClient): RoomStore {
  return {
    codes: () => client.zRange(LIST, 0, -1),
    async create(code, line) {
      try {
        await client.xAdd(keyOf(code), idOf(1), { line: JSON.stringify(line) });
      } catch (error) {
        if (isTaken(error)) return false;
        throw error;
      }
      const now = Date.now();
      await client
        .multi()
        .pExpire(keyOf(code), ROOM_LIFE_MS)
        .zRemRangeByScore(LIST, 0, now - ROOM_LIFE_MS)
        .zAdd(LIST, { score: now, value: code })
        .exec();
      return true;
    },
    async append(code, at, line) {
      try {
        const id = await client.xAddNoMkStream(keyOf(code), idOf(at + 1), {
          line: JSON.stringify(line),
        });
        return id === null ? 'gone' : 'kept';
      } catch (error) {
        if (isTaken(error)) return 'behind';
        throw error;
      }
    },
    async after(code, at) {
      // The last one known is asked for too: where it is not there, neither is the room.
      const from = Math.max(1, at);
      const found = (await client.xRange(keyOf(code), idOf(from), '+')) ?? [];
      if (found.length === 0) return null;
      return found
        .slice(at === 0 ? 0 : 1)
        .map(({ message }) => JSON.parse(message['line'] ?? 'null') as unknown);
    },
    async remove(code) {
      await client.multi().del(keyOf(code)).zRem(LIST, code).exec();
    },
    close: () => client.close(),
  };
}
