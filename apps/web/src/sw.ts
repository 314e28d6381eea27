/// <reference lib="webworker" />
export type {};

declare const self: ServiceWorkerGlobalScope;
/** Of this build, from the bundler. */
declare const __BUILD__: string;

/** The shell is kept by the build's number, so that a new build is a new shell. */
const SHELL = `shell-${__BUILD__}`;

self.addEventListener('install', (event) => {
  event.waitUntil(
    (async () => {
      const files = (await (await fetch('/precache.json')).json()) as string[];
      const cache = await caches.open(SHELL);
      await cache.addAll(['/', '/noeval.js', '/icon.svg', ...files]);
      await self.skipWaiting();
    })(),
  );
});

self.addEventListener('activate', (event) => {
  event.waitUntil(
    (async () => {
      // The shell before this one stays: a page that is still open may fetch its parts from it.
      const shells = (await caches.keys()).filter((name) => name.startsWith('shell-')).sort();
      for (const name of shells.slice(0, -2)) await caches.delete(name);
      // Older versions kept documents here.
      await caches.delete('documents');
      await self.clients.claim();
    })(),
  );
});

self.addEventListener('fetch', (event) => {
  const { request } = event;
  const { pathname, origin } = new URL(request.url);
  if (request.method !== 'GET' || origin !== self.location.origin) return;
  // What the server says is kept by the page itself, in its one store.
  if (pathname.startsWith('/api/')) return;
  const page = request.mode === 'navigate';
  event.respondWith(
    (async () => {
      // The page itself from the kept shell: it is on the screen before the server has answered.
      const kept = page ? await (await caches.open(SHELL)).match('/') : await caches.match(request);
      return kept ?? fetch(request);
    })(),
  );
});
