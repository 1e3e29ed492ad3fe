import { createServer, type RequestListener, type Server } from 'node:http';
import { createServer as createSecureServer } from 'node:https';
import type { Tls } from './tlsFrom';

/** A client that has not finished its request by then, or takes nothing for so long, is let go of, ms. */
export const SLOWEST_MS = 20_000;

/**
 * A server that slow clients can't hold on to.
 * @param slowestMs see `SLOWEST_MS`
 * @param tls `null` for plain HTTP
 */
export function serverFor(app: RequestListener, slowestMs: number, tls: Tls | null = null): Server {
  const patience = {
    headersTimeout: slowestMs,
    requestTimeout: slowestMs,
    connectionsCheckingInterval: Math.max(100, slowestMs / 10),
  };
  const server = tls
    ? createSecureServer({ ...patience, ...tls, handshakeTimeout: slowestMs }, app)
    : createServer(patience, app);
  server.setTimeout(slowestMs, (socket) => socket.destroy());
  return server;
}
