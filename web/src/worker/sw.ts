/// <reference lib="webworker" />
import { clientsClaim } from 'workbox-core';
import { cleanupOutdatedCaches, createHandlerBoundToURL, precacheAndRoute } from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';

declare const self: ServiceWorkerGlobalScope;

/** So long a page may take, before the kept one is shown; what it then asks for may take longer. */
const PATIENCE_MS = 4000;

void self.skipWaiting();
clientsClaim();
// A page that was on its way while this one took over asks for it.
self.addEventListener('message', (event) => {
  if (event.data === 'claim') event.waitUntil(self.clients.claim());
});
cleanupOutdatedCaches();
precacheAndRoute(self.__WB_MANIFEST);

const kept = createHandlerBoundToURL('/shell');
const late = () => new Promise<undefined>((resolve) => setTimeout(resolve, PATIENCE_MS));

/** Pages come from the server while it answers in time, else the kept one, which shows what is known. */
registerRoute(
  new NavigationRoute(
    async (options) => {
      const answer = await Promise.race([fetch(options.request).catch(() => undefined), late()]);
      return answer !== undefined && answer.status < 500 ? answer : kept(options);
    },
    { denylist: [/^\/(api|build|mailbox|calendar|up|metrics|trust)(\/|$)/] },
  ),
);
