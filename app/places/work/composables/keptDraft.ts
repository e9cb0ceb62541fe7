import { useRoute } from '#imports'
import { cloneFnJSON, useLocalStorage, watchDebounced } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { Ref } from 'vue'
import { same } from '#core/base'
import type { Instant, LessonId } from '#core/base'
import { useMe } from '~/shared/session/me'
import { begunAt, isFresh, withBegun, without } from '../begun'
import type { Begun } from '../begun'
import type { DraftInWork } from '../draft'

/** What was begun in the composer on this machine; the number is that of the shape in which it is kept. */
export function useBegun() {
  const all = useLocalStorage<readonly Begun[]>(`work-begun 1 ${useMe().me?.userId ?? ''}`, [])
  const forget = (address: string) => {
    all.value = without(all.value, address)
  }
  return { all, forget }
}

/**
 * Keeps a draft on this machine while it is composed: what was begun here a short while ago is gone on with, what is
 * older is offered.
 */
export function useKeptDraft(of: {
  readonly draft: Ref<DraftInWork>
  readonly initial: DraftInWork
  readonly version: number | null
  readonly lesson: LessonId | null
  readonly now: () => Instant
}) {
  const { draft, initial, version, lesson, now } = of
  const address = useRoute().fullPath
  const { all, forget: forgetAt } = useBegun()
  const found = ref(begunAt(all.value, { address, version }))
  const isGoneOn = ref(false)
  let isOver = false
  function goOn(): void {
    if (!found.value) return
    draft.value = cloneFnJSON(found.value.draft)
    isGoneOn.value = true
  }
  if (found.value && isFresh(found.value, now())) goOn()
  watchDebounced(
    draft,
    () => {
      if (isOver) return
      if (same(draft.value, initial)) return forgetAt(address)
      all.value = withBegun(all.value, {
        address,
        version,
        draft: cloneFnJSON(draft.value),
        lesson,
        at: now(),
      })
    },
    { deep: true, debounce: 300, maxWait: 1000 },
  )
  function beginAnew(): void {
    draft.value = cloneFnJSON(initial)
    found.value = null
    forgetAt(address)
  }
  /** It was published, held or thrown away. */
  function forget(): void {
    isOver = true
    forgetAt(address)
  }
  return {
    begunAt: computed(() => found.value?.at ?? null),
    isGoneOn,
    goOn,
    beginAnew,
    forget,
  }
}
