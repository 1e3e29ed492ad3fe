/// <reference lib="webworker" />
import { cacheNames, clientsClaim } from 'workbox-core';
import {
  cleanupOutdatedCaches,
  createHandlerBoundToURL,
  precacheAndRoute,
} from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';
import { keepOlder, OLDER } from './older';

declare const self: ServiceWorkerGlobalScope & {
  __WB_MANIFEST: { url: string; revision: string | null }[];
};

/**
 * The application without its server: every screen and every part comes from what this build brought. The next build waits
 * beside it until somebody asks for it, and leaves what older pages may still need.
 */
const files = self.__WB_MANIFEST;
self.addEventListener('install', (event) =>
  event.waitUntil(keepOlder(caches, cacheNames.precache, files)),
);
self.addEventListener('message', ({ data }: { data: unknown }) => {
  if ((data as { type?: unknown } | null)?.type === 'SKIP_WAITING') void self.skipWaiting();
});
precacheAndRoute(files);
cleanupOutdatedCaches();
clientsClaim();
registerRoute(
  new NavigationRoute(createHandlerBoundToURL('/index.html'), {
    denylist: [/^\/healthz$/, /^\/one-page-/],
  }),
);
registerRoute(
  ({ url, sameOrigin }) => sameOrigin && url.pathname.startsWith('/assets/'),
  async ({ request }) => (await caches.match(request, { cacheName: OLDER })) ?? fetch(request),
);
