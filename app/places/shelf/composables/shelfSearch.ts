import { watchDebounced } from '@vueuse/core'
import { computed, ref, shallowRef } from 'vue'
import { wordsOf } from '#core/library'
import type { Facet, SearchOrder, ShelfFilter } from '#core/library'
import { SearchShelf } from '#shared/contracts/library'
import type { Found } from '#shared/contracts/library'
import type { Refusal } from '#shared/contracts/refusal'
import { call } from '~/shared/wire/call'

/** So long nothing is asked while somebody types; milliseconds. */
const PAUSE = 150

/** A search of the shelf as one types, with what it is narrowed by. */
export function useShelfSearch(startsWith: string) {
  const text = ref(startsWith)
  const filter = shallowRef<ShelfFilter>({})
  const order = ref<SearchOrder>('fit')
  /** The values to narrow by are open. */
  const isNarrowing = ref(false)
  const found = shallowRef<Found | null>(null)
  const problem = shallowRef<Refusal | null>(null)

  const chosen = computed(() => Object.values(filter.value).reduce((n, values) => n + values.length, 0))
  const isOn = computed(() => isNarrowing.value || chosen.value > 0 || wordsOf(text.value).length > 0)

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
    filter.value = { ...filter.value, [facet]: now }
  }
  function clear(): void {
    text.value = ''
    filter.value = {}
    isNarrowing.value = false
  }
  return { text, filter, order, isNarrowing, found, problem, chosen, isOn, toggle, clear }
}
