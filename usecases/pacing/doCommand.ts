import { ok } from '#core/base'
import type { Teacher } from '#core/access'
import { namedIn, withFreeNoteIds } from '#core/pacing'
import type { PacingCommand } from '#core/pacing'
import { addToJournal } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { writing } from '../ground/writing'
import { afterAct } from './afterAct'
import { perform } from './perform'
import { loadPlanning } from './planningState'

/**
 * Performs one planning act, however many changes it consists of: re-lays its classes, moves their anchored
 * work and writes the act down, in one transaction.
 */
export async function doCommand(deps: Deps, actor: Teacher, asked: PacingCommand) {
  return writing(deps.store, async (tx) => {
    const planning = await loadPlanning(tx, actor, asked)
    if (!planning.ok) return planning
    const command = withFreeNoteIds(asked, planning.value.state.year?.notes ?? [], deps.ids.newId)
    const now = deps.clock.now()
    const done = await perform(tx, planning.value, command, { isNew: true, now })
    if (!done.ok) return done
    const { classIds, yearIds, planIds } = namedIn(command)
    await addToJournal(tx, {
      schoolId: actor.schoolId,
      touches: [...classIds, ...yearIds, ...planIds],
      actorId: actor.userId,
      at: now,
      command,
    })
    return ok(await afterAct(tx, actor, done.value))
  })
}
