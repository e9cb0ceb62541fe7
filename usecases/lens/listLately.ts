import { ok } from '#core/base'
import type { Teacher } from '#core/access'
import { latelyAtWork } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { ownClasses } from '../ground/ownClasses'

/** So many learners are told. */
const MOST = 10

/** Learners of the actor's classes who are at something or handed it in last, the latest first, each once. */
export async function listLately(deps: Pick<Deps, 'store'>, actor: Teacher) {
  const tx = deps.store.read
  const classIds = (await ownClasses(tx, actor)).map((c) => c.id)
  return ok({ learners: await latelyAtWork(tx, classIds, MOST) })
}
