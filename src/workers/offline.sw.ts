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

app.setCatchHandler(async ({ request }) =>
  request.mode === 'navigate'
    ? new Response(
        '<!doctype html><meta charset="utf-8"><title>Tuck Fold</title><p>There is nothing at this address, or no connection to look. <a href="/">To the shelf</a></p>',
        { status: 404, headers: { 'Content-Type': 'text/html; charset=utf-8' } },
      )
    : Response.error(),
);
app.addEventListeners();
