import { ok, refuse } from '#core/base'
import type { ClassId, Result, SeriesId } from '#core/base'
import type { AccessRefusal, Teacher } from '#core/access'
import { canSeeResource } from '#core/access'
import type { Target } from '#core/audience'
import { draftOfRow, layRows } from '#core/series'
import type { LaidRow, Series, SeriesAct, SeriesRefusal, SeriesRow } from '#core/series'
import { commandOf, idsTouched } from '#core/work'
import type { Draft } from '#core/work'
import { addToJournal, groupsOf, learnersOf, resourcesById, seriesById } from '#db/repositories'
import type { Connection, SeriesRecord } from '#db/repositories'
import { changedMeanwhile } from '../ground/changedMeanwhile'
import type { Deps } from '../ground/deps'
import { groundFor } from '../ground/classGrounds'
import type { ClassGround } from '../ground/classGrounds'
import type { WorkChange, WorkActRefusal } from '../work/workSession'
import { daysFor } from './showSeries'

export type ActRefusal = WorkActRefusal | SeriesRefusal | AccessRefusal
/** How many rows' work was touched, and the series' version since. */
export type SeriesDone = Result<
  { readonly seriesId: SeriesId; readonly rows: number; readonly version: number },
  ActRefusal
>

/** A series that the actor may change, as it stood at `version`, with its class. */
export async function seriesAt(
  tx: Connection,
  actor: Teacher,
  of: { readonly seriesId: SeriesId; readonly version: number },
): Promise<Result<{ readonly record: SeriesRecord; readonly ground: ClassGround }, AccessRefusal>> {
  const record = await seriesById(tx, of.seriesId)
  if (!record) return refuse({ code: 'access/not-found', what: 'series' })
  const ground = await groundFor(tx, actor, record.series.classId, 'run')
  if (!ground.ok) return ground
  const { version: now } = record
  if (now !== of.version) return changedMeanwhile(tx, actor, { seen: of.version, now, id: of.seriesId })
  return ok({ record, ground: ground.value })
}

/** Refused when pieces are not the actor's to give, or somebody named is not in the class. */
export async function checkMembers(
  tx: Connection,
  actor: Teacher,
  series: Series,
  stands: Series | null,
): Promise<Result<true, ActRefusal>> {
  const { classId } = series
  const found = await resourcesById(
    tx,
    series.rows.map((r) => r.resourceId),
  )
  const known = new Set(stands?.rows.map((r) => r.resourceId))
  for (const { resourceId } of series.rows) {
    const piece = found.get(resourceId)
    if (!piece || !(known.has(resourceId) || canSeeResource(actor, piece)))
      return refuse({ code: 'access/not-found', what: 'piece' })
  }
  const learnerIds = new Set((await learnersOf(tx, [classId])).get(classId)?.map((l) => l.id))
  const groupIds = new Set((await groupsOf(tx, [classId])).map((g) => g.id))
  const targets = [...series.targets, ...series.rows.flatMap(namedIn)]
  const isThere = (t: Series['targets'][number]) => {
    if (t.kind === 'class') return t.classId === classId
    return t.kind === 'group' ? groupIds.has(t.groupId) : learnerIds.has(t.learnerId)
  }
  return targets.every(isThere) ? ok(true) : refuse({ code: 'series/not-in-class', field: 'targets' })
}

/** Groups and learners that a row names. */
function namedIn({ others, only = [] }: SeriesRow): readonly Target[] {
  return [...others.map((o) => o.target), ...only]
}

/** Each row laid out, with the assignment it is to be; null: it is not released. */
export async function draftsOf(
  tx: Connection,
  series: Series,
  ground: ClassGround,
): Promise<readonly { readonly laid: LaidRow; readonly draft: Draft | null }[]> {
  const found = await resourcesById(
    tx,
    series.rows.map((r) => r.resourceId),
  )
  const pieces = new Map(series.rows.map((r) => [r.id, found.get(r.resourceId)]))
  return layRows(series, daysFor(ground)).map((laid) => {
    const piece = pieces.get(laid.rowId)
    if (!piece) return { laid, draft: null }
    const { title, kind } = piece.resource
    return {
      laid,
      draft: draftOfRow(series, laid, { title, revision: piece.revision, kind }),
    }
  })
}

/** Writes an act on a series down as one step, with all that it did to work. */
export async function noteSeries(
  tx: Connection,
  deps: Deps,
  actor: Teacher,
  act: {
    readonly what: SeriesAct
    readonly seriesId: SeriesId
    readonly classId: ClassId
    readonly from: Series | null
    readonly to: Series | null
    readonly done: readonly WorkChange[]
  },
): Promise<void> {
  const { what, seriesId, classId, from, to, done } = act
  const works = done.map((one) =>
    commandOf(one.before === null || what === 'released' ? 'published' : saidOf(one), one),
  )
  await addToJournal(tx, {
    schoolId: actor.schoolId,
    actorId: actor.userId,
    touches: [...new Set([seriesId, classId, ...idsTouched(done)])],
    at: deps.clock.now(),
    command: { kind: 'series', what, seriesId, from, to, works },
  })
}

function saidOf({ after }: WorkChange): 'withdrawn' | 'changed' {
  return after.state === 'withdrawn' ? 'withdrawn' : 'changed'
}
