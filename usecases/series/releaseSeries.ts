import { ok, refuse } from '#core/base'
import type { AssignmentId, SeriesId } from '#core/base'
import type { Teacher } from '#core/access'
import { addReleases, dropSeries, forgetRelease, releasesOf, saveSeries } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { writing } from '../ground/writing'
import { openWorkSession, makeAssignment } from '../work/workSession'
import type { WorkChange } from '../work/workSession'
import { withdrawAssignment } from '../work/withdrawWork'
import { workFor } from '../work/workFor'
import { draftsOf, noteSeries, seriesAt } from './seriesAct'
import type { SeriesDone } from './seriesAct'
import { rowsOf } from './showSeries'

/** Which series, as it stood at a version. */
export interface SeriesAtVersion {
  readonly seriesId: SeriesId
  readonly version: number
}

/**
 * Publishes all rows that have both days and are not released yet, each as work of its own; it opens by itself when
 * its day comes. Refused when there is none.
 */
export async function releaseSeries(deps: Deps, actor: Teacher, input: SeriesAtVersion): Promise<SeriesDone> {
  return writing(deps.store, async (tx): Promise<SeriesDone> => {
    const found = await seriesAt(tx, actor, input)
    if (!found.ok) return found
    const { record, ground } = found.value
    const { id: seriesId, series } = record
    const released = new Set((await rowsOf(tx, [seriesId])).get(seriesId)?.map((r) => r.rowId))
    const before = (await releasesOf(tx, [seriesId])).get(seriesId) ?? new Map<string, AssignmentId>()
    const session = openWorkSession(tx, deps, actor)
    const done: WorkChange[] = []
    const made: { rowId: string; assignmentId: AssignmentId }[] = []
    for (const { laid, draft } of await draftsOf(tx, series, ground)) {
      if (draft === null || released.has(laid.rowId)) continue
      const one = await makeAssignment(session, draft, true)
      if (!one.ok) return one
      if (before.has(laid.rowId)) await forgetRelease(tx, seriesId, laid.rowId)
      made.push({ rowId: laid.rowId, assignmentId: one.value.after.id })
      done.push(one.value)
    }
    if (done.length === 0) return refuse({ code: 'series/nothing-to-release', field: 'rows' })
    await addReleases(tx, seriesId, made)
    await saveSeries(tx, record)
    const { classId } = series
    await noteSeries(tx, deps, actor, { what: 'released', seriesId, classId, from: series, to: series, done })
    return ok({ seriesId, rows: done.length, version: record.version + 1 })
  })
}

/**
 * Takes back all rows that nobody has begun and clears the series of them, as one step, to start over. Rows that
 * learners have begun stay; `rows` tells how many went.
 */
export async function clearSeries(deps: Deps, actor: Teacher, input: SeriesAtVersion): Promise<SeriesDone> {
  return writing(deps.store, async (tx): Promise<SeriesDone> => {
    const found = await seriesAt(tx, actor, input)
    if (!found.ok) return found
    const { record } = found.value
    const { id: seriesId, series: from } = record
    const released = (await rowsOf(tx, [seriesId])).get(seriesId) ?? []
    const done: WorkChange[] = []
    for (const { assignmentId, begun } of released) {
      if (begun > 0) continue
      const work = await workFor(tx, actor, assignmentId)
      if (!work.ok) return work
      const { version } = work.value.assignment
      const one = await withdrawAssignment(tx, deps, actor, { assignmentId, version })
      if (!one.ok) return one
      done.push(one.value)
    }
    const stays = new Set(released.filter((r) => r.begun > 0).map((r) => r.rowId))
    const to = { ...from, rows: from.rows.filter((r) => stays.has(r.id)) }
    await saveSeries(tx, { ...record, series: to })
    await noteSeries(tx, deps, actor, { what: 'cleared', seriesId, classId: from.classId, from, to, done })
    return ok({ seriesId, rows: from.rows.length - to.rows.length, version: record.version + 1 })
  })
}

/** Takes a series away that has no released rows. */
export async function removeSeries(deps: Deps, actor: Teacher, input: SeriesAtVersion): Promise<SeriesDone> {
  return writing(deps.store, async (tx): Promise<SeriesDone> => {
    const found = await seriesAt(tx, actor, input)
    if (!found.ok) return found
    const { id: seriesId, series: from } = found.value.record
    const [released] = (await rowsOf(tx, [seriesId])).get(seriesId) ?? []
    if (released) {
      const row = from.rows.findIndex((r) => r.id === released.rowId) + 1
      return refuse({ code: 'series/still-released', field: 'rows', row })
    }
    await dropSeries(tx, seriesId)
    const act = { what: 'removed', seriesId, classId: from.classId, from, to: null, done: [] } as const
    await noteSeries(tx, deps, actor, act)
    return ok({ seriesId, rows: 0, version: input.version })
  })
}
