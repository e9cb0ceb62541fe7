import { useIntervalFn } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { ComputedRef } from 'vue'
import type { Instant } from '#core/base'
import { useMe } from './me'

/** The server's time, followed every `everyMs`; a learner's own clock never counts. */
export function useServerNow(everyMs = 15_000): ComputedRef<Instant> {
  const me = useMe()
  const here = ref(Date.now())
  useIntervalFn(() => {
    here.value = Date.now()
  }, everyMs)
  return computed(() => (here.value + me.aheadMs) as Instant)
}
