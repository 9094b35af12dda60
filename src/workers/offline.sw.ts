/// <reference lib="webworker" />
import { NetworkOnly, Serwist, type PrecacheEntry, type SerwistGlobalConfig, type SerwistPlugin } from 'serwist';

declare global {
  interface WorkerGlobalScope extends SerwistGlobalConfig {
    __SW_MANIFEST: (PrecacheEntry | string)[] | undefined;
  }
}
declare const self: ServiceWorkerGlobalScope;

/**
 * The app without a network: every page, script, font and worker of one version, fetched on the first visit and used from
 * then on. Another version waits until the person takes it; then all of it is used, never two versions mixed.
 */

/** The bundler tells a worker its parts in the address behind `#`, which the address of a kept answer would drop. */
const keepFragment: SerwistPlugin = {
  async cachedResponseWillBeUsed({ cachedResponse: kept }) {
    if (!kept || !kept.url.includes('turbopack-worker')) return kept;
    return new Response(kept.body, { status: kept.status, statusText: kept.statusText, headers: kept.headers });
  },
};

const app = new Serwist({
  precacheEntries: self.__SW_MANIFEST,
  precacheOptions: {
    cleanupOutdatedCaches: true,
    // A project is named behind the `?`; its page is the same. What the router fetches in parts is no page.
    ignoreURLParametersMatching: [/^(?!_rsc$)/],
    plugins: [keepFragment],
  },
  skipWaiting: false,
  clientsClaim: true,
  navigationPreload: false,
  // An address at which nothing is kept is asked of the network.
  runtimeCaching: [{ matcher: ({ request }) => request.mode === 'navigate', handler: new NetworkOnly() }],
  // Each a megabyte or two at most, from the same server: few at a time leave it free for the page.
  precacheConcurrency: 6,
} as ConstructorParameters<typeof Serwist>[0]);

/** What is said where a page should be. It holds nothing of the app, of which nothing may be here. */
const instead = (sentence: string): Response =>
  new Response(
    `<!doctype html><html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>Tuck Fold</title><style>body{margin:18vh auto;max-width:30em;padding:0 1.5em;font:18px/1.6 sans-serif;color:#2a211a;background:#e9e2d3}a{color:#14506b}@media(prefers-color-scheme:dark){body{color:#eee4d6;background:#211c18}a{color:#8fc4d8}}</style><p>${sentence}</p><p><a href="/">To the shelf</a></p></html>`,
    { status: 503, headers: { 'Content-Type': 'text/html; charset=utf-8' } },
  );

app.setCatchHandler(async ({ request }) => {
  if (request.mode !== 'navigate') return Response.error();
  return app.getPrecacheKeyForUrl(new URL(request.url).pathname) === undefined
    ? instead('There is no connection, and nothing is kept here for this address.')
    : instead(
        'This page is not here yet: open it again once there is a connection. What you made is kept, and nothing of it is missing.',
      );
});

/** Fetched at once, so many. */
const AT_ONCE = 6;

/**
 * What is missing of what is kept is fetched again: a browser short of room, or a broken disk, may have taken some of it. Only
 * what is of this version is put there; a newer one comes as a whole, when it is taken.
 */
async function heal(): Promise<void> {
  const cache = await caches.open(app.precacheStrategy.cacheName);
  const there = new Set((await cache.keys()).map(({ url }) => url));
  const missing = app.getPrecachedUrls().flatMap((url) => {
    const key = app.getPrecacheKeyForUrl(url);
    return key && !there.has(key) ? [{ url, key }] : [];
  });
  const fetchAll = async (): Promise<void> => {
    for (let next = missing.pop(); next; next = missing.pop()) {
      const answer = await fetch(next.url, { cache: 'reload', credentials: 'same-origin' });
      const revision = new URL(next.key).searchParams.get('__WB_REVISION__');
      if (answer.ok && (revision === null || revision === (await revisionOf(answer.clone()))))
        await cache.put(next.key, answer);
    }
  };
  await Promise.all(Array.from({ length: AT_ONCE }, fetchAll));
}

/** The same that the build worked out of each page: the beginning of its SHA-256. */
async function revisionOf(answer: Response): Promise<string> {
  const sum = new Uint8Array(await crypto.subtle.digest('SHA-256', await answer.arrayBuffer()));
  return [...sum.slice(0, 8)].map((byte) => byte.toString(16).padStart(2, '0')).join('');
}

self.addEventListener('message', (event) => {
  // Where it fails there is no connection: it is asked again when there is.
  if ((event.data as { readonly type?: unknown } | null)?.type === 'HEAL')
    event.waitUntil(heal().catch(() => undefined));
});
app.addEventListeners();
