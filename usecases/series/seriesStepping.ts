import { ok, refuse, same } from '#core/base'
import type { SeriesCommand } from '#core/series'
import { takenBack } from '#core/work'
import { dropSeries, saveSeries, seriesById } from '#db/repositories'
import { classFor } from '../ground/classAccess'
import { touching } from '../ground/stepping'
import type { StepIn, Stepped, SteppingOf } from '../ground/stepping'
import { stepWorks } from '../work/workStepping'

async function stepSeries({ tx, deps, actor, way }: StepIn, command: SeriesCommand): Promise<Stepped> {
  const [from, to] = way === 'undo' ? [command.to, command.from] : [command.from, command.to]
  const classId = (to ?? from)?.classId
  if (classId === undefined) throw new Error('an act on no series')
  const may = await classFor(tx, actor, classId, 'run')
  if (!may.ok) return may
  const stands = await seriesById(tx, command.seriesId)
  const title = (to ?? from)?.title ?? ''
  if (!same(stands?.series ?? null, from))
    return refuse({ code: 'work/changed-since', field: 'state', title })
  const works = way === 'undo' ? [...command.works].reverse().map(takenBack) : command.works
  const done = await stepWorks(tx, deps, actor, works)
  if (!done.ok) return done
  if (to === null) await dropSeries(tx, command.seriesId)
  else {
    const made = { schoolId: actor.schoolId, authorId: actor.userId, createdAt: deps.clock.now(), version: 0 }
    await saveSeries(tx, { ...(stands ?? { id: command.seriesId, ...made }), series: to })
  }
  return ok(touching([classId, ...done.value]))
}

/** An act on a series is taken back, or done again, with all that it did to work. */
export const seriesStepping: SteppingOf<SeriesCommand> = { series: stepSeries }
