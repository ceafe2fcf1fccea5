import { cleanupOutdatedCaches, createHandlerBoundToURL, precacheAndRoute } from 'workbox-precaching'
import { NavigationRoute, registerRoute } from 'workbox-routing'
import { NetworkFirst } from 'workbox-strategies'
import { isKept, KEPT_ANSWERS } from './kept.ts'

// Stands between the pages and the network: the program itself comes from what was stored when it was first loaded, and
// what a rig needs from the last answer the server gave, where the server can't be reached.

declare const self: ServiceWorkerGlobalScope
/** Every file of the program with its fingerprint; put in when it is built. */
declare const __FILES__: readonly { readonly url: string; readonly revision: string | null }[]

/** A server that does not answer for so long is taken for one that can't be reached. s */
const PATIENCE_S = 8

precacheAndRoute([...__FILES__])
cleanupOutdatedCaches()
registerRoute(
  new NavigationRoute(createHandlerBoundToURL('/index.html'), { denylist: [/^\/(?:api|pair)\b/, /\.\w+$/] }),
)
registerRoute(
  ({ url, request, sameOrigin }) => sameOrigin && request.method === 'GET' && isKept(url.pathname),
  new NetworkFirst({ cacheName: KEPT_ANSWERS, networkTimeoutSeconds: PATIENCE_S }),
)

/** Fetches what is not kept yet, so that a rig opened once needs no network any more. */
const keep = async (paths: readonly string[]): Promise<boolean> => {
  const cache = await caches.open(KEPT_ANSWERS)
  const all = await Promise.all(
    paths.map(async (path) => {
      if (await cache.match(path)) return true
      const answer = await fetch(path)
      if (!answer.ok) return false
      await cache.put(path, answer)
      return true
    }),
  )
  return all.every(Boolean)
}

self.addEventListener('message', (event) => {
  const asked = event.data as { type?: string; paths?: readonly string[] }
  // A new version waits until somebody says so: nothing is pulled away under the hands.
  if (asked.type === 'SKIP_WAITING') void self.skipWaiting()
  if (asked.type === 'KEEP')
    event.waitUntil(
      keep((asked.paths ?? []).filter(isKept)).then(
        (isAll) => event.ports[0]?.postMessage(isAll),
        () => event.ports[0]?.postMessage(false),
      ),
    )
})
// The first one takes the open page over at once.
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()))
