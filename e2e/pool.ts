import { mkdirSync, rmSync } from 'node:fs';
import { browserOf, type Browser } from './browser';
import { downloadsOf, driverOf, startChromium, type Running } from './chromium';
import { startServer } from './server';

/**
 * One server, and one browser for each worker, that test files use one after the other: a browser that has met the
 * application before starts it in half the time. Each file finds it as on a first visit but for the browser's cache.
 */
interface Pool {
  readonly url: string;
  readonly browsers: readonly Running[];
}

const NAME = 'E2E_POOL';

/** @returns what ends it */
export async function startPool(workers: number): Promise<() => Promise<void>> {
  const server = await startServer();
  const started = await Promise.all(Array.from({ length: workers }, () => startChromium()));
  const pool: Pool = { url: server.url, browsers: started.map((s) => s.running) };
  process.env[NAME] = JSON.stringify(pool);
  return async () => {
    await Promise.all(started.map((s) => s.end()));
    await server.stop();
  };
}

const poolNow = (): Pool => JSON.parse(process.env[NAME] ?? '{"url":"","browsers":[]}') as Pool;

export const sharedUrl = (): string => poolNow().url;

/** This worker's browser as on a first visit; `quit` leaves it running. `null` where there is none. */
export async function sharedBrowser(): Promise<Browser | null> {
  const { url, browsers } = poolNow();
  const running = browsers[Number(process.env['JEST_WORKER_ID'] ?? 1) - 1];
  if (!running) return null;
  await asNew(running, url);
  return browserOf(running, () => Promise.resolve());
}

async function asNew(running: Running, origin: string): Promise<void> {
  const driver = driverOf(running);
  const [first, ...others] = await driver.getAllWindowHandles();
  for (const other of others) {
    await driver.switchTo().window(other);
    await driver.close();
  }
  await driver.switchTo().window(first!);
  // What belongs to the tab can only be let go at its address.
  if ((await driver.getCurrentUrl()).startsWith(origin))
    await driver.executeScript('sessionStorage.clear()');
  await driver.get('about:blank');
  await driver.sendDevToolsCommand('Storage.clearDataForOrigin', { origin, storageTypes: 'all' });
  rmSync(downloadsOf(running), { recursive: true, force: true });
  mkdirSync(downloadsOf(running));
  await driver.manage().logs().get('browser');
}
