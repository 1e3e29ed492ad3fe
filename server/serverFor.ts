import { createServer, type RequestListener, type Server } from 'node:http';

/** A client that has not finished its request by then, or takes nothing for so long, is let go of, ms. */
export const SLOWEST_MS = 20_000;

/** A server that slow clients can't hold on to. @param slowestMs see `SLOWEST_MS` */
export function serverFor(app: RequestListener, slowestMs: number): Server {
  const server = createServer(
    {
      headersTimeout: slowestMs,
      requestTimeout: slowestMs,
      connectionsCheckingInterval: Math.max(100, slowestMs / 10),
    },
    app,
  );
  server.setTimeout(slowestMs, (socket) => socket.destroy());
  return server;
}
