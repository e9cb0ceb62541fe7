import { ok } from '#core/base'
import type { Instant, Result } from '#core/base'
import type { AccessRefusal, Learner } from '#core/access'
import { markNoticesRead, noticesFor } from '#db/repositories'
import type { NoticeRecord } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { zoneFor } from '../learning/myWork'
import { newsSince } from '../learning/newsSince'

const MOST_SHOWN = 40

type Listed = Result<
  { readonly notices: readonly NoticeRecord[]; readonly now: Instant; readonly zone: string },
  AccessRefusal
>

/** What a learner is told about their work: new, moved, more time, taken back; the newest first. */
export async function listMyNotices(deps: Deps, actor: Learner): Promise<Listed> {
  const tx = deps.store.read
  const now = deps.clock.now()
  const notices = await noticesFor(tx, actor.userId, { now, since: newsSince(now), most: MOST_SHOWN })
  return ok({ notices, now, zone: await zoneFor(tx, actor.userId) })
}

/** Marks all that a learner is told by now as read. */
export async function readMyNotices(
  deps: Deps,
  actor: Learner,
): Promise<Result<{ readonly done: true }, AccessRefusal>> {
  await deps.store.write((tx) => markNoticesRead(tx, actor.userId, deps.clock.now()))
  return ok({ done: true })
}
