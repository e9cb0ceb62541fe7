import type { ClassId, GroupId, LessonId, UserId } from '#core/base'
import { reach } from '#core/audience'
import type { Reached, Roster } from '#core/audience'
import { resolverFor } from '#core/availability'
import type {
  Accommodation,
  AvailabilityRefusal,
  Ground,
  Moment,
  Overrides,
  Terms,
  WindowSpec,
} from '#core/availability'
import { classesById, classesTaughtBy, groupsOf, learnersOf } from '#db/repositories'
import type { AssignmentRecord, Connection, GroupRecord, LearnerWorkRecord, Person } from '#db/repositories'
import { groundsOf } from '../pacing/grounds'
import type { ClassGround } from '../pacing/grounds'

/** The classes, groups and people among whom an author's assignments are resolved. */
export interface World {
  readonly grounds: ReadonlyMap<ClassId, ClassGround>
  readonly roster: Roster
  readonly groups: readonly GroupRecord[]
  readonly people: ReadonlyMap<UserId, Person>
}

/** An assignment's own values, as far as resolving needs them. */
export type Assignable = Pick<AssignmentRecord, 'authorId' | 'window' | 'rules' | 'targets' | 'exceptIds'>

/** Loads worlds, each class, roster and layout once however many assignments are resolved. */
export function worldLoader(
  tx: Connection,
): (authorId: UserId, classIds: readonly ClassId[]) => Promise<World> {
  const known = new Map<string, World>()
  const taughtBy = new Map<UserId, Awaited<ReturnType<typeof classesTaughtBy>>>()
  return async (authorId, classIds) => {
    const taught = taughtBy.get(authorId) ?? (await classesTaughtBy(tx, authorId))
    taughtBy.set(authorId, taught)
    const more = classIds.filter((id) => !taught.some((c) => c.id === id))
    const key = [authorId, ...[...more].sort()].join(' ')
    const ready = known.get(key)
    if (ready) return ready
    const records = [...taught, ...(await classesById(tx, more))]
    const ids = records.map((r) => r.id)
    const learners = await learnersOf(tx, ids)
    const groups = await groupsOf(tx, ids)
    const people = new Map([...learners.values()].flat().map((p) => [p.id, p]))
    const world: World = {
      grounds: await groundsOf(tx, records),
      groups,
      people,
      roster: {
        classes: new Map([...learners].map(([id, list]) => [id, list.map((p) => p.id)])),
        groups: new Map(groups.map((g) => [g.id, g.learnerIds.filter((l) => people.has(l))])),
      },
    }
    known.set(key, world)
    return world
  }
}

/** Classes that an assignment names. */
export function namedClasses(of: Pick<Assignable, 'targets'>): ClassId[] {
  return of.targets.flatMap((t) => (t.target.kind === 'class' ? [t.target.classId] : []))
}

export interface Resolution {
  readonly reached: readonly Reached[]
  readonly rows: readonly Omit<LearnerWorkRecord, 'assignmentId'>[]
  readonly problems: readonly { readonly classId: ClassId | null; readonly refusal: AvailabilityRefusal }[]
}

/** Who an assignment reaches and each learner's own window and limits; problems name the class in which a window cannot stand. */
export function resolveWork(work: Assignable, world: World): Resolution {
  const grounds = new Map<ClassId, Ground>([...world.grounds].map(([id, g]) => [id, g.ground]))
  const lessons = anchoredLessons(work)
  const reached = reach(
    work.targets.map((t) => t.target),
    world.roster,
    new Set(work.exceptIds),
  )
    .filter((r) => world.people.has(r.learnerId))
    .map((r) => (r.byClass ? r : { ...r, classIds: preferring(r.classIds, lessons, grounds) }))
  const resolve = resolverFor(termsOf(work), grounds)
  const rows: Resolution['rows'][number][] = []
  const problems = new Map<string, { classId: ClassId | null; refusal: AvailabilityRefusal }>()
  for (const one of reached) {
    const resolved = resolve(
      one,
      (world.people.get(one.learnerId) as Person).accommodation satisfies Accommodation,
    )
    if (resolved.ok)
      rows.push({
        learnerId: one.learnerId,
        classId: resolved.value.classId,
        terms: resolved.value.terms,
        because: resolved.value.because,
      })
    else
      problems.set(`${one.classIds[0]} ${JSON.stringify(resolved.error)}`, {
        classId: one.classIds[0] ?? null,
        refusal: resolved.error,
      })
  }
  return { reached, rows, problems: [...problems.values()] }
}

/** Of a learner's classes, those whose layout holds all anchored lessons; all when none does, so that the refusal names one. */
function preferring(
  classIds: readonly ClassId[],
  lessons: readonly LessonId[],
  grounds: ReadonlyMap<ClassId, Ground>,
): readonly ClassId[] {
  const fit = classIds.filter((id) => lessons.every((l) => grounds.get(id)?.extents?.has(l)))
  return fit.length > 0 ? fit : classIds
}

/** Lessons on which an assignment's own window stands. */
export function anchoredLessons(of: { readonly window: WindowSpec }): LessonId[] {
  return [
    ...new Set(
      Object.values(of.window).flatMap((m: Moment | null) => (m?.kind === 'anchor' ? [m.lessonId] : [])),
    ),
  ]
}

function termsOf(work: Assignable): Terms {
  const classes = new Map<string, Overrides>()
  const groups = new Map<GroupId | string, Overrides>()
  const learners = new Map<string, Overrides>()
  for (const { target, overrides } of work.targets) {
    if (target.kind === 'class') classes.set(target.classId, overrides)
    else if (target.kind === 'group') groups.set(target.groupId, overrides)
    else learners.set(target.learnerId, overrides)
  }
  return {
    window: work.window,
    limits: { maxAttempts: work.rules.maxAttempts, timeLimitMinutes: work.rules.timeLimitMinutes },
    overrides: { classes, groups, learners },
  }
}
