import { ok, refuse, same } from '#core/base'
import type { Actor } from '#core/access'
import type { SeriesCommand } from '#core/series'
import { takenBack } from '#core/work'
import { dropSeries, saveSeries, seriesById } from '#db/repositories'
import type { Connection } from '#db/repositories'
import type { Deps } from '../deps'
import { classFor } from '../teaching/classAccess'
import { stepWorks } from '../work/steps'
import type { Stepped } from '../work/steps'

/** Takes an act on a series back, or does it again, with all that it did to work. */
export async function stepSeries(
  tx: Connection,
  deps: Deps,
  actor: Actor,
  way: 'undo' | 'redo',
  command: SeriesCommand,
): Promise<Stepped> {
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
  return ok([...new Set([classId, ...done.value])])
}
