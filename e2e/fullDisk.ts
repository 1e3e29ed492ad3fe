import { cpSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { Browser } from './browser';
import { startServer } from './server';

/** The built application on a disk that is full from when it is told so. */
export interface FullDisk {
  readonly url: string;
  /** From now on there is no room for anything. */
  fill(b: Browser): Promise<void>;
  /** How often something was to be written for all that. */
  tries(b: Browser): Promise<number>;
  stop(): Promise<void>;
}

const CHANNEL = 'disk';

/** Goes before what keeps documents, in its worker. */
const IN_WORKER = `
const disk = new BroadcastChannel('${CHANNEL}');
let tries = 0;
disk.onmessage = ({ data }) => {
  if (data === 'fill')
    IDBObjectStore.prototype.put = () => {
      tries += 1;
      throw new DOMException('no space left', 'QuotaExceededError');
    };
  disk.postMessage(tries);
};
`;

/** Word from the worker to what was said to it. */
const ask = (b: Browser, said: 'fill' | 'tries'): Promise<number> =>
  b.driver.executeAsyncScript<number>(
    `const [channel, said, done] = arguments;
     const disk = new BroadcastChannel(channel);
     disk.onmessage = ({ data }) => { disk.close(); done(data); };
     disk.postMessage(said);`,
    CHANNEL,
    said,
  );

export async function startFullDisk(): Promise<FullDisk> {
  const dist = mkdtempSync(path.join(tmpdir(), 'full-disk-'));
  cpSync('dist/web', dist, { recursive: true });
  const assets = path.join(dist, 'assets');
  const name = readdirSync(assets).find((f) => /^documents\.worker-.*\.js$/.test(f));
  if (!name) throw new Error('startFullDisk: expected the worker that keeps documents');
  const file = path.join(assets, name);
  writeFileSync(file, IN_WORKER + readFileSync(file, 'utf8'));
  rmSync(`${file}.br`, { force: true });
  const server = await startServer({ dist });
  return {
    url: server.url,
    fill: async (b) => void (await ask(b, 'fill')),
    tries: (b) => ask(b, 'tries'),
    async stop() {
      await server.stop();
      rmSync(dist, { recursive: true, force: true });
    },
  };
}
