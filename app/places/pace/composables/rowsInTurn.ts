import { onBeforeUnmount, ref, watch } from 'vue'
import type { Ref } from 'vue'

/** Rows of the desk's height; lower ones come more at a time. */
const USUAL = { first: 8, batch: 6 }
/** Not every browser says when it is idle; then a pause long enough for a frame or two. */
const PAUSE_MS = 60
const MOST_MS = 1000

/**
 * Draws the rows of a long list in turn: those around `centre` at once (half as many before it as behind), the
 * others outward from it while the browser is idle, so that the first look does not wait for what is out of sight.
 * In the end all are there. Rows hold their place meanwhile.
 */
export function useRowsInTurn(
  count: Ref<number>,
  centre: Ref<number>,
  { first, batch }: { readonly first: number; readonly batch: number } = USUAL,
) {
  const reach = ref(first)
  const isDrawn = (index: number) =>
    index <= centre.value + reach.value && index >= centre.value - reach.value / 2
  let cancel = () => {}
  function more(): void {
    reach.value += batch
    if (reach.value < count.value * 2) cancel = whenIdle(more)
  }
  watch(
    count,
    (now) => {
      cancel()
      if (reach.value < now * 2) cancel = whenIdle(more)
    },
    { immediate: true },
  )
  onBeforeUnmount(() => cancel())
  return { isDrawn }
}

function whenIdle(act: () => void): () => void {
  if (typeof requestIdleCallback !== 'function') {
    const timer = setTimeout(act, PAUSE_MS)
    return () => clearTimeout(timer)
  }
  const handle = requestIdleCallback(act, { timeout: MOST_MS })
  return () => cancelIdleCallback(handle)
}
