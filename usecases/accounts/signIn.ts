import { addMinutes, ok, refuse } from '#core/base'
import type { Result } from '#core/base'
import type { AccessRefusal } from '#core/access'
import { clearFailures, countFailure, failuresOf, userBySignIn } from '#db/repositories'
import type { UserRecord } from '#db/repositories'
import type { Deps } from '../deps'
import { openSession } from './session'

const MOST_FAILURES = 8
const PAUSE_MINUTES = 15

/** True while a key has failed too often; the pause counts from its first failure. */
export async function pausedUntil(deps: Deps, key: string) {
  const seen = await failuresOf(deps.store.read, key)
  const until = seen ? addMinutes(seen.sinceAt, PAUSE_MINUTES) : null
  return seen && until !== null && seen.failures >= MOST_FAILURES && until > deps.clock.now() ? until : null
}

/** Counts one failure under a key. */
export async function noteFailure(deps: Deps, key: string): Promise<void> {
  const now = deps.clock.now()
  await deps.store.write((tx) => countFailure(tx, key, now, addMinutes(now, -PAUSE_MINUTES)))
}

/**
 * Name and password; eight wrong tries for one name from one address pause it for 15 minutes. The same
 * refusal for a wrong name and a wrong password.
 */
export async function signIn(
  deps: Deps,
  input: { readonly signIn: string; readonly password: string; readonly address: string },
): Promise<Result<{ readonly ticket: string; readonly user: UserRecord }, AccessRefusal>> {
  const key = `sign-in ${input.signIn} ${input.address}`
  const until = await pausedUntil(deps, key)
  if (until !== null) return refuse({ code: 'access/too-many-tries', field: 'password', until })
  const user = await userBySignIn(deps.store.read, input.signIn)
  // hash even for an unknown name, so that the answer takes as long
  const right = await deps.passwords.matches(input.password, user?.passwordHash || NOBODY)
  if (!right.ok) return right
  if (!user || !right.value) {
    await noteFailure(deps, key)
    return refuse({ code: 'access/wrong-sign-in', field: 'password' })
  }
  const ticket = await deps.store.write(async (tx) => {
    await clearFailures(tx, key)
    return openSession(tx, deps, user)
  })
  return ok({ ticket, user })
}

const NOBODY = 'scrypt$16384$AAAAAAAAAAAAAAAAAAAAAA$AAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAA'
