import type { AccessRefusal, Teacher } from '#core/access'
import { ok } from '#core/base'
import type { ClassId, Result } from '#core/base'
import { saveJoining } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { writing } from '../ground/writing'
import { classFor } from '../ground/classAccess'

export type Joining = Result<{ readonly joinCode: string; readonly joinOpen: boolean }, AccessRefusal>

/** Closes a class to newcomers, opens it again, or gives it another code; the old one lets nobody in any more. */
export async function setJoining(
  deps: Deps,
  actor: Teacher,
  input: { readonly classId: ClassId; readonly act: 'close' | 'open' | 'renew' },
): Promise<Joining> {
  return writing(deps.store, async (tx): Promise<Joining> => {
    const found = await classFor(tx, actor, input.classId, 'run')
    if (!found.ok) return found
    const joining = {
      joinCode: input.act === 'renew' ? deps.ids.newJoinCode() : found.value.joinCode,
      joinOpen: input.act !== 'close',
    }
    await saveJoining(tx, input.classId, joining)
    return ok(joining)
  })
}
