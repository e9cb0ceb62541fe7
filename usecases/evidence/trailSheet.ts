import { mondayOf, ok, refuse } from '#core/base'
import type { ClassId, Result, TrailId, UserId } from '#core/base'
import type { AccessRefusal, Teacher } from '#core/access'
import { zoneOf } from '#core/calendar'
import { effectOfSupport, suggestStep, supportByWeek, trailOf } from '#core/versions'
import type { VersionsRefusal } from '#core/versions'
import {
  groupsOf,
  learnersOf,
  publishedIdsOf,
  saveClassTrail,
  saveLearnerTrails,
  trailSettingsOf,
  trailsIn,
  yearsById,
} from '#db/repositories'
import type { Deps } from '../ground/deps'
import { settleOverdue } from '../settling/settleOverdue'
import { standsOtherwise } from '../ground/changedMeanwhile'
import { writing } from '../ground/writing'
import { classFor } from '../ground/classAccess'
import { refreshWork } from '../settling/refreshWork'
import { trailPaths } from './trailPaths'

/** A class's learners with their trails, what they had with how much support, and what the scores suggest next. */
export async function showTrailSheet(deps: Deps, actor: Teacher, classId: ClassId) {
  const tx = deps.store.read
  const found = await classFor(tx, actor, classId, 'see')
  if (!found.ok) return found
  const now = deps.clock.now()
  await settleOverdue(deps, { assignmentIds: await publishedIdsOf(tx, classId) })
  const { trails, thresholds } = await trailSettingsOf(tx, actor.schoolId)
  const inClass = (await trailsIn(tx, [classId])).get(classId)
  const learners = (await learnersOf(tx, [classId])).get(classId) ?? []
  const paths = await trailPaths(tx, classId, now)
  const year = (await yearsById(tx, [found.value.yearId])).get(found.value.yearId)?.year
  const zone = zoneOf(year?.zone ?? 'UTC')
  const rows = learners.map(({ id, name }) => {
    const points = paths.get(id) ?? []
    const trailId = trailOf(trails, inClass, id)
    return {
      learnerId: id,
      name,
      trailId,
      isOwn: inClass?.learners.has(id) ?? false,
      points,
      next: suggestStep(points, trailId, trails, thresholds),
    }
  })
  const all = rows.map((r) => r.points)
  return ok({
    classId,
    name: found.value.name,
    zone: year?.zone ?? 'UTC',
    trails,
    thresholds,
    usual: inClass?.usual ?? trails[0]?.id ?? null,
    groups: (await groupsOf(tx, [classId])).map(({ id, name, learnerIds }) => ({ id, name, learnerIds })),
    rows,
    weeks: supportByWeek(all.flat(), trails, (at) => mondayOf(zone.local(at).on)),
    effects: effectOfSupport(all, trails),
    now,
  })
}

interface LearnerStep {
  readonly learnerId: UserId
  readonly trailId: TrailId
  /** The trail that was shown; absent: as it stands. */
  readonly seen?: TrailId
}
type Stepped = Result<{ readonly moved: number }, AccessRefusal | VersionsRefusal>

/**
 * Puts learners of a class on trails, from now on; `usual` is for who has none of their own. Work that they have not
 * begun and that is not due yet follows. Refused where a colleague put one of them on another trail since it was seen.
 */
export async function setTrails(
  deps: Deps,
  actor: Teacher,
  input: {
    readonly classId: ClassId
    readonly usual: TrailId | null
    readonly learners: readonly LearnerStep[]
    /** The class's usual trail as it was shown; absent: as it stands. */
    readonly seenUsual?: TrailId | null
  },
): Promise<Stepped> {
  return writing(deps.store, async (tx): Promise<Stepped> => {
    const { classId, usual, learners } = input
    const found = await classFor(tx, actor, classId, 'run')
    if (!found.ok) return found
    const { trails } = await trailSettingsOf(tx, actor.schoolId)
    const known = new Set(trails.map((t) => t.id))
    const named = [...learners.map((l) => l.trailId), ...(usual === null ? [] : [usual])]
    if (named.some((id) => !known.has(id)))
      return refuse({ code: 'versions/unknown-trail', field: 'trailId' })
    const there = new Set(((await learnersOf(tx, [classId])).get(classId) ?? []).map((l) => l.id))
    if (learners.some((l) => !there.has(l.learnerId)))
      return refuse({ code: 'access/not-found', what: 'learner' })
    const stands = (await trailsIn(tx, [classId])).get(classId)
    const isOther = ({ learnerId, trailId, seen }: LearnerStep) => {
      const on = trailOf(trails, stands, learnerId)
      return seen !== undefined && on !== seen && on !== trailId
    }
    const usualNow = stands?.usual ?? trails[0]?.id ?? null
    const isUsualOther = input.seenUsual !== undefined && usualNow !== input.seenUsual && usualNow !== usual
    if (learners.some(isOther) || (usual !== null && isUsualOther)) return standsOtherwise()
    const now = deps.clock.now()
    if (usual !== null) await saveClassTrail(tx, classId, usual)
    const own = new Map(learners.map((l) => [l.learnerId, l.trailId]))
    await saveLearnerTrails(tx, classId, own, { changedAt: now, changedBy: actor.userId })
    const { moved } = await refreshWork(tx, [classId], now)
    return ok({ moved })
  })
}
