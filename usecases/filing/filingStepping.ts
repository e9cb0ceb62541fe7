import { ok, refuse, same } from '#core/base'
import type { FilingCommand } from '#core/filing'
import { takenBack } from '#core/work'
import { filingOf, saveFiling } from '#db/repositories'
import { classFor } from '../ground/classAccess'
import { touching } from '../ground/stepping'
import type { StepIn, Stepped, SteppingOf } from '../ground/stepping'
import { turnQueuesOfClasses } from '../settling/turnQueues'
import { stepWorks } from '../work/workStepping'

async function stepFiling({ tx, deps, actor, way }: StepIn, command: FilingCommand): Promise<Stepped> {
  const { classId } = command
  const may = await classFor(tx, actor, classId, 'run')
  if (!may.ok) return may
  const [from, to] = way === 'undo' ? [command.to, command.from] : [command.from, command.to]
  const stands = await filingOf(tx, classId)
  if (!same(stands.filing, from))
    return refuse({ code: 'work/changed-since', field: 'state', title: may.value.name })
  const works = way === 'undo' ? [...command.works].reverse().map(takenBack) : command.works
  const done = await stepWorks(tx, deps, actor, works)
  if (!done.ok) return done
  await saveFiling(tx, { ...stands, filing: to })
  await turnQueuesOfClasses(tx, [classId], deps.clock.now())
  return ok(touching([classId, ...done.value]))
}

/** A change of headings and categories is taken back, or done again, with the work that it filed. */
export const filingStepping: SteppingOf<FilingCommand> = { filing: stepFiling }
