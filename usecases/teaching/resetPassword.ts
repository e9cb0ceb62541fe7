import type { AccessRefusal, Teacher } from '#core/access'
import type { AudienceRefusal } from '#core/audience'
import { ok, refuse } from '#core/base'
import type { ClassId, Result, UserId } from '#core/base'
import { removeSessionsOf, saveClaim, savePassword, userById } from '#db/repositories'
import type { Connection, UserRecord } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { writing } from '../ground/writing'
import { learnerFor } from '../ground/classAccess'

/** What a learner needs to sign in, for a card that is handed over. */
export interface SignInCard {
  readonly name: string
  readonly signIn: string
  readonly password: string
}
export type Reset = Result<SignInCard, AccessRefusal | AudienceRefusal>

/**
 * Gives a learner of the class a new password that they have to change, and ends their sessions. It is shown this
 * once and kept nowhere.
 */
export async function resetPassword(
  deps: Deps,
  actor: Teacher,
  input: { readonly classId: ClassId; readonly learnerId: UserId },
): Promise<Reset> {
  const may = await learnerFor(deps.store.read, actor, input)
  if (!may.ok) return may
  const password = `${deps.ids.newJoinCode()}-${deps.ids.newJoinCode()}`
  const hashed = await deps.passwords.hash(password)
  if (!hashed.ok) return hashed
  return writing(deps.store, async (tx): Promise<Reset> => {
    const found = await learnerFor(tx, actor, input)
    if (!found.ok) return found
    const user = await userById(tx, input.learnerId)
    if (!user) return refuse({ code: 'access/not-found', what: 'learner' })
    const signIn = await signInOf(tx, deps, user)
    await savePassword(tx, user.id, { passwordHash: hashed.value, mustChangePassword: true })
    await removeSessionsOf(tx, user.id, null)
    return ok({ name: user.name, signIn, password })
  })
}

/** The sign-in of somebody; who only stands in the roster gets one. */
async function signInOf(tx: Connection, deps: Deps, user: UserRecord): Promise<string> {
  if (!user.signIn.startsWith('waiting:')) return user.signIn
  const signIn = `learner-${deps.ids.newJoinCode()}`
  await saveClaim(tx, user.id, signIn, user.passwordHash)
  return signIn
}
