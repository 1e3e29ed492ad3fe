import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { startRedis } from './startRedis';

/** How long a test waits for one thing: a machine that stands still for a while is no fault of the program's. */
export const PATIENCE_MS = 60_000;

/** Registers with the test runner: a folder and a Redis of this file's own, both there once its tests begin. */
export function places(): { readonly dir: string; readonly redisUrl: string } {
  let dir = '';
  let redis: Awaited<ReturnType<typeof startRedis>> | null = null;
  beforeAll(async () => {
    dir = mkdtempSync(path.join(tmpdir(), 'rooms-'));
    redis = await startRedis();
  }, PATIENCE_MS);
  afterAll(async () => {
    await redis?.end();
    rmSync(dir, { recursive: true, force: true });
  });
  return {
    get dir() {
      return dir;
    },
    get redisUrl() {
      return redis?.url ?? '';
    },
  };
}
