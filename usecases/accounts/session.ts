import { addMinutes, refuse, ok } from '#core/base'
import type { Result } from '#core/base'
import type { AccessRefusal, Actor } from '#core/access'
import { addSession, removeSession, schoolName, userOfSession } from '#db/repositories'
import type { Connection, UserRecord } from '#db/repositories'
import type { Deps } from '../deps'

const SESSION_MINUTES = 60 * 24 * 14

/** Opens a session of 14 days; the id goes into the sealed cookie. */
export async function openSession(tx: Connection, deps: Deps, user: UserRecord): Promise<string> {
  const id = deps.ids.newId()
  const now = deps.clock.now()
  await addSession(tx, { id, userId: user.id, createdAt: now, expiresAt: addMinutes(now, SESSION_MINUTES) })
  return id
}

/** Who a session id stands for; refused when it is unknown, over or was ended. */
export async function actorOf(
  deps: Deps,
  sessionId: string | null,
): Promise<Result<Actor & { readonly name: string }, AccessRefusal>> {
  const user = sessionId === null ? null : await userOfSession(deps.store.read, sessionId, deps.clock.now())
  if (!user) return refuse({ code: 'access/not-signed-in' })
  return ok({
    userId: user.id,
    schoolId: user.schoolId,
    role: user.role,
    office: user.office,
    name: user.name,
  })
}

/** Ends a session for good. */
export async function signOut(deps: Deps, sessionId: string | null): Promise<void> {
  if (sessionId !== null) await deps.store.write((tx) => removeSession(tx, sessionId))
}

/** What the signed-in person's page shows of themselves. */
export async function whoAmI(deps: Deps, actor: Actor & { readonly name: string }) {
  const { userId, name, role, office } = actor
  return ok({
    userId,
    name,
    role,
    office,
    schoolName: await schoolName(deps.store.read, actor.schoolId),
    now: deps.clock.now(),
  })
}
