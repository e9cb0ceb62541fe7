import { useDebounceFn } from '@vueuse/core'
import { ref, shallowRef, watch } from 'vue'
import type { Ref } from 'vue'
import type { AssignmentId } from '#core/base'
import { PreviewWork } from '#shared/contracts/work'
import type { Refusal } from '#shared/contracts/refusal'
import type { Preview } from '#shared/contracts/work'
import type { DraftInWork } from '../draft'
import { call } from '~/shared/wire/call'
import { sayRefusal } from '~/shared/words/refusals'

const FIELDS: Readonly<Record<string, string>> = {
  'draft.title': 'The title',
  'draft.note': 'The note',
  'draft.about.objective': 'The objective',
  'draft.about.outcomes': 'The outcomes',
  'draft.about.instructions': 'The page of instructions',
  'draft.about.heading': 'The heading',
  'draft.about.category': 'The category',
}
/** A field of the draft by the name that stands beside it. */
function named(refusal: Refusal): Refusal {
  if (refusal.code !== 'input/invalid' || !refusal.field) return refusal
  return { ...refusal, field: FIELDS[refusal.field] ?? refusal.field }
}

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
    problem.value = reply.ok ? '' : sayRefusal(named(reply.error))
    if (reply.ok) preview.value = reply.value
  }, 150)
  watch(draft, () => void ask(), { deep: true, immediate: true })
  return { preview, problem }
}
