import type { Result } from '#core/base'
import type { Replanned } from '#shared/contracts/pacing'
import type { Refusal } from '#shared/contracts/refusal'
import { count } from '~/shared/words/numbers'
import { useTell } from '~/shared/frame/tell'

/** Says what moved with a planning act, and what could not; true when it was done. */
export function useOutcome(): (reply: Result<Replanned, Refusal>, said?: string) => boolean {
  const tell = useTell()
  return (reply, said) => {
    if (!reply.ok) {
      tell.refused(reply.error)
      return false
    }
    if (reply.value.moved > 0)
      tell.done(`${said ? `${said}. ` : ''}${count(reply.value.moved, 'piece')} of work moved with the plan`)
    else if (said) tell.done(said)
    for (const title of reply.value.stuck)
      tell.refused({
        code: 'input/invalid',
        field: `“${title}”`,
        problem: 'could not follow: its lesson no longer fits. Its dates stay as they were',
      })
    return true
  }
}
