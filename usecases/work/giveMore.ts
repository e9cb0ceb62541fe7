import { ok, refuse, same } from '#core/base'
import type { AssignmentId, Result, UserId } from '#core/base'
import type { Teacher } from '#core/access'
import type { AvailabilityRefusal } from '#core/availability'
import { checkPart, namedClasses, settingOf, withMore } from '#core/work'
import type { More, WorkRefusal } from '#core/work'
import { attemptsOf, learnerWorkOf, saveAssignment } from '#db/repositories'
import type { Connection } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { writing } from '../ground/writing'
import { checkedDraft, whereIn } from './draft'
import type { DraftRefusal } from './draft'
import { settle } from '../settling/settle'
import { writeDown } from './steps'
import { workFor } from './workFor'
import { worldLoader } from '../ground/world'

export type Given = Result<{ readonly learners: number }, DraftRefusal | AvailabilityRefusal | WorkRefusal>

interface MoreFor {
  readonly assignmentId: AssignmentId
  readonly learnerIds: readonly UserId[]
  readonly more: More
}

/**
 * Gives chosen learners of published work one more try, more time or both, or excuses them. Adds to what stands, so
 * that it needs no version: two teachers who give one try each have given two. Where everybody has as much already,
 * nothing is done, and 0 learners are told.
 */
export async function giveMore(deps: Deps, actor: Teacher, input: MoreFor): Promise<Given> {
  return writing(deps.store, (tx) => giveMoreToLearners(tx, deps, actor, input))
}

/** The same as a part of another act. */
export async function giveMoreToLearners(
  tx: Connection,
  deps: Deps,
  actor: Teacher,
  input: MoreFor,
): Promise<Given> {
  const found = await workFor(tx, actor, input.assignmentId)
  if (!found.ok) return found
  const { assignment, reach } = found.value
  if (assignment.state === 'withdrawn') return refuse({ code: 'work/withdrawn', field: 'state' })
  const { more } = input
  if ('pieceId' in more && !assignment.pieces.some((p) => p.id === more.pieceId))
    return refuse({ code: 'access/not-found', what: 'piece' })
  // a name that is given twice is still one try
  const learnerIds = [...new Set(input.learnerIds)]
  const rows = await learnerWorkOf(tx, [assignment.id])
  const handedIn = (await attemptsOf(tx, [assignment.id])).filter((t) => t.submittedAt !== null)
  const has = new Set(rows.map((r) => r.learnerId))
  const known = new Set([...has, ...assignment.exceptIds])
  const stranger = learnerIds.find((id) => !known.has(id))
  if (stranger) return refuse({ code: 'audience/unknown-target', field: 'targets', id: stranger })
  const load = worldLoader(tx)
  const { grounds } = (await load(assignment.authorId, namedClasses(assignment))).around
  const next = { ...assignment, ...withMore(assignment, learnerIds, more, { rows, grounds, handedIn }) }
  if (same(settingOf(next), settingOf(assignment))) return ok({ learners: 0 })
  const world = await checkedDraft(
    tx,
    actor,
    { draft: next, authorId: assignment.authorId, stands: assignment },
    load,
  )
  if (!world.ok) return world
  const part = checkPart(reach, assignment, next, whereIn(world.value))
  if (!part.ok) return part
  await saveAssignment(tx, next)
  const settled = await settle(tx, next, world.value, deps.clock.now())
  if (!settled.ok) return settled
  const what = more.kind === 'excused' || more.kind === 'not-excused' ? 'excused' : 'given-more'
  await writeDown(tx, deps, actor, { what, done: [{ before: assignment, after: next }] })
  return ok({ learners: learnerIds.length })
}
