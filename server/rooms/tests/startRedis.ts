import { spawn } from 'node:child_process';
import { createServer, type AddressInfo } from 'node:net';

const freePort = (): Promise<number> =>
  new Promise((done) => {
    const taker = createServer().listen(0, '127.0.0.1', () => {
      const { port } = taker.address() as AddressInfo;
      taker.close(() => done(port));
    });
  });

/** A Redis of this machine that keeps nothing on the disk. @param port left out, a free one */
export async function startRedis(
  port?: number,
): Promise<{ port: number; url: string; end(): Promise<void> }> {
  const at = port ?? (await freePort());
  const args = ['--port', String(at), '--bind', '127.0.0.1', '--save', '', '--appendonly', 'no'];
  const child = spawn(process.env['REDIS_SERVER'] ?? 'redis-server', args);
  const ended = new Promise<void>((done) => child.once('exit', () => done()));
  await new Promise<void>((ready, fail) => {
    child.once('error', fail);
    child.once('exit', (code) => fail(new Error(`redis-server ended with ${code}`)));
    child.stdout.on('data', (said: Buffer) => {
      if (said.includes('Ready to accept connections')) ready();
    });
  });
  return {
    port: at,
    url: `redis://127.0.0.1:${at}`,
    end: () => {
      child.kill('SIGKILL');
      return ended;
    },
  };
}
