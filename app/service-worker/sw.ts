/// <reference lib="webworker" />
import { ExpirationPlugin } from 'workbox-expiration'
import { cleanupOutdatedCaches, precacheAndRoute, type PrecacheEntry } from 'workbox-precaching'
import { NavigationRoute, registerRoute } from 'workbox-routing'
import { CacheFirst } from 'workbox-strategies'

/**
 * Lets the program start without a network: its scripts, and one page as the server sends it, which every view begins from. What
 * the server tells of lawns is no affair of this worker: the program keeps that itself, and forgets it when somebody signs out.
 */
declare const self: ServiceWorkerGlobalScope & { __WB_MANIFEST: (PrecacheEntry | string)[] }

/** The page goes with the scripts it was built with; a new build brings its own. */
const SHELL_CACHE = 'shell'
const SHELL_PATH = '/lawns'
/** A server that does not answer by then is taken for none. */
const PATIENCE_MS = 6000

precacheAndRoute(self.__WB_MANIFEST)
cleanupOutdatedCaches()
self.addEventListener('install', (event) => {
  event.waitUntil(
    (async () => {
      const page = await fetch(SHELL_PATH, { cache: 'reload' })
      if (!page.ok) throw new Error(`The page could not be kept: ${page.status}.`)
      await (await caches.open(SHELL_CACHE)).put(SHELL_PATH, page)
    })(),
  )
})

/** The page of the server, or the one that was kept. Its policy came with it, so that its scripts may run. */
async function page(request: Request): Promise<Response> {
  try {
    return await fetch(request, { signal: AbortSignal.timeout(PATIENCE_MS) })
  } catch (error) {
    const kept = await (await caches.open(SHELL_CACHE)).match(SHELL_PATH)
    if (!kept) throw error
    return kept
  }
}
registerRoute(
  new NavigationRoute(({ request }) => page(request), {
    // Pictures, files and the doors of the server are no views.
    denylist: [/^\/(api|demo|standin|healthz|readyz|_nuxt)(\/|$)/],
  }),
)

// Large parts (charts, plans, the maker of PDFs) are kept once they were used.
registerRoute(
  ({ url }) => url.origin === self.location.origin && url.pathname.startsWith('/_nuxt/'),
  new CacheFirst({ cacheName: 'parts', plugins: [new ExpirationPlugin({ maxEntries: 60 })] }),
)
