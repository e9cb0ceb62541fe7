import { groupBy } from '#core/base'
import type { Instant } from '#core/base'
import { forgetNotices, isMailWaiting, takeNoticesToMail } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { zoneFor } from '../learning/myWork'

const AT_ONCE = 500
const KEPT_DAYS = 90
const DAY = 24 * 3600 * 1000

/**
 * Mails what learners can know of by now and were not told by mail: one letter each, however much it is. Each notice
 * is taken before it is sent, so that several servers on one database send nothing twice. Tells how many letters.
 */
export async function mailNotices(deps: Deps): Promise<number> {
  const now = deps.clock.now()
  if (!(await isMailWaiting(deps.store.read, now))) return 0
  const taken = await deps.store.write(async (tx) => {
    await forgetNotices(tx, (now - KEPT_DAYS * DAY) as Instant)
    return takeNoticesToMail(tx, now, AT_ONCE)
  })
  const byLearner = groupBy(taken, (n) => n.learnerId)
  for (const [learnerId, lines] of byLearner) {
    const [first] = lines
    if (!first) continue
    const { name, signIn } = first
    const zone = await zoneFor(deps.store.read, learnerId)
    await deps.mail.send({ to: { userId: learnerId, name, signIn }, zone, at: now, lines })
  }
  return byLearner.size
}
