import { clientsClaim } from 'workbox-core';
import { cleanupOutdatedCaches, createHandlerBoundToURL, precacheAndRoute } from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';

/* global EXPORTED_FILES */

/**
 * Keeps every file of the program, so that it opens without a network. A new version is fetched beside the
 * old one and takes its place when it is told to, or when all tabs of the program are closed: no page mixes the two.
 */
precacheAndRoute(EXPORTED_FILES, { directoryIndex: 'today.html' });
cleanupOutdatedCaches();
registerRoute(new NavigationRoute(createHandlerBoundToURL('/index.html')));
clientsClaim();
addEventListener('message', ({ data }) => {
  if (data?.type === 'SKIP_WAITING') void self.skipWaiting();
});
