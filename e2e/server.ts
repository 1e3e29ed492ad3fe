import type { AddressInfo } from 'node:net';
import path from 'node:path';
import { createApp } from '../server/app';

/** The real server on the built application, on a free port. */
export async function startServer(): Promise<{ url: string; stop(): Promise<void> }> {
  const app = createApp(path.resolve('dist/web'));
  const server = await new Promise<ReturnType<typeof app.listen>>((resolve, reject) => {
    const s = app.listen(0, '127.0.0.1', (error?: Error) => (error ? reject(error) : resolve(s)));
  });
  return {
    url: `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
    async stop() {
      server.closeAllConnections();
      await new Promise((done) => server.close(done));
    },
  };
}
