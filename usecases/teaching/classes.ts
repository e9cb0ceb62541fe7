import { ok } from '#core/base'
import type { ClassId, IsoDay, Result, UserId } from '#core/base'
import { canArchiveClass, canRunClass } from '#core/access'
import type { AccessRefusal, Teacher } from '#core/access'
import type { AudienceRefusal } from '#core/audience'
import { OWN_TERMS_PARTS } from '#core/availability'
import type { Accommodation, OwnTerms } from '#core/availability'
import { combine } from '#core/combining'
import { lossesBetween } from '#core/calendar'
import type { Zone } from '#core/calendar'
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
import { standsOtherwise } from '../ground/changedMeanwhile'
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

type TermsSet = Result<{ readonly done: true }, AccessRefusal | AudienceRefusal>

/**
 * Sets a learner's extra time, attempts and days, and their grade and start line where they are given; open and future
 * work follows. What a colleague changed since it was `seen` stays where it is about something else; refused where it
 * is about the same.
 */
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
    /** Absent: as it stands. */
    readonly seen?: OwnTerms
  },
): Promise<TermsSet> {
  return writing(deps.store, async (tx): Promise<TermsSet> => {
    const { classId, learnerId } = input
    const found = await learnerFor(tx, actor, input)
    if (!found.ok) return found
    const zone = await zoneOfClass(tx, classId)
    const { accommodation, grade, startsAt } = found.value
    const theirs: OwnTerms = { ...accommodation, grade, startsOn: zone.local(startsAt).on }
    const seen = input.seen ?? theirs
    const mine: OwnTerms = {
      ...input.accommodation,
      grade: input.grade === undefined ? seen.grade : input.grade,
      startsOn: input.startsOn ?? seen.startsOn,
    }
    const { value, clashes } = combine(OWN_TERMS_PARTS, { seen, mine, theirs })
    if (clashes.length > 0) return standsOtherwise()
    await saveAccommodation(tx, learnerId, value)
    if (value.grade !== theirs.grade) await setGrades(tx, [learnerId], value.grade)
    if (value.startsOn !== theirs.startsOn)
      await moveStart(tx, zone, { classId, learner: found.value, on: value.startsOn })
    await refreshWork(tx, [classId], deps.clock.now())
    return ok({ done: true as const })
  })
}

async function zoneOfClass(tx: Connection, classId: ClassId): Promise<Zone> {
  const of = (await groundsOf(tx, await classesById(tx, [classId]))).get(classId)
  if (!of) throw new Error('class without ground')
  return of.ground.zone
}

/** Sets a learner's start line at the beginning of a day; on the day of joining it is when they joined. */
async function moveStart(
  tx: Connection,
  zone: Zone,
  { classId, learner, on }: { readonly classId: ClassId; readonly learner: Person; readonly on: IsoDay },
): Promise<void> {
  const startsAt = zone.local(learner.joinedAt).on === on ? null : zone.at(on, 0)
  await setStart(tx, { classId, learnerId: learner.id, startsAt })
}
