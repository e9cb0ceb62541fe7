import { watchDebounced } from '@vueuse/core'
import { computed, ref, shallowRef, watch } from 'vue'
import type { Ref } from 'vue'
import { same } from '#core/base'
import { wordsOf } from '#core/library'
import type { Facet, SearchOrder, ShelfFilter } from '#core/library'
import { SearchShelf } from '#shared/contracts/library'
import type { Found } from '#shared/contracts/library'
import type { Refusal } from '#shared/contracts/refusal'
import { call } from '~/shared/wire/call'

/** So long nothing is asked while somebody types; milliseconds. */
const PAUSE = 150

/** A search of the shelf as one types, with what it is narrowed by: at first by `filter`, or by what is `usual`. */
export function useShelfSearch(of: {
  readonly text: string
  readonly filter: ShelfFilter | null
  readonly usual: Ref<ShelfFilter>
}) {
  const { usual } = of
  const text = ref(of.text)
  const filter = shallowRef<ShelfFilter>(of.filter ?? usual.value)
  const order = ref<SearchOrder>('fit')
  /** The values to narrow by are open. */
  const isNarrowing = ref(false)
  const found = shallowRef<Found | null>(null)
  const problem = shallowRef<Refusal | null>(null)

  const chosen = computed(() => Object.values(filter.value).reduce((n, values) => n + values.length, 0))
  /** This search is not narrowed as is usual. */
  const isOverridden = computed(() => !same(filter.value, usual.value))
  const isOn = computed(
    () => isNarrowing.value || (chosen.value > 0 && isOverridden.value) || wordsOf(text.value).length > 0,
  )
  watch(usual, (now, before) => {
    if (same(filter.value, before)) filter.value = now
  })

  // an answer that was overtaken by a newer question is not shown
  let latest = 0
  async function search(): Promise<void> {
    const mine = ++latest
    if (!isOn.value) {
      found.value = null
      return
    }
    const reply = await call(SearchShelf, {
      body: { text: text.value.slice(0, 200), filter: filter.value, order: order.value },
    })
    if (mine !== latest) return
    problem.value = reply.ok ? null : reply.error
    if (reply.ok) found.value = reply.value
  }
  watchDebounced([text, filter, order, isNarrowing], search, { debounce: PAUSE, immediate: true })

  function toggle(facet: Facet, value: string): void {
    const had = filter.value[facet] ?? []
    const now = had.includes(value) ? had.filter((v) => v !== value) : [...had, value]
    const { [facet]: _, ...others } = filter.value
    filter.value = now.length > 0 ? { ...others, [facet]: now } : others
  }
  function clear(): void {
    text.value = ''
    filter.value = usual.value
    isNarrowing.value = false
  }
  function narrowTo(next: ShelfFilter): void {
    filter.value = next
  }
  return {
    isOverridden,
    narrowTo,
    text,
    filter,
    order,
    isNarrowing,
    found,
    problem,
    chosen,
    isOn,
    toggle,
    clear,
  }
}
