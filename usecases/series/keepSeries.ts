import { asId, ok, refuse, same } from '#core/base'
import type { Result, SeriesId } from '#core/base'
import type { Teacher } from '#core/access'
import { checkSeries, followed } from '#core/series'
import type { Series } from '#core/series'
import { draftOf } from '#core/work'
import { saveSeries } from '#db/repositories'
import type { Connection } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { groundFor } from '../ground/classGrounds'
import type { ClassGround } from '../ground/classGrounds'
import { writing } from '../ground/writing'
import { changeAssignment, openWorkSession } from '../work/workSession'
import type { WorkSession, WorkChange } from '../work/workSession'
import { withdrawAssignment } from '../work/withdrawWork'
import { workFor } from '../work/workFor'
import { checkMembers, draftsOf, noteSeries, seriesAt } from './seriesAct'
import type { ActRefusal, SeriesDone } from './seriesAct'
import { rowsOf } from './showSeries'
import type { ReleasedRow } from './showSeries'

/** Makes a series; nothing is released by that. */
export async function makeSeries(
  deps: Deps,
  actor: Teacher,
  input: { readonly series: Series },
): Promise<SeriesDone> {
  return writing(deps.store, async (tx): Promise<SeriesDone> => {
    const { series } = input
    const ground = await groundFor(tx, actor, series.classId, 'run')
    if (!ground.ok) return ground
    const fault = await faultIn(tx, actor, series, null)
    if (!fault.ok) return fault
    const seriesId = asId<SeriesId>(deps.ids.newId())
    const { schoolId, userId: authorId } = actor
    await saveSeries(tx, {
      id: seriesId,
      schoolId,
      authorId,
      version: 0,
      createdAt: deps.clock.now(),
      series,
    })
    const act = { what: 'made', seriesId, classId: series.classId, from: null, to: series, done: [] } as const
    await noteSeries(tx, deps, actor, act)
    return ok({ seriesId, rows: 0, version: 1 })
  })
}

/**
 * Gives a series another title, rule, rows or targets. The work of rows that are released follows: its days move, who
 * gets it changes, and what is no longer a row is taken back. Refused where learners have begun what would go.
 */
export async function changeSeries(
  deps: Deps,
  actor: Teacher,
  input: { readonly seriesId: SeriesId; readonly version: number; readonly series: Series },
): Promise<SeriesDone> {
  return writing(deps.store, async (tx): Promise<SeriesDone> => {
    const found = await seriesAt(tx, actor, input)
    if (!found.ok) return found
    const { record, ground } = found.value
    const from = record.series
    const to = { ...input.series, classId: from.classId }
    const fault = await faultIn(tx, actor, to, from)
    if (!fault.ok) return fault
    if (same(from, to)) return ok({ seriesId: record.id, rows: 0, version: record.version })
    const released = (await rowsOf(tx, [record.id])).get(record.id) ?? []
    const done = await followRows(openWorkSession(tx, deps, actor), { from, to, released, ground })
    if (!done.ok) return done
    await saveSeries(tx, { ...record, series: to })
    const { classId } = from
    await noteSeries(tx, deps, actor, {
      what: 'changed',
      seriesId: record.id,
      classId,
      from,
      to,
      done: done.value,
    })
    return ok({ seriesId: record.id, rows: done.value.length, version: record.version + 1 })
  })
}

async function faultIn(
  tx: Connection,
  actor: Teacher,
  series: Series,
  stands: Series | null,
): Promise<Result<true, ActRefusal>> {
  const checked = checkSeries(series)
  return checked.ok ? checkMembers(tx, actor, series, stands) : checked
}

interface Following {
  readonly from: Series
  readonly to: Series
  readonly released: readonly ReleasedRow[]
  readonly ground: ClassGround
}

/** Changes the work of released rows where the series changed; the first refusal ends it. */
async function followRows(
  session: WorkSession,
  { from, to, released, ground }: Following,
): Promise<Result<readonly WorkChange[], ActRefusal>> {
  const byRow = (list: Awaited<ReturnType<typeof draftsOf>>) =>
    new Map(list.map((r) => [r.laid.rowId, r.draft]))
  const was = byRow(await draftsOf(session.tx, from, ground))
  const becomes = byRow(await draftsOf(session.tx, to, ground))
  const done: WorkChange[] = []
  for (const row of released) {
    const [had, next] = [was.get(row.rowId) ?? null, becomes.get(row.rowId) ?? null]
    if (next !== null && had !== null && same(had, next)) continue
    const found = await workFor(session.tx, session.actor, row.assignmentId)
    if (!found.ok) return found
    const { assignment } = found.value
    if (next === null || next.pieces[0]?.resourceId !== assignment.pieces[0]?.resourceId) {
      const position = from.rows.findIndex((r) => r.id === row.rowId) + 1
      if (row.begun > 0)
        return refuse({ code: 'series/row-begun', field: 'rows', row: position, title: assignment.title })
      const taken = await withdrawAssignment(session.tx, session.deps, session.actor, {
        assignmentId: assignment.id,
        version: assignment.version,
      })
      if (!taken.ok) return taken
      done.push(taken.value)
      continue
    }
    const changed = await changeAssignment(session, found.value, followed(draftOf(assignment), had, next))
    if (!changed.ok) return changed
    done.push(changed.value)
  }
  return ok(done)
}
