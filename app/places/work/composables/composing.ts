import { useDebounceFn } from '@vueuse/core'
import { ref, shallowRef, watch } from 'vue'
import type { Ref } from 'vue'
import type { AssignmentId } from '#core/base'
import { PreviewWork } from '#shared/contracts/work'
import type { Preview } from '#shared/contracts/work'
import type { DraftInWork } from '../draft'
import { call } from '~/shared/wire/call'
import { sayRefusal } from '~/shared/words/refusals'

/** Keeps what publishing the draft would do in step with the draft; stale answers are dropped. */
export function usePreview(draft: Ref<DraftInWork | null>, assignmentId: AssignmentId | null) {
  const preview = shallowRef<Preview | null>(null)
  const problem = ref('')
  let asked = 0
  const ask = useDebounceFn(async () => {
    if (!draft.value) return
    const mine = ++asked
    const reply = await call(PreviewWork, { body: { assignmentId, draft: draft.value } })
    if (mine !== asked) return
    problem.value = reply.ok ? '' : sayRefusal(reply.error)
    if (reply.ok) preview.value = reply.value
  }, 150)
  watch(draft, () => void ask(), { deep: true, immediate: true })
  return { preview, problem }
}
