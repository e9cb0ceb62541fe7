import { groupBy, ok } from '#core/base'
import type { ClassId, Instant, LessonId, Result, UserId } from '#core/base'
import type { AccessRefusal, Teacher } from '#core/access'
import type { Attempt } from '#core/attempts'
import { NO_WINDOW, windowState } from '#core/availability'
import type { Window, WorkState } from '#core/availability'
import type { ResourceKind } from '#core/library'
import {
  anchoredLessons,
  byNeed,
  classWindow,
  namedClasses,
  needOf,
  progressOf,
  resolveWork,
  rulesOf,
} from '#core/work'
import type { Assignment, LearnerWork, Need, Progress } from '#core/work'
import { assignmentsFor, attemptsOf, learnerWorkOf, resourcesById } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { settleOverdue } from '../settling/settleOverdue'
import { classesInView } from '../ground/classAccess'
import { worldLoader } from '../ground/world'
import type { World } from '../ground/world'

/** One assignment in a teacher's list, with how far each of its classes is. */
export interface ListedWork
  extends Progress, Pick<Assignment, 'id' | 'title' | 'state' | 'publishedAt' | 'version'> {
  /** Of its first piece. */
  readonly kind: ResourceKind
  readonly pieces: number
  readonly isRecommended: boolean
  readonly need: Need
  /** The lesson on which it hangs first; null: it hangs on none. */
  readonly lessonId: LessonId | null
  readonly classes: readonly ListedClass[]
}
interface ListedClass extends Progress {
  readonly classId: ClassId
  readonly name: string
  readonly window: Window
  readonly state: WorkState
  readonly isGiven: boolean
  /** Its moments can no longer be worked out there, so that those that learners had stay. */
  readonly isStuck: boolean
}

/** All work of a teacher's classes with how far it is, most urgent need first. */
export async function listWork(
  deps: Deps,
  actor: Teacher,
): Promise<Result<{ readonly work: readonly ListedWork[]; readonly now: Instant }, AccessRefusal>> {
  const tx = deps.store.read
  const now = deps.clock.now()
  const classIds = (await classesInView(tx, actor)).map((c) => c.id)
  const all = await assignmentsFor(tx, actor.schoolId, actor.userId, classIds)
  const assignments = all.filter((a) => !isThrownAway(a))
  const ids = assignments.map((a) => a.id)
  await settleOverdue(deps, { assignmentIds: ids })
  const inView = new Set(classIds)
  const theirs = (await learnerWorkOf(tx, ids)).filter((r) => inView.has(r.classId))
  const rowsOf = groupBy(theirs, (r) => r.assignmentId)
  const triesOf = groupBy(await attemptsOf(tx, ids), (t) => t.assignmentId)
  const pieceIds = assignments.flatMap((a) => a.pieces.slice(0, 1).map((p) => p.resourceId))
  const pieces = await resourcesById(tx, pieceIds)
  const load = worldLoader(tx)
  const work: ListedWork[] = []
  for (const assignment of assignments) {
    const world = await load(assignment.authorId, namedClasses(assignment))
    const [first] = assignment.pieces
    const kind = (first && pieces.get(first.resourceId)?.resource.kind) ?? 'check'
    const rows = rowsOf.get(assignment.id) ?? []
    const tries = triesOf.get(assignment.id) ?? []
    work.push(listed(assignment, { kind, rows, tries, world, inView, now }))
  }
  return ok({ work: work.sort(byNeed), now })
}

/** What is known of one assignment. */
interface WorkSeen {
  /** The kind of its first piece. */
  readonly kind: ResourceKind
  readonly rows: readonly LearnerWork[]
  readonly tries: readonly Attempt[]
  readonly world: World
  /** Classes of which the asker may know. */
  readonly inView: ReadonlySet<ClassId>
  readonly now: Instant
}

function listed(assignment: Assignment, { kind, rows, tries, world, inView, now }: WorkSeen): ListedWork {
  const { id, title, state, version, publishedAt } = assignment
  const counted = assignment.pieces.map((p) => ({ id: p.id, kept: rulesOf(assignment, p).kept }))
  const reached = state === 'held' ? heldFor(assignment, world).filter((r) => inView.has(r.classId)) : rows
  const byClass = groupBy(reached, (r) => r.classId)
  // classes that nobody is in yet, and those whose teacher has not given it
  const waiting = [...new Set([...namedClasses(assignment), ...assignment.notFor])].flatMap((classId) =>
    byClass.has(classId) || !inView.has(classId) || !world.classes.has(classId)
      ? []
      : [[classId, []] as const],
  )
  const classes = [...byClass, ...waiting].map(([classId, own]): ListedClass => {
    const of = world.classes.get(classId)
    const worked = classWindow(assignment, classId, of?.ground)
    const window = worked ?? rows.find((r) => r.classId === classId)?.terms ?? NO_WINDOW
    return {
      classId,
      name: of?.record.name ?? '',
      ...progressOf(learnersIn(own), tries, counted),
      window: windowOnly(window),
      state: windowState(window, now).state,
      isGiven: !assignment.notFor.includes(classId),
      isStuck: worked === null,
    }
  })
  const need = needOf(
    state,
    classes.filter((c) => c.isGiven).map((c) => c.state),
    assignment.about.isRecommended,
  )
  const all = progressOf(learnersIn(reached), tries, counted)
  const [lessonId = null] = anchoredLessons(assignment)
  return {
    id,
    title,
    kind,
    pieces: counted.length,
    state,
    publishedAt,
    isRecommended: assignment.about.isRecommended,
    version,
    need,
    lessonId,
    ...all,
    classes,
  }
}

/** Held work that was taken back: nobody ever had it, so that there is nothing to be kept. */
function isThrownAway({ state, publishedAt }: Assignment): boolean {
  return state === 'withdrawn' && publishedAt === null
}

function windowOnly({ listed, opens, due, closes, putAway }: Window): Window {
  return { listed, opens, due, closes, putAway }
}

/** Learners, each once however many pieces they have. */
function learnersIn(rows: readonly { readonly learnerId: UserId }[]): UserId[] {
  return [...new Set(rows.map((r) => r.learnerId))]
}

/** Whom held work would reach, each learner in the class that sets their dates. */
function heldFor(
  assignment: Assignment,
  { around }: World,
): readonly Pick<LearnerWork, 'learnerId' | 'classId'>[] {
  return resolveWork(assignment, around).reached.flatMap(({ learnerId, classIds: [classId] }) =>
    classId ? [{ learnerId, classId }] : [],
  )
}
