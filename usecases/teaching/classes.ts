import { ok } from '#core/base'
import type { ClassId, IsoDay, Result, UserId } from '#core/base'
import { canArchiveClass, canRunClass } from '#core/access'
import type { AccessRefusal, Teacher } from '#core/access'
import type { AudienceRefusal } from '#core/audience'
import type { Accommodation } from '#core/availability'
import { lossesBetween } from '#core/calendar'
import {
  classesById,
  classesOfGroup,
  classesTaughtBy,
  groupsOf,
  learnersOf,
  saveAccommodation,
  setGrades,
  setStart,
  teachersOf,
  userById,
} from '#db/repositories'
import type { Connection, Person } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { groundsOf } from '../ground/classGrounds'
import type { ClassGround } from '../ground/classGrounds'
import { writing } from '../ground/writing'
import { refreshWork } from '../settling/refreshWork'
import { asTheyStand } from '../ground/meansOnStandards'
import { classFor, learnerFor } from '../ground/classAccess'

/** A class with its roster, groups, timetable and lost meetings per term. */
export async function showClass(deps: Deps, actor: Teacher, classId: ClassId) {
  const tx = deps.store.read
  const found = await classFor(tx, actor, classId, 'see')
  if (!found.ok) return found
  const { record, year, plan, calendar, ground } = (await groundsOf(tx, [found.value])).get(
    classId,
  ) as ClassGround
  const { zone } = ground
  const groups = await asTheyStand(
    tx,
    (await groupsOf(tx, [classId])).filter((g) => g.archivedAt === null),
  )
  const learners = (await learnersOf(tx, [classId])).get(classId) ?? []
  const teacherIds = (await teachersOf(tx, [classId])).get(classId) ?? []
  const teachers = await Promise.all(teacherIds.map(async (id) => (await userById(tx, id))?.name ?? ''))
  const { id, name, shortName, course, joinCode, joinOpen, version, pattern, planId } = record
  return ok({
    id,
    name,
    shortName,
    course,
    joinCode,
    joinOpen,
    isArchived: record.archivedAt !== null,
    version,
    pattern,
    planId,
    year,
    teachers,
    planTitle: plan?.title ?? null,
    mayRun: canRunClass(actor, { schoolId: record.schoolId, teacherIds }),
    mayArchive: canArchiveClass(actor, { schoolId: record.schoolId, teacherIds }),
    learners: learners.map((l) => ({
      id: l.id,
      name: l.name,
      signIn: l.joined ? l.signIn : null,
      accommodation: l.accommodation,
      grade: l.grade,
      startsOn: zone.local(l.startsAt).on,
      groupIds: groups.filter((g) => g.learnerIds.includes(l.id)).map((g) => g.id),
    })),
    groups: groups.map((g) => ({
      id: g.id,
      name: g.name,
      rule: g.rule,
      classIds: classesOfGroup(g),
      learners: g.learnerIds.length,
    })),
    ownClasses: (await classesTaughtBy(tx, actor.userId)).map((c) => ({ id: c.id, name: c.shortName })),
    meetings: calendar.meetings.length,
    lost: calendar.lost.map(({ on, because }) => ({ on, because })),
    terms: year.terms.map((t) => ({ name: t.name, ...lossesBetween(calendar, t.firstOn, t.lastOn) })),
  })
}

/** Sets a learner's extra time, attempts and days, and their grade where it is given; open and future work follows. */
export async function setAccommodation(
  deps: Deps,
  actor: Teacher,
  input: {
    readonly classId: ClassId
    readonly learnerId: UserId
    readonly accommodation: Accommodation
    readonly grade?: number | null | undefined
    /** Their start line in the class. */
    readonly startsOn?: IsoDay | undefined
  },
): Promise<Result<{ readonly done: true }, AccessRefusal | AudienceRefusal>> {
  return writing(
    deps.store,
    async (tx): Promise<Result<{ readonly done: true }, AccessRefusal | AudienceRefusal>> => {
      const found = await learnerFor(tx, actor, input)
      if (!found.ok) return found
      await saveAccommodation(tx, input.learnerId, input.accommodation)
      if (input.grade !== undefined) await setGrades(tx, [input.learnerId], input.grade)
      if (input.startsOn !== undefined) await moveStart(tx, input.classId, found.value, input.startsOn)
      await refreshWork(tx, [input.classId], deps.clock.now())
      return ok({ done: true as const })
    },
  )
}

/** Sets a learner's start line at the beginning of a day; on the day of joining it is when they joined. */
async function moveStart(
  tx: Connection,
  classId: ClassId,
  { id: learnerId, joinedAt }: Person,
  on: IsoDay,
): Promise<void> {
  const of = (await groundsOf(tx, await classesById(tx, [classId]))).get(classId)
  if (!of) throw new Error('class without ground')
  const { zone } = of.ground
  const startsAt = zone.local(joinedAt).on === on ? null : zone.at(on, 0)
  await setStart(tx, { classId, learnerId, startsAt })
}
