import { groupBy, ok } from '#core/base'
import type { ClassId } from '#core/base'
import type { Teacher } from '#core/access'
import { spreadOnStandard, standardColumns, standingOnStandards } from '#core/evidence'
import type { ServedByLesson } from '#core/evidence'
import { cardOfKind } from '#core/library'
import { learnersOf, standardsByCode, standardsOfLessons } from '#db/repositories'
import type { Connection } from '#db/repositories'
import { groundFor } from '../ground/classGrounds'
import type { ClassGround } from '../ground/classGrounds'
import type { Deps } from '../ground/deps'
import { countedTriesIn, workIn } from './countedTries'

/**
 * How a class's learners stand on each standard that its plan serves or its work has asked for, in the plan's order;
 * when it was taught and last seen. By the tries that count of work that the class has; of work of other classes, which
 * the same learners have too, nothing.
 */
export async function showStandardsMap(deps: Deps, actor: Teacher, classId: ClassId) {
  const tx = deps.store.read
  const found = await groundFor(tx, actor, classId, 'see')
  if (!found.ok) return found
  const now = deps.clock.now()
  const learners = (await learnersOf(tx, [classId])).get(classId) ?? []
  const learnerIds = learners.map((l) => l.id)
  const work = await workIn(tx, classId)
  const standings = standingOnStandards(await countedTriesIn(deps, work, new Set(learnerIds)))
  const asked = new Set([...standings.values()].flatMap((own) => [...own.keys()]))
  const columns = standardColumns(await servedIn(tx, actor, found.value), asked, now)
  const codes = columns.map((c) => c.code)
  const textOf = new Map((await standardsByCode(tx, actor.schoolId, codes)).map((s) => [s.code, s.text]))
  return ok({
    classId,
    name: found.value.record.name,
    zone: found.value.year.zone,
    now,
    learners: learners.map(({ id, name }) => ({ id, name })),
    columns: columns.map((column) => {
      const spread = spreadOnStandard(learnerIds, (id) => standings.get(id)?.get(column.code))
      return { ...column, text: textOf.get(column.code) ?? '', spread }
    }),
    standings: learnerIds.flatMap((learnerId) =>
      [...(standings.get(learnerId) ?? [])].map(([code, standing]) => ({ learnerId, code, ...standing })),
    ),
  })
}

/** Which standards the lessons of a class's plan teach or assess, in the plan's order, and when each lesson is over. */
async function servedIn(
  tx: Connection,
  actor: Teacher,
  { plan, ground }: ClassGround,
): Promise<readonly ServedByLesson[]> {
  if (!plan) return []
  const serving = groupBy(
    await standardsOfLessons(
      tx,
      actor,
      plan.lessons.flatMap((l) => l.bookLessonId ?? []),
    ),
    (s) => s.bookLessonId,
  )
  const unitOf = new Map(plan.units.map((u) => [u.id, u.title]))
  return plan.lessons.flatMap(({ id, unitId, number, bookLessonId }) => {
    const last = ground.extents?.get(id)?.last
    const overAt = (last === undefined ? null : ground.meetings[last]?.endsAt) ?? null
    const about = { unit: unitOf.get(unitId) ?? '', number, overAt }
    const pieces = (bookLessonId === null ? null : serving.get(bookLessonId)) ?? []
    const each = new Map(
      pieces.map(({ code, kind }) => {
        const how = cardOfKind(kind).measures === null ? ('taught' as const) : ('assessed' as const)
        return [`${code} ${how}`, { code, how, ...about }]
      }),
    )
    return [...each.values()]
  })
}
