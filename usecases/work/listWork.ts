import { ok, refuse } from '#core/base'
import type { AssignmentId, ClassId, Instant, UserId } from '#core/base'
import { isTeacher } from '#core/access'
import type { Actor } from '#core/access'
import { keptScore } from '#core/attempts'
import type { Attempt } from '#core/attempts'
import { windowState } from '#core/availability'
import type { Window, WorkState } from '#core/availability'
import type { ResourceKind } from '#core/library'
import {
  assignmentsFor,
  attemptsOf,
  begunBy,
  groupsOf,
  learnerWorkOf,
  learnersOf,
  resourcesById,
} from '#db/repositories'
import type { AssignmentRecord, LearnerWorkRecord } from '#db/repositories'
import type { Deps } from '../deps'
import { settleOverdue } from '../learning/settleOverdue'
import { classesInView } from '../teaching/classAccess'
import { workFor } from './changeWork'
import { classWindow } from './previewWork'
import { namedClasses, resolveWork, worldLoader } from './world'
import type { World } from './world'

/** All work of a teacher's classes with how far it is, most urgent need first. */
export async function listWork(deps: Deps, actor: Actor) {
  if (!isTeacher(actor)) return refuse({ code: 'access/denied' as const })
  const tx = deps.store.read
  const now = deps.clock.now()
  const classIds = (await classesInView(tx, actor)).map((c) => c.id)
  const records = await assignmentsFor(tx, actor.schoolId, actor.userId, classIds)
  const ids = records.map((r) => r.id)
  await settleOverdue(deps, { assignmentIds: ids })
  const [rows, tries, pieces, load] = [
    await learnerWorkOf(tx, ids),
    await attemptsOf(tx, ids),
    await resourcesById(
      tx,
      records.map((r) => r.resourceId),
    ),
    worldLoader(tx),
  ]
  const rowsOf = grouped(rows, (r) => r.assignmentId)
  const triesOf = grouped(tries, (t) => t.assignmentId)
  const work = []
  for (const record of records) {
    const world = await load(record.authorId, namedClasses(record))
    work.push(
      rowFor(
        record,
        rowsOf.get(record.id) ?? [],
        triesOf.get(record.id) ?? [],
        world,
        pieces.get(record.resourceId)?.resource.kind ?? 'check',
        now,
      ),
    )
  }
  return ok({ work: work.sort((a, b) => NEED_ORDER.indexOf(a.need) - NEED_ORDER.indexOf(b.need)), now })
}

const NEED_ORDER = ['to-publish', 'late', 'open', 'coming-up', 'done', 'withdrawn'] as const

function grouped<T>(values: readonly T[], by: (value: T) => AssignmentId): Map<AssignmentId, T[]> {
  const out = new Map<AssignmentId, T[]>()
  for (const value of values) {
    const list = out.get(by(value))
    if (list) list.push(value)
    else out.set(by(value), [value])
  }
  return out
}

function rowFor(
  record: AssignmentRecord,
  rows: readonly LearnerWorkRecord[],
  tries: readonly Attempt[],
  world: World,
  kind: ResourceKind,
  now: Instant,
) {
  const reached =
    record.state === 'held'
      ? resolveWork(record, world).reached.map((r) => ({
          learnerId: r.learnerId,
          classId: r.classIds[0] as ClassId,
        }))
      : rows
  const byClass = new Map<ClassId, number>()
  for (const { classId } of reached) byClass.set(classId, (byClass.get(classId) ?? 0) + 1)
  const classes = [...byClass].map(([classId, learners]) => {
    const window: Window = classWindow(record, classId, world) ??
      rows.find((r) => r.classId === classId)?.terms ?? {
        listed: null,
        opens: null,
        due: null,
        closes: null,
        putAway: null,
      }
    return {
      classId,
      name: world.grounds.get(classId)?.record.name ?? '',
      learners,
      opensAt: window.opens,
      dueAt: window.due,
      state: windowState(window, now).state,
    }
  })
  const done = doneBy(tries)
  const ratios = [...done.values()].flatMap((list) => keptScore(list, record.rules.kept) ?? [])
  return {
    id: record.id,
    title: record.title,
    kind,
    state: record.state,
    version: record.version,
    need: needOf(
      record.state,
      classes.map((c) => c.state),
    ),
    learners: reached.length,
    handedIn: done.size,
    inProgress: new Set(tries.filter((t) => t.submittedAt === null).map((t) => t.learnerId)).size,
    mean: ratios.length === 0 ? null : ratios.reduce((a, b) => a + b, 0) / ratios.length,
    classes,
  }
}

function doneBy(tries: readonly Attempt[]): Map<UserId, Attempt[]> {
  const done = new Map<UserId, Attempt[]>()
  for (const t of tries)
    if (t.submittedAt !== null) done.set(t.learnerId, [...(done.get(t.learnerId) ?? []), t])
  return done
}

function needOf(state: AssignmentRecord['state'], states: readonly WorkState[]): (typeof NEED_ORDER)[number] {
  if (state === 'held') return 'to-publish'
  if (state === 'withdrawn') return 'withdrawn'
  if (states.includes('late')) return 'late'
  if (states.includes('open')) return 'open'
  return states.some((s) => s === 'coming-up' || s === 'not-listed') ? 'coming-up' : 'done'
}

/** One assignment as it was set, for changing it. */
export async function showWork(deps: Deps, actor: Actor, assignmentId: AssignmentId) {
  const found = await workFor(deps.store.read, actor, assignmentId)
  if (!found.ok) return found
  const { id, version, state, resourceId, title, note, window, rules, targets, exceptIds } = found.value
  return ok({
    id,
    version,
    state,
    begun: (await begunBy(deps.store.read, [id])).size,
    draft: { resourceId, title, note, window, rules, targets, exceptIds },
  })
}

/** Classes, groups and learners to whom the actor can assign. */
export async function listRecipients(deps: Deps, actor: Actor) {
  if (!isTeacher(actor)) return refuse({ code: 'access/denied' as const })
  const tx = deps.store.read
  const world = await worldLoader(tx)(actor.userId, [])
  const ids = [...world.grounds.keys()]
  const learners = await learnersOf(tx, ids)
  const groups = await groupsOf(tx, ids)
  return ok({
    classes: [...world.grounds.values()].map(({ record }) => ({
      id: record.id,
      name: record.name,
      course: record.course,
      learners: (learners.get(record.id) ?? []).map(({ id, name }) => ({ id, name })),
    })),
    groups: groups.map((g) => ({
      id: g.id,
      classId: g.classId,
      name: g.name,
      learners: g.learnerIds.length,
    })),
  })
}
