import type { Teacher } from '#core/access'
import { commandOf, idsTouched } from '#core/work'
import type { WorkAct } from '#core/work'
import { addToJournal } from '#db/repositories'
import type { Connection } from '#db/repositories'
import type { Deps } from '../ground/deps'
import type { WorkChange } from './workSession'

interface ToWriteDown {
  readonly what: WorkAct
  readonly done: readonly Omit<WorkChange, 'learners'>[]
}

/** Writes an act on one or several assignments down, so that it can be taken back as one step. */
export async function writeDown(
  tx: Connection,
  deps: Deps,
  actor: Teacher,
  { what, done }: ToWriteDown,
): Promise<void> {
  const steps = done.map((one) => commandOf(what, one))
  const [first] = steps
  if (!first) return
  await addToJournal(tx, {
    schoolId: actor.schoolId,
    actorId: actor.userId,
    touches: idsTouched(done),
    at: deps.clock.now(),
    command: steps.length === 1 ? first : { kind: 'works', what, steps },
  })
}
