import { watchDebounced } from '@vueuse/core'
import type { Ref } from 'vue'
import { ref, shallowRef } from 'vue'
import type { Result } from '#core/base'
import type { Refusal } from '#shared/contracts/refusal'
import { sayRefusal } from '~/shared/words/refusals'

/**
 * What an outside text would bring in, read anew a moment after the text has changed; an answer to an older
 * text is dropped.
 */
export function useDryRun<T>(text: Ref<string>, read: (text: string) => Promise<Result<T, Refusal>>) {
  const reading = shallowRef<T | null>(null)
  const problem = ref('')
  async function again(): Promise<void> {
    const now = text.value
    if (!now.trim()) return
    const reply = await read(now)
    if (text.value !== now) return
    reading.value = reply.ok ? reply.value : null
    problem.value = reply.ok ? '' : sayRefusal(reply.error)
  }
  watchDebounced(
    text,
    async () => {
      reading.value = null
      problem.value = ''
      await again()
    },
    { debounce: 300 },
  )
  return { reading, problem, again }
}
