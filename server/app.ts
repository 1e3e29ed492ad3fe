import { existsSync } from 'node:fs';
import path from 'node:path';
import compression from 'compression';
import express, { type Express } from 'express';
import staticGzip from 'express-static-gzip';
import helmet from 'helmet';

/**
 * Serves the built application, and what is added to it: hashed assets for a year, the page never from a cache,
 * client-side routes as the page.
 * @param distDir the folder that `vite build` wrote
 * @param addRoutes what else it answers
 */
export function createApp(
  distDir: string,
  addRoutes: (app: Express) => void = () => undefined,
): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'none'"],
          scriptSrc: ["'self'"],
          // The component library writes <style> elements at run time.
          styleSrc: ["'self'", "'unsafe-inline'"],
          // Instructors' own pictures are shown from memory.
          imgSrc: ["'self'", 'data:', 'blob:'],
          fontSrc: ["'self'"],
          connectSrc: ["'self'"],
          workerSrc: ["'self'"],
          manifestSrc: ["'self'"],
          baseUri: ["'none'"],
          formAction: ["'self'"],
          frameAncestors: ["'none'"],
          objectSrc: ["'none'"],
        },
      },
      // A shop's server is reached by plain HTTP on its own network.
      strictTransportSecurity: false,
      // Both mean nothing there, and browsers complain of them; the page opens no other window.
      crossOriginOpenerPolicy: false,
      originAgentCluster: false,
      referrerPolicy: { policy: 'no-referrer' },
    }),
  );
  app.use((_req, res, next) => {
    res.set('Permissions-Policy', 'camera=(), microphone=(), geolocation=(), payment=(), usb=()');
    next();
  });
  app.use(compression());
  app.get('/healthz', (_req, res) => {
    res.set('Cache-Control', 'no-store').json({ status: 'ok' });
  });
  addRoutes(app);
  app.use(
    '/assets',
    staticGzip(path.join(distDir, 'assets'), {
      enableBrotli: true,
      orderPreference: ['br'],
      index: false,
      serveStatic: { immutable: true, maxAge: '1y' },
    }),
    (_req, res) => {
      // One that has gone since the start had its encoding named already.
      res.removeHeader('Content-Encoding');
      res.status(404).type('text').send('Not found');
    },
  );
  app.use(express.static(distDir, { index: false, dotfiles: 'ignore', maxAge: '1h' }));
  app.get('/{*route}', (req, res) => {
    // The id of a document may hold a dot; a file that is not there does not stand under these doors.
    const screen = /^\/(teach|learn)\//.test(req.path) || path.posix.extname(req.path) === '';
    if (!screen) res.status(404).type('text').send('Not found');
    else if (!existsSync(path.join(distDir, 'index.html')))
      res.status(503).type('text').send('Not built yet: run npm start');
    // From its folder: the way there may lead through one whose name begins with a dot.
    else res.set('Cache-Control', 'no-cache').sendFile('index.html', { root: distDir });
  });
  app.use((_req, res) => {
    res.status(405).set('Allow', 'GET, HEAD').type('text').send('Method not allowed');
  });
  app.use(refuseBadRequest);
  return app;
}

/** Malformed addresses end here: a short answer, no stack, nothing of the machine. */
const refuseBadRequest: express.ErrorRequestHandler = (error: unknown, _req, res, next) => {
  if (res.headersSent) {
    next(error);
    return;
  }
  const status = (error as { status?: unknown } | null)?.status;
  const code = typeof status === 'number' && status >= 400 && status < 500 ? status : 500;
  res
    .status(code)
    .type('text')
    .send(code === 500 ? 'Something went wrong' : 'Bad request');
};
