import type { AddressInfo } from 'node:net';
import path from 'node:path';
import { addressesOf } from './addresses';
import { createApp } from './app';
import { portFrom } from './portFrom';
import { Rooms } from './rooms/rooms';
import { storeFrom } from './rooms/storeFrom';
import { addRoomRoutes, attachRooms } from './rooms/wire';
import { serverFor, SLOWEST_MS } from './serverFor';
import { tlsFrom } from './tlsFrom';

/** `npm start`: PORT, HOST and TLS from the environment; a busy port is told, not thrown. */
const port = portFrom(process.env['PORT']);
const host = process.env['HOST'] ?? '127.0.0.1';
if (port === null) {
  console.error(`PORT must be a whole number from 0 to 65535; it is "${process.env['PORT']}".`);
  process.exit(1);
}
const secured = tlsFrom(process.env);
if (!secured.ok) {
  console.error(secured.why);
  process.exit(1);
}
const { tls } = secured;

const dist = path.resolve(process.env['DIST'] ?? 'dist/web');
/** Rooms are kept, so that a class goes on where it was when the server comes back. */
const kept = await storeFrom(process.env).catch((error: Error) => {
  console.error(`Rooms can't be kept: ${error.message}`);
  process.exit(1);
});
const rooms = await Rooms.start(kept.store);
const urls = () => {
  const { port: bound } = server.address() as AddressInfo;
  return addressesOf(host).map((address) => `${tls ? 'https' : 'http'}://${address}:${bound}`);
};
const app = createApp(dist, (to) => addRoomRoutes(to, rooms, urls));
const server = serverFor(app, SLOWEST_MS, tls);
const live = attachRooms(server, rooms, kept.adapter);
server.on('error', (error: NodeJS.ErrnoException) => {
  console.error(
    error.code === 'EADDRINUSE'
      ? `Port ${port} is already in use. Stop the other program or choose another: PORT=3001 npm start`
      : `Fair Sprocket could not start: ${error.message}`,
  );
  process.exit(1);
});
server.listen(port, host, () => {
  for (const url of urls()) console.log(`Fair Sprocket is open at ${url}`);
});

for (const signal of ['SIGINT', 'SIGTERM'] as const)
  process.on(signal, () => {
    void live
      .close()
      .then(() => rooms.close().catch(() => undefined))
      .then(() => process.exit(0));
    server.closeIdleConnections();
    setTimeout(() => server.closeAllConnections(), 2000).unref();
  });
