/**
 * Lets the application open without a connection: its own files are kept by a worker of the browser. What was loaded
 * before the worker was there is told to it.
 */
export async function keepShell(): Promise<void> {
  if (!('serviceWorker' in navigator)) return
  try {
    await navigator.serviceWorker.register('/sw.js')
    const { active } = await navigator.serviceWorker.ready
    const loaded = performance.getEntriesByType('resource').map((entry) => entry.name)
    active?.postMessage({ keep: ['/', ...loaded] })
  } catch {
    // a browser that keeps nothing works as before, with a connection
  }
}
