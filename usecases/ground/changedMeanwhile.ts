import { refuse } from '#core/base'
import type { UserId } from '#core/base'
import type { AccessRefusal, ChangedBy, Teacher } from '#core/access'
import type { JournalCommand } from '#core/journal'
import { historyOf } from '#db/repositories'
import type { Connection } from '#db/repositories'

type ChangedMeanwhile = Extract<AccessRefusal, { readonly code: 'access/changed-meanwhile' }>

/** Changes of a thing that somebody has seen, and those that there are. */
interface Versions {
  readonly seen: number
  readonly now: number
}

/** Somebody as the asker knows them. */
export function changedBy(
  actor: Teacher,
  { id, name }: { readonly id: UserId; readonly name: string },
): ChangedBy {
  return id === actor.userId ? { isSelf: true } : { isSelf: false, name }
}

/** The refusal to somebody who saw an earlier version, with who made the later one; null: it is not known. */
export function changedTo({ seen, now }: Versions, by: ChangedBy | null) {
  const refusal: ChangedMeanwhile = { code: 'access/changed-meanwhile', field: 'version', seen, now, by }
  return refuse(refusal)
}

/** The same, with who made it as the history says: of the acts that touch `id` the latest that `isIt`. */
export async function changedMeanwhile(
  tx: Connection,
  actor: Teacher,
  of: Versions & { readonly id: string; readonly isIt?: (command: JournalCommand) => boolean },
) {
  const { id, isIt = () => true } = of
  const last = (await historyOf(tx, actor.schoolId, [id], MOST_LOOKED)).find((act) => isIt(act.command))
  return changedTo(of, last ? changedBy(actor, { id: last.actorId, name: last.by }) : null)
}

/** As many acts are looked through; whoever was before is not named. */
const MOST_LOOKED = 60

/** The refusal to somebody who saw other values than those that stand, where no version counts them. */
export function standsOtherwise() {
  const refusal: ChangedMeanwhile = { code: 'access/changed-meanwhile', field: 'seen', by: null }
  return refuse(refusal)
}
