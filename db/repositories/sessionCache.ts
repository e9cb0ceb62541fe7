import type { Instant } from '#core/base'
import { sessionById } from './people'
import type { SessionRecord } from './people'
import type { Connection, SessionUser } from './store'

const MOST_KEPT = 5000

/**
 * Who a session belongs to while it lasts, else null. What was looked up is kept for as long as nobody, in any
 * process, has committed anything since: SQLite's `data_version` says so, asked once for all requests that
 * arrive in one turn of the event loop. A session that is ended anywhere is over with the next request.
 * @param version null where the database cannot say: nothing is kept then
 */
export function cachedSessions(
  read: Connection,
  version: () => Promise<number | null>,
): (id: string, now: Instant) => Promise<SessionUser | null> {
  const kept = new Map<string, SessionRecord | null>()
  let keptAt: number | null = null
  let asking: Promise<number | null> | null = null

  function versionNow(): Promise<number | null> {
    if (asking === null) {
      asking = version()
      setImmediate(() => {
        asking = null
      })
    }
    return asking
  }

  return async (id, now) => {
    const at = await versionNow()
    if (at !== keptAt || at === null || kept.size > MOST_KEPT) kept.clear()
    keptAt = at
    const known = kept.get(id)
    const record = known === undefined ? await sessionById(read, id) : known
    if (at !== null && at === keptAt) kept.set(id, record)
    return record !== null && record.expiresAt > now ? record.user : null
  }
}
