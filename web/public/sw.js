// Lets a page that was open be opened again while the server is away: the page and the scripts that it has used are kept.
// Nothing of the shop is kept here; what was read of it stands in the browser's own store.
const NAME = 'nubrin-page-1'
const MOST = 300
const WAIT_MS = 4000

self.addEventListener('install', (e) => {
  e.waitUntil(
    caches
      .open(NAME)
      .then((c) => c.add('/'))
      .then(() => self.skipWaiting()),
  )
})
self.addEventListener('activate', (e) => {
  e.waitUntil(
    caches
      .keys()
      .then((names) => Promise.all(names.filter((n) => n !== NAME).map((n) => caches.delete(n))))
      .then(() => self.clients.claim()),
  )
})
const keep = async (request, response) => {
  if (!response.ok) return
  const cache = await caches.open(NAME)
  await cache.put(request, response)
  const keys = await cache.keys()
  for (const old of keys.filter((k) => k.url.includes('/assets/')).slice(0, Math.max(0, keys.length - MOST)))
    await cache.delete(old)
}
// What was loaded before this worker was there. A page that was on its way while it became active is not yet its own.
self.addEventListener('message', (e) => {
  e.waitUntil(self.clients.claim())
  const urls = (e.data?.urls ?? []).filter((u) => new URL(u).origin === self.location.origin && new URL(u).pathname.startsWith('/assets/'))
  e.waitUntil(
    caches.open(NAME).then((c) => Promise.all(urls.map(async (u) => (await c.match(u)) || c.add(u).catch(() => {})))),
  )
})
self.addEventListener('fetch', (e) => {
  const { request } = e
  const url = new URL(request.url)
  if (request.method !== 'GET' || url.origin !== self.location.origin || url.pathname.startsWith('/api/')) return
  if (request.mode === 'navigate') {
    const fresh = fetch(request, { signal: AbortSignal.timeout(WAIT_MS) }).then((r) => {
      if (r.ok && (r.headers.get('content-type') ?? '').includes('text/html')) e.waitUntil(keep('/', r.clone()))
      return r
    })
    e.respondWith(fresh.catch(async () => (await caches.match('/')) ?? Response.error()))
  } else if (url.pathname.startsWith('/assets/'))
    e.respondWith(
      caches.match(request).then(
        (there) =>
          there ??
          fetch(request).then((r) => {
            e.waitUntil(keep(request, r.clone()))
            return r
          }),
      ),
    )
})
