import { ok } from '#core/base'
import type { AssignmentId, Result } from '#core/base'
import type { AccessRefusal, Teacher } from '#core/access'
import type { AudienceRefusal } from '#core/audience'
import type { AvailabilityRefusal } from '#core/availability'
import { namedClasses, publishedBy, ruledNow } from '#core/work'
import { saveAssignment } from '#db/repositories'
import type { Connection } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { writing } from '../ground/writing'
import { settle } from '../settling/settle'
import { writeDown } from './steps'
import type { WorkChange } from './workSession'
import { workAt } from './workFor'
import { worldLoader } from '../ground/world'

type PublishRefusal = AccessRefusal | AudienceRefusal | AvailabilityRefusal
export type Published = Result<{ readonly learners: number }, PublishRefusal>
/** Which assignment, as it stood at a version. */
export interface WorkAtVersion {
  readonly assignmentId: AssignmentId
  readonly version: number
}

/** Publishes held (or withdrawn) work: for every class, or for those that the actor teaches. */
export async function publishWork(deps: Deps, actor: Teacher, input: WorkAtVersion): Promise<Published> {
  return writing(deps.store, async (tx): Promise<Published> => {
    const done = await publishAssignment(tx, deps, actor, input)
    if (!done.ok) return done
    await writeDown(tx, deps, actor, { what: 'published', done: [done.value] })
    return ok({ learners: done.value.learners })
  })
}

/** The same within an act that consists of more. */
export async function publishAssignment(
  tx: Connection,
  deps: Deps,
  actor: Teacher,
  input: WorkAtVersion,
  load = worldLoader(tx, 'as-they-stand'),
): Promise<Result<WorkChange, PublishRefusal>> {
  const found = await workAt(tx, actor, input)
  if (!found.ok) return found
  const { assignment: before, goesTo, reach } = found.value
  const now = deps.clock.now()
  const world = await load(before.authorId, namedClasses(before))
  // what is published anew goes by how groups stand now; of what learners have, the groups stay
  const known = before.state === 'published' ? before.ruled : []
  const after = {
    ...publishedBy(reach, before, goesTo, now),
    ruled: ruledNow(before, world.groups, known),
  }
  await saveAssignment(tx, after)
  const reached = await settle(tx, after, world, now)
  return reached.ok ? ok({ before, after, learners: reached.value }) : reached
}
