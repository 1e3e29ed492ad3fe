import { mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { createApp } from '../server/app';
import { fileStore } from '../server/rooms/fileStore';
import { Rooms } from '../server/rooms/rooms';
import { addRoomRoutes, attachRooms } from '../server/rooms/wire';

/** The real server on the built application, on a free port; its rooms in a folder of their own, or in one that stays. */
export async function startServer({
  dist = path.resolve('dist/web'),
  port = 0,
  data = '',
} = {}): Promise<{
  url: string;
  port: number;
  stop(): Promise<void>;
}> {
  const own = data === '' ? mkdtempSync(path.join(tmpdir(), 'rooms-')) : null;
  const rooms = await Rooms.start(fileStore(own ?? data));
  const urlOf = () => `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  const app = createApp(dist, (to) => addRoomRoutes(to, rooms, () => [urlOf()]));
  const server = createServer(app);
  const live = attachRooms(server, rooms);
  await new Promise<void>((ready, fail) => {
    server.once('error', fail);
    server.listen(port, '127.0.0.1', ready);
  });
  return {
    url: urlOf(),
    port: (server.address() as AddressInfo).port,
    async stop() {
      server.closeAllConnections();
      // The socket server closes the other one with it.
      await live.close();
      await rooms.close();
      if (own !== null) rmSync(own, { recursive: true, force: true });
    },
  };
}
