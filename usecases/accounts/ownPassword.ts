import { DOORS } from '#core/access'
import type { AccessRefusal, Actor } from '#core/access'
import { ok, refuse } from '#core/base'
import type { Result } from '#core/base'
import { removeSessionsOf, savePassword, userById } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { knock, letIn } from './doors'

export type Done = Result<{ readonly done: true }, AccessRefusal>

/**
 * Replaces one's own password and ends all one's other sessions. Refused when the present password is wrong, or
 * the new one is the same.
 */
export async function changePassword(
  deps: Deps,
  actor: Actor,
  input: { readonly current: string; readonly next: string; readonly ticket: string | null },
): Promise<Done> {
  const knocks = [{ key: `own-password ${actor.userId}`, rule: DOORS.ownPassword }]
  const may = await knock(deps, 'current', knocks)
  if (!may.ok) return may
  const user = await userById(deps.store.read, actor.userId)
  if (!user) return refuse({ code: 'access/not-signed-in' })
  const right = await deps.passwords.matches(input.current, user.passwordHash)
  if (!right.ok) return right
  if (!right.value) return refuse({ code: 'access/wrong-password', field: 'current' })
  if (input.current === input.next) return refuse({ code: 'access/same-password', field: 'next' })
  const hashed = await deps.passwords.hash(input.next)
  if (!hashed.ok) return hashed
  await deps.store.write(async (tx) => {
    await letIn(tx, deps, knocks)
    await savePassword(tx, user.id, { passwordHash: hashed.value, mustChangePassword: false })
    await removeSessionsOf(tx, user.id, sessionOf(deps, input.ticket))
  })
  return ok({ done: true })
}

/** Ends all one's sessions except the one that asks: other browsers are signed out at once. */
export async function endOtherSessions(deps: Deps, actor: Actor, ticket: string | null): Promise<Done> {
  await deps.store.write((tx) => removeSessionsOf(tx, actor.userId, sessionOf(deps, ticket)))
  return ok({ done: true })
}

function sessionOf(deps: Deps, ticket: string | null): string | null {
  return ticket === null ? null : deps.tickets.idOf(ticket)
}
