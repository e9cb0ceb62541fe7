import type { Teacher } from '#core/access'
import { classesTaughtBy } from '#db/repositories'
import type { ClassRecord, Connection } from '#db/repositories'

/** The classes that a teacher teaches, of the year that most of them are in; a lead's week is their own, too. */
export async function ownClasses(tx: Connection, actor: Teacher): Promise<readonly ClassRecord[]> {
  const taught = await classesTaughtBy(tx, actor.userId)
  const counts = new Map<string, number>()
  for (const { yearId } of taught) counts.set(yearId, (counts.get(yearId) ?? 0) + 1)
  const [most] = [...counts].sort((a, b) => b[1] - a[1])
  return taught.filter((c) => c.yearId === most?.[0])
}
