import { ok, refuse } from '#core/base'
import type { Result } from '#core/base'
import type { AccessRefusal } from '#core/access'
import { userBySignIn } from '#db/repositories'
import type { UserRecord } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { knock, letIn, rememberPlace, signInKnocks, unknock } from './doors'
import type { Origin } from './doors'
import { openSession } from './session'

/** A new session's ticket, and whose it is. */
export interface SignedIn {
  readonly ticket: string
  readonly user: UserRecord
}

/**
 * Name and password. Every try is counted before it is examined, by account and by address; the waits grow. The
 * same refusal for a wrong name and a wrong password.
 */
export async function signIn(
  deps: Deps,
  input: { readonly signIn: string; readonly password: string; readonly origin: Origin },
): Promise<Result<SignedIn, AccessRefusal>> {
  // what nobody can examine now is not counted either: it costs the others nothing
  if (deps.passwords.isFull()) return refuse({ code: 'access/busy' })
  const user = await userBySignIn(deps.store.read, input.signIn)
  const knocks = await signInKnocks(deps, input.signIn, user, input.origin)
  const may = await knock(deps, 'password', knocks)
  if (!may.ok) return may
  // hash even for an unknown name, so that the answer takes as long
  const right = await deps.passwords.matches(input.password, user?.passwordHash || NOBODY)
  if (!right.ok) {
    await unknock(deps, knocks)
    return right
  }
  if (!user || !right.value) return refuse({ code: 'access/wrong-sign-in', field: 'password' })
  const ticket = await deps.store.write(async (tx) => {
    await letIn(tx, deps, knocks)
    await rememberPlace(tx, deps, user.id, input.origin)
    return openSession(tx, deps, user)
  })
  return ok({ ticket, user })
}

const NOBODY = 'scrypt$16384$AAAAAAAAAAAAAAAAAAAAAA$AAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAA'
