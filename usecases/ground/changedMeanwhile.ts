import { refuse } from '#core/base'
import type { AccessRefusal, Teacher } from '#core/access'
import { historyOf } from '#db/repositories'
import type { Connection } from '#db/repositories'

type ChangedMeanwhile = Extract<AccessRefusal, { readonly code: 'access/changed-meanwhile' }>

/** The refusal to somebody who saw an earlier version, with who made the later one where the history says. */
export async function changedMeanwhile(
  tx: Connection,
  actor: Teacher,
  of: { readonly seen: number; readonly now: number; readonly id: string },
) {
  const { seen, now, id } = of
  const refusal: ChangedMeanwhile = {
    code: 'access/changed-meanwhile',
    field: 'version',
    seen,
    now,
    by: await lastChangeOf(tx, actor, id),
  }
  return refuse(refusal)
}

/** The refusal to somebody who saw other values than those that stand, where no version counts them. */
export function standsOtherwise(by: ChangedMeanwhile['by'] = null) {
  const refusal: ChangedMeanwhile = { code: 'access/changed-meanwhile', field: 'seen', by }
  return refuse(refusal)
}

async function lastChangeOf(tx: Connection, actor: Teacher, id: string): Promise<ChangedMeanwhile['by']> {
  const [last] = await historyOf(tx, actor.schoolId, [id], 1)
  if (!last) return null
  return { name: last.by, isSelf: last.actorId === actor.userId }
}
