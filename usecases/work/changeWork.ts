import { asId, ok, refuse } from '#core/base'
import type { AssignmentId, ClassId, Result } from '#core/base'
import { canSeeWork } from '#core/access'
import type { AccessRefusal, Actor } from '#core/access'
import type { AvailabilityRefusal } from '#core/availability'
import {
  addAssignment,
  assignmentById,
  begunBy,
  learnerWorkOf,
  replaceLearnerWork,
  saveAssignment,
  teachersOf,
} from '#db/repositories'
import type { AssignmentRecord, Connection } from '#db/repositories'
import type { Deps } from '../deps'
import { writing } from '../rollback'
import { checkedDraft } from './draft'
import type { Draft, DraftRefusal } from './draft'
import { mergedRows } from './refreshWork'
import { namedClasses, resolveWork, worldLoader } from './world'
import type { World } from './world'

type WorkRefusal = DraftRefusal | AvailabilityRefusal

/** Makes an assignment, held or published at once. Refused when a window cannot stand in a class or nobody is reached; nothing is then kept. */
export async function assign(
  deps: Deps,
  actor: Actor,
  input: { readonly draft: Draft; readonly publish: boolean },
): Promise<Result<{ readonly assignmentId: AssignmentId; readonly learners: number }, WorkRefusal>> {
  return writing(
    deps.store,
    async (
      tx,
    ): Promise<Result<{ readonly assignmentId: AssignmentId; readonly learners: number }, WorkRefusal>> => {
      const world = await checkedDraft(tx, actor, actor.userId, input.draft)
      if (!world.ok) return world
      const now = deps.clock.now()
      const record: AssignmentRecord = {
        ...input.draft,
        id: asId<AssignmentId>(deps.ids.newId()),
        schoolId: actor.schoolId,
        authorId: actor.userId,
        state: input.publish ? 'published' : 'held',
        version: 1,
        createdAt: now,
        publishedAt: input.publish ? now : null,
      }
      await addAssignment(tx, record)
      const reached = await settle(tx, record, world.value)
      return reached.ok ? ok({ assignmentId: record.id, learners: reached.value }) : reached
    },
  )
}

/** Checks that every window stands; for published work writes every learner's own terms. */
async function settle(
  tx: Connection,
  record: AssignmentRecord,
  world: World,
): Promise<Result<number, WorkRefusal>> {
  const { reached, problems } = resolveWork(record, world)
  if (problems[0]) return refuse(problems[0].refusal)
  if (reached.length === 0) return refuse({ code: 'audience/nobody-reached', field: 'targets' })
  if (record.state === 'published')
    await replaceLearnerWork(
      tx,
      record.id,
      (await mergedRows(tx, record, world, await learnerWorkOf(tx, [record.id]))) ?? [],
    )
  return ok(reached.length)
}

/** An assignment the actor may change; what they may not see is not found. */
export async function workFor(
  tx: Connection,
  actor: Actor,
  id: AssignmentId,
): Promise<Result<AssignmentRecord, AccessRefusal>> {
  const record = await assignmentById(tx, id)
  const classIds = record ? await classesReached(tx, record) : []
  const teachers = [...(await teachersOf(tx, classIds)).values()].flat()
  if (
    !record ||
    !canSeeWork(actor, { schoolId: record.schoolId, authorId: record.authorId, classTeacherIds: teachers })
  )
    return refuse({ code: 'access/not-found', what: 'assignment' })
  return ok(record)
}

/** Classes an assignment names or has learners in. */
export async function classesReached(tx: Connection, record: AssignmentRecord): Promise<ClassId[]> {
  return [
    ...new Set([...namedClasses(record), ...(await learnerWorkOf(tx, [record.id])).map((r) => r.classId)]),
  ]
}

function outdated(record: AssignmentRecord, version: number): AccessRefusal {
  return { code: 'access/changed-meanwhile', field: 'version', seen: version, now: record.version }
}

/** Replaces an assignment's settings. Learners who have begun lose no time; the piece itself can then no longer be exchanged. */
export async function changeWork(
  deps: Deps,
  actor: Actor,
  input: { readonly assignmentId: AssignmentId; readonly version: number; readonly draft: Draft },
): Promise<Result<{ readonly learners: number }, WorkRefusal>> {
  return writing(deps.store, async (tx): Promise<Result<{ readonly learners: number }, WorkRefusal>> => {
    const found = await workFor(tx, actor, input.assignmentId)
    if (!found.ok) return found
    const record = found.value
    if (record.state === 'withdrawn') return refuse({ code: 'audience/withdrawn', field: 'state' })
    if (record.version !== input.version) return refuse(outdated(record, input.version))
    if (input.draft.resourceId !== record.resourceId && (await begunBy(tx, [record.id])).size > 0)
      return refuse({ code: 'audience/already-begun', field: 'resourceId' })
    const world = await checkedDraft(tx, actor, record.authorId, input.draft)
    if (!world.ok) return world
    const next = { ...record, ...input.draft }
    await saveAssignment(tx, next)
    const reached = await settle(tx, next, world.value)
    return reached.ok ? ok({ learners: reached.value }) : reached
  })
}

/** Publishes held (or withdrawn) work. */
export async function publishWork(
  deps: Deps,
  actor: Actor,
  input: { readonly assignmentId: AssignmentId; readonly version: number },
): Promise<Result<{ readonly learners: number }, WorkRefusal>> {
  return writing(deps.store, async (tx): Promise<Result<{ readonly learners: number }, WorkRefusal>> => {
    const found = await workFor(tx, actor, input.assignmentId)
    if (!found.ok) return found
    if (found.value.version !== input.version) return refuse(outdated(found.value, input.version))
    const next: AssignmentRecord = {
      ...found.value,
      state: 'published',
      publishedAt: found.value.publishedAt ?? deps.clock.now(),
    }
    await saveAssignment(tx, next)
    const reached = await settle(tx, next, await worldLoader(tx)(next.authorId, namedClasses(next)))
    return reached.ok ? ok({ learners: reached.value }) : reached
  })
}

/** Takes work back: learners no longer see it, what they did is kept. */
export async function withdrawWork(
  deps: Deps,
  actor: Actor,
  input: { readonly assignmentId: AssignmentId; readonly version: number },
): Promise<Result<{ readonly done: true }, AccessRefusal>> {
  return writing(deps.store, async (tx): Promise<Result<{ readonly done: true }, AccessRefusal>> => {
    const found = await workFor(tx, actor, input.assignmentId)
    if (!found.ok) return found
    if (!(await saveAssignment(tx, { ...found.value, state: 'withdrawn', version: input.version })))
      return refuse(outdated(found.value, input.version))
    return ok({ done: true as const })
  })
}
