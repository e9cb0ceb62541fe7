import type { AccessRefusal, Teacher } from '#core/access'
import { ok } from '#core/base'
import type { ClassId, Result } from '#core/base'
import { saveJoining } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { standsOtherwise } from '../ground/changedMeanwhile'
import { writing } from '../ground/writing'
import { classFor } from '../ground/classAccess'

interface JoiningSeen {
  readonly joinCode: string
  readonly joinOpen: boolean
}
export type Joining = Result<JoiningSeen, AccessRefusal>

/**
 * Closes a class to newcomers, opens it again, or gives it another code; the old one lets nobody in any more. Another
 * code is refused where a colleague closed the class or gave it one already.
 */
export async function setJoining(
  deps: Deps,
  actor: Teacher,
  input: {
    readonly classId: ClassId
    readonly act: 'close' | 'open' | 'renew'
    /** What was shown; absent: as it stands. */
    readonly seen?: JoiningSeen
  },
): Promise<Joining> {
  return writing(deps.store, async (tx): Promise<Joining> => {
    const found = await classFor(tx, actor, input.classId, 'run')
    if (!found.ok) return found
    const { joinCode, joinOpen } = found.value
    const { act, seen } = input
    const isAsSeen = !seen || (seen.joinCode === joinCode && seen.joinOpen === joinOpen)
    if (act === 'renew' && !isAsSeen) return standsOtherwise()
    const joining = {
      joinCode: act === 'renew' ? deps.ids.newJoinCode() : joinCode,
      joinOpen: act !== 'close',
    }
    await saveJoining(tx, input.classId, joining)
    return ok(joining)
  })
}
