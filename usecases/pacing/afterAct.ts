import type { Teacher } from '#core/access'
import { classesById } from '#db/repositories'
import type { Connection } from '#db/repositories'
import { classesInView } from '../ground/classAccess'
import { groundsOf } from '../ground/classGrounds'
import type { Touched } from '../ground/stepping'
import { deskWork, steps } from './desk'

/** What an act changed, for the desk of the one who did it; of its classes those in view. */
export async function afterAct(tx: Connection, actor: Teacher, { classIds, planning }: Touched) {
  const inView = new Set((await classesInView(tx, actor)).map((c) => c.id))
  const affected = classIds.filter((id) => inView.has(id))
  const classes = await classesById(tx, affected)
  const replanned = planning === null ? [] : classes
  return {
    classes: replanned.map(({ id, version, pacing, pattern }) => ({ id, version, pacing, pattern })),
    affected,
    work: await deskWork(tx, await groundsOf(tx, classes)),
    moved: planning?.moved ?? 0,
    stuck: planning?.stuck ?? [],
    steps: await steps(tx, actor),
    year: planning?.year ?? null,
    plans: planning?.plans ?? [],
  }
}
