import { ref } from 'vue'
import type { AssignmentId } from '#core/base'
import { Assign, PreviewWork } from '#shared/contracts/work'
import type { Preview } from '#shared/contracts/work'
import { useDesk } from '~/places/pace'
import { useTell } from '~/shared/frame/tell'
import { call } from '~/shared/wire/call'
import { count } from '~/shared/words/numbers'
import { followUpDraft } from '../followUp'
import type { FollowUpGiven } from '../followUp'
import { usePresets } from '../stores/presets'

/** Gives follow-up as one work; undo in the bar takes it back. */
export function useFollowingUp() {
  const desk = useDesk()
  const tell = useTell()
  const presets = usePresets()
  const busy = ref(false)

  async function draftOf(given: FollowUpGiven) {
    await presets.load()
    return followUpDraft(given, presets.presets)
  }
  /** What giving it would do; null: it cannot be told now. */
  async function lookAhead(given: FollowUpGiven): Promise<Preview | null> {
    const draft = await draftOf(given)
    const reply = await call(PreviewWork, { body: { assignmentId: null, draft } })
    return reply.ok ? reply.value : null
  }
  /** The work that was made; null: it was refused, and why is told. */
  async function give(given: FollowUpGiven): Promise<AssignmentId | null> {
    busy.value = true
    const draft = await draftOf(given)
    const reply = await call(Assign, { body: { draft, publish: true } })
    if (reply.ok) await desk.load(true)
    busy.value = false
    if (!reply.ok) {
      tell.refused(reply.error)
      return null
    }
    tell.done(`“${given.title}” is given to ${count(reply.value.learners, 'learner')}`)
    return reply.value.assignmentId
  }
  return { lookAhead, give, busy }
}
