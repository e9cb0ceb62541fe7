import { addMinutes, refuse, ok } from '#core/base'
import type { Result } from '#core/base'
import type { AccessRefusal, Actor } from '#core/access'
import { addSession, removeOldSessions, removeSession } from '#db/repositories'
import type { Connection, UserRecord } from '#db/repositories'
import type { Deps } from '../ground/deps'

const SESSION_MINUTES = 60 * 24 * 14

/** Opens a session of 14 days; gives the ticket for the cookie, of which only the id is kept. */
export async function openSession(tx: Connection, deps: Deps, user: UserRecord): Promise<string> {
  const { ticket, id } = deps.tickets.make()
  const now = deps.clock.now()
  await removeOldSessions(tx, now)
  await addSession(tx, { id, userId: user.id, createdAt: now, expiresAt: addMinutes(now, SESSION_MINUTES) })
  return ticket
}

/** Who is signed in. */
export interface Person extends Actor {
  readonly name: string
  readonly schoolName: string
  readonly mustChangePassword: boolean
}

/** Who shows this ticket; refused when its session is unknown, over or was ended. */
export async function actorOf(deps: Deps, ticket: string | null): Promise<Result<Person, AccessRefusal>> {
  const id = ticket === null ? null : deps.tickets.idOf(ticket)
  const user = id === null ? null : await deps.store.session(id, deps.clock.now())
  if (!user) return refuse({ code: 'access/not-signed-in' })
  const { id: userId, ...rest } = user
  return ok({ userId, ...rest })
}

/** Ends a session for good. */
export async function signOut(deps: Deps, ticket: string | null): Promise<void> {
  const id = ticket === null ? null : deps.tickets.idOf(ticket)
  if (id !== null) await deps.store.write((tx) => removeSession(tx, id))
}

/** What the signed-in person's page shows of themselves. */
export function whoAmI(deps: Deps, actor: Person) {
  const { userId, name, role, office, schoolName, mustChangePassword } = actor
  return ok({
    userId,
    name,
    role,
    office,
    mustChangePassword,
    schoolName,
    now: deps.clock.now(),
  })
}
