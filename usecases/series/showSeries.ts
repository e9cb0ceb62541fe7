import { ok } from '#core/base'
import type { AssignmentId, ClassId, IsoDay, SeriesId } from '#core/base'
import { canRunClass } from '#core/access'
import type { Teacher } from '#core/access'
import type { SeriesDays } from '#core/series'
import {
  assignmentsById,
  begunBy,
  groupsOf,
  learnersOf,
  learnersHaving,
  releasesOf,
  resourcesById,
  seriesOf,
  teachersOf,
} from '#db/repositories'
import type { Connection } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { groundFor } from '../ground/classGrounds'
import type { ClassGround } from '../ground/classGrounds'

/** A class's series with what their rows became, and the days on which rows can open. */
export async function showSeries(deps: Deps, actor: Teacher, input: { readonly classId: ClassId }) {
  const tx = deps.store.read
  const found = await groundFor(tx, actor, input.classId, 'see')
  if (!found.ok) return found
  const { record, year, ground, plan, layout, calendar } = found.value
  const kept = await seriesOf(tx, [record.id])
  const rows = await rowsOf(
    tx,
    kept.map((k) => k.id),
  )
  const resources = await resourcesById(
    tx,
    kept.flatMap((k) => k.series.rows.map((r) => r.resourceId)),
  )
  const learners = (await learnersOf(tx, [record.id])).get(record.id) ?? []
  const groups = await groupsOf(tx, [record.id])
  const teacherIds = (await teachersOf(tx, [record.id])).get(record.id) ?? []
  return ok({
    classId: record.id,
    name: record.name,
    zone: year.zone,
    firstOn: year.firstOn,
    now: deps.clock.now(),
    mayChange: canRunClass(actor, { schoolId: record.schoolId, teacherIds }),
    days: daysFor(found.value),
    lessons: (layout?.placements ?? []).flatMap((p) => {
      const lesson = plan?.lessons.find((l) => l.id === p.lessonId)
      const extent = ground.extents?.get(p.lessonId)
      const first = extent && calendar.meetings[extent.first]?.on
      const last = extent && calendar.meetings[extent.last]?.on
      return lesson && first && last
        ? [{ number: lesson.number, title: lesson.title, firstOn: first, lastOn: last }]
        : []
    }),
    learners: learners.map(({ id, name }) => ({ id, name })),
    groups: groups.map(({ id, name }) => ({ id, name })),
    series: kept.map(({ id, version, series }) => ({ id, version, series, rows: rows.get(id) ?? [] })),
    pieces: [...resources.values()].map(({ resource, revision }) => ({
      id: resource.id,
      code: resource.code,
      title: resource.title,
      kind: resource.kind,
      minutes: resource.minutes,
      revision,
    })),
  })
}

/** The days on which rows of a class's series can open. */
export function daysFor({ calendar, schoolDays, year }: ClassGround): SeriesDays {
  const meetingDays: readonly IsoDay[] = calendar.meetings.map((m) => m.on)
  return { meetingDays, schoolDays: schoolDays.map((d) => d.on), lastOn: year.lastOn }
}

/** What became of a row: published or held work, with how many learners have it, and have begun. */
export interface ReleasedRow {
  readonly rowId: string
  readonly assignmentId: AssignmentId
  readonly state: 'held' | 'published'
  readonly learners: number
  readonly begun: number
}

/** The rows of series that are work now; what was withdrawn is not released. */
export async function rowsOf(
  tx: Connection,
  ids: readonly SeriesId[],
): Promise<ReadonlyMap<SeriesId, readonly ReleasedRow[]>> {
  const releases = await releasesOf(tx, ids)
  const workIds = [...releases.values()].flatMap((of) => [...of.values()])
  const works = new Map((await assignmentsById(tx, workIds)).map((a) => [a.id, a]))
  const begun = await begunBy(tx, workIds)
  const learners = await learnersHaving(tx, workIds)
  return new Map(
    [...releases].map(([seriesId, of]) => [
      seriesId,
      [...of].flatMap(([rowId, assignmentId]) => {
        const state = works.get(assignmentId)?.state
        if (state === undefined || state === 'withdrawn') return []
        const counts = {
          learners: learners.get(assignmentId) ?? 0,
          begun: begun.get(assignmentId)?.size ?? 0,
        }
        return [{ rowId, assignmentId, state, ...counts }]
      }),
    ]),
  )
}
