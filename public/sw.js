// Keeps the application's own files, so that it opens without a connection. What people write is not its business:
// pages keep that themselves, and addresses under /api are never answered from here.

const FILES = 'files-1'
const SHELL = '/'
const MOST_FILES = 400

self.addEventListener('install', () => {
  self.skipWaiting()
})

self.addEventListener('activate', (event) => {
  event.waitUntil(self.clients.claim())
})

// a page tells what it loaded before this worker was there
self.addEventListener('message', (event) => {
  if (Array.isArray(event.data?.keep)) event.waitUntil(keepAll(event.data.keep))
})

self.addEventListener('fetch', (event) => {
  const { request } = event
  const url = new URL(request.url)
  if (request.method !== 'GET' || url.origin !== self.location.origin) return
  if (url.pathname.startsWith('/api/')) return
  if (request.mode === 'navigate') event.respondWith(pageFor(request))
  else if (isFile(url)) event.respondWith(fileFor(request))
})

/** Files of a build carry their content's hash in their name and never change. */
function isFile(url) {
  return url.pathname.startsWith('/_nuxt/') || /^\/cairn[\w-]*\.(svg|png)$/.test(url.pathname)
}

/** Every page is the same shell; the latest that came stands in for all of them while there is no connection. */
async function pageFor(request) {
  const cache = await caches.open(FILES)
  try {
    const reply = await fetch(request)
    const isPage = reply.ok && (reply.headers.get('content-type') ?? '').startsWith('text/html')
    if (isPage) await cache.put(SHELL, reply.clone())
    return reply
  } catch (error) {
    const kept = await cache.match(SHELL)
    if (kept) return kept
    throw error
  }
}

async function fileFor(request) {
  const cache = await caches.open(FILES)
  const kept = await cache.match(request)
  if (kept) return kept
  const reply = await fetch(request)
  if (reply.ok) {
    await cache.put(request, reply.clone())
    await forgetOldest(cache)
  }
  return reply
}

async function keepAll(addresses) {
  const cache = await caches.open(FILES)
  for (const address of addresses) {
    const url = new URL(address, self.location.origin)
    const isOurs = url.origin === self.location.origin && (isFile(url) || url.pathname === SHELL)
    if (isOurs && !(await cache.match(url.pathname))) await cache.add(url.pathname).catch(() => undefined)
  }
}

/** Builds come and go: the files that were kept first go first. */
async function forgetOldest(cache) {
  const kept = await cache.keys()
  for (const request of kept.slice(0, Math.max(0, kept.length - MOST_FILES))) await cache.delete(request)
}
