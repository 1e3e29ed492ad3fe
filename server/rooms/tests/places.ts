import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { startRedis } from './startRedis';

/** Registers with the test runner: a folder and a Redis of this file's own, both there once its tests begin. */
export function places(): { readonly dir: string; readonly redisUrl: string } {
  let dir = '';
  let redis: Awaited<ReturnType<typeof startRedis>> | null = null;
  beforeAll(async () => {
    dir = mkdtempSync(path.join(tmpdir(), 'rooms-'));
    redis = await startRedis();
  }, 30_000);
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
