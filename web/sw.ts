/// <reference lib="webworker" />
import { clientsClaim } from 'workbox-core';
import { cleanupOutdatedCaches, createHandlerBoundToURL, precacheAndRoute } from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';

declare const self: ServiceWorkerGlobalScope;
/** Every file of the interface with a digest of it where its name has none; the build puts it in. */
declare const __KEPT_FILES__: { url: string; revision: string | null }[];

// The whole interface is there without a network; records are kept by the page itself, sealed. A new version waits until it is
// asked for: no session is reloaded while in use.
self.addEventListener('message', ({ data }) => {
  if (data?.type === 'SKIP_WAITING') void self.skipWaiting();
});
clientsClaim();
cleanupOutdatedCaches();
precacheAndRoute(__KEPT_FILES__);
registerRoute(new NavigationRoute(createHandlerBoundToURL('index.html'), { denylist: [/^\/api\//] }));
