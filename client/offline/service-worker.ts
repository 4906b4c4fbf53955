import { matchPrecache, precacheAndRoute } from 'workbox-precaching'
import { NavigationRoute, registerRoute } from 'workbox-routing'
import { NetworkFirst } from 'workbox-strategies'
import { KEPT_ANSWERS, isKept } from './kept.ts'

/** Every file of the built page, put in by the build. */
declare const __SHELL__: readonly { readonly url: string; readonly revision: string | null }[]

const PATIENCE_S = 4

precacheAndRoute([...__SHELL__])

// The newest page while the shop answers, so that one reload is enough after an update; the kept one without it.
registerRoute(
  new NavigationRoute(
    async ({ request }) => fetch(request).catch(async () => (await matchPrecache('/index.html')) ?? Response.error()),
    { denylist: [/^\/api\//] },
  ),
)

/** What was last read of tickets and shelves answers where the network does not. */
const kept = new NetworkFirst({ cacheName: KEPT_ANSWERS, networkTimeoutSeconds: PATIENCE_S })
registerRoute(({ url, sameOrigin }) => sameOrigin && isKept(url.pathname), kept)

/** A saved ticket is kept as it was saved. */
registerRoute(
  ({ url, sameOrigin }) => sameOrigin && isKept(url.pathname),
  async ({ request }) => {
    const answer = await fetch(request)
    if (answer.ok) await (await caches.open(KEPT_ANSWERS)).put(request.url, answer.clone())
    return answer
  },
  'PUT',
)
